package umbel.app.visit;

import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.component.VEvent;
import net.fortuna.ical4j.model.property.Description;
import net.fortuna.ical4j.model.property.DtStamp;
import net.fortuna.ical4j.model.property.ProdId;
import net.fortuna.ical4j.model.property.Uid;
import net.fortuna.ical4j.model.property.immutable.ImmutableCalScale;
import net.fortuna.ical4j.model.property.immutable.ImmutableVersion;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import umbel.app.http.NotFound;
import umbel.app.reader.Reader;
import umbel.app.season.SeasonService;
import umbel.knowledge.Knowledge;
import umbel.season.FollowUp;
import umbel.season.Weather;

/** What must be come back for, here and in anybody's calendar. */
@RestController
@RequestMapping("/api/follow-ups")
class FollowUpController {

    private static final int DONE_STAYS_DAYS = 14;

    private static final String CHECK_TIES = "check-ties";
    private final FollowUpRepository followUps;
    private final SeasonService season;
    private final Knowledge knowledge;
    private final Clock clock;

    FollowUpController(FollowUpRepository followUps, SeasonService season, Knowledge knowledge, Clock clock) {
        this.followUps = followUps;
        this.season = season;
        this.knowledge = knowledge;
        this.clock = clock;
    }

    /** Something to come back for; {@code name} is its kind in the reader's words, {@code state} is overdue, due, coming or done. */
    public record FollowUpLine(
            long id,
            long treeId,
            String tree,
            long blockId,
            String block,
            String kind,
            String name,
            LocalDate from,
            LocalDate to,
            String text,
            String state) {}

    /** Whether it was seen to. */
    public record SeenTo(boolean done) {}

    /** All that is open, and what was done in the last fortnight, by day. */
    @GetMapping
    @Transactional(readOnly = true)
    List<FollowUpLine> list() {
        return open().stream().map(this::line).toList();
    }

    /** Ticks it off, or opens it again. */
    @PutMapping("/{id}")
    @Transactional
    FollowUpLine done(@PathVariable long id, @RequestBody SeenTo seenTo) {
        FollowUpEntry entry = followUps.findById(id).orElseThrow(() -> new NotFound("followUp", id));
        entry.done(seenTo.done() ? LocalDate.now(clock) : null);
        return line(followUps.saveAndFlush(entry));
    }

    /** The open ones as a calendar other programs read. */
    @GetMapping(value = "/calendar.ics", produces = "text/calendar")
    @Transactional(readOnly = true)
    String calendar() {
        Calendar calendar = new Calendar();
        calendar.add(new ProdId("-//Umbel//follow-ups//EN"));
        calendar.add(ImmutableVersion.VERSION_2_0);
        calendar.add(ImmutableCalScale.GREGORIAN);
        for (FollowUpEntry one : open()) {
            if (one.doneOn() == null) {
                VEvent event = new VEvent(
                        one.dueFrom(), one.dueTo().plusDays(1), one.tree().label() + ": " + name(one));
                event.add(new Uid("follow-up-" + one.id() + "@umbel"));
                event.add(new Description(Reader.speech().say(one.text())));
                event.getProperties("DTSTAMP").forEach(event::remove);
                event.add(new DtStamp(one.dueFrom().atStartOfDay().toInstant(ZoneOffset.UTC)));
                calendar.add(event);
            }
        }
        return calendar.toString();
    }

    private List<FollowUpEntry> open() {
        return followUps.findByDoneOnIsNullOrDoneOnGreaterThanEqualOrderByDueFromAscIdAsc(
                LocalDate.now(clock).minusDays(DONE_STAYS_DAYS));
    }

    private static String name(FollowUpEntry one) {
        return Reader.speech().say(FollowUp.name(one.kind()));
    }

    private FollowUpLine line(FollowUpEntry one) {
        LocalDate today = LocalDate.now(clock);
        Weather.Day storm = storm(one, today);
        String state = one.doneOn() != null
                ? "done"
                : today.isAfter(one.dueTo())
                        ? "overdue"
                        : today.isBefore(one.dueFrom()) && storm == null ? "coming" : "due";
        return new FollowUpLine(
                one.id(),
                one.tree().id(),
                one.tree().label(),
                one.tree().block().id(),
                one.tree().block().name(),
                one.kind(),
                name(one),
                storm == null ? one.dueFrom() : storm.date().plusDays(1),
                one.dueTo(),
                Reader.speech()
                        .say(storm == null ? one.text() : FollowUp.afterWind(storm.wind(), storm.date(), one.text())),
                state);
    }

    /** The wind that brings a look at ties forward; null where none did. */
    private Weather.Day storm(FollowUpEntry one, LocalDate today) {
        boolean ties = one.kind().equals(CHECK_TIES) && one.doneOn() == null && today.isBefore(one.dueFrom());
        return !ties
                ? null
                : season.windiest(one.tree().block().holding(), one.madeOn().plusDays(1), today)
                        .filter(day -> day.wind()
                                > knowledge.parameters().season().followUp().tiesAfterWind())
                        .orElse(null);
    }
}
