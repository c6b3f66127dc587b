package umbel.app.visit;

import jakarta.validation.Valid;
import java.net.URI;
import java.util.List;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.log.RecordRepository;
import umbel.app.log.StepOutcome;
import umbel.app.log.WorkRecord;
import umbel.app.orchard.TreeRepository;
import umbel.assess.Mark;
import umbel.cut.OperationKind;

/** Keeps what was done to a tree, and tells its history. */
@RestController
@RequestMapping("/api/trees/{id}/records")
public class RecordController {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private final RecordRepository records;
    private final TreeRepository trees;
    private final VisitService visits;

    RecordController(RecordRepository records, TreeRepository trees, VisitService visits) {
        this.records = records;
        this.trees = trees;
        this.visits = visits;
    }

    /** Saves a visit; one sent again is kept once and answered with 200. The marks it settles are then done with. */
    @PostMapping
    ResponseEntity<VisitAnswers.SavedVisit> save(@PathVariable long id, @RequestBody @Valid VisitEntry entry) {
        VisitService.Saved saved = visits.save(id, entry);
        VisitAnswers.SavedVisit body = new VisitAnswers.SavedVisit(
                line(saved.record(), List.of(saved.record())),
                saved.meanwhile().stream().map(RecordController::other).toList());
        return saved.fresh()
                ? ResponseEntity.created(URI.create("/api/trees/" + id + "/records"))
                        .body(body)
                : ResponseEntity.ok(body);
    }

    /** The tree's visits, newest first. */
    @GetMapping
    @Transactional(readOnly = true)
    List<VisitAnswers.RecordLine> list(@PathVariable long id) {
        trees.existing(id);
        List<WorkRecord> all = records.findByTreeIdOrderByDoneOnDescIdDesc(id);
        return all.stream().map(one -> line(one, all)).toList();
    }

    private static VisitAnswers.OtherVisit other(WorkRecord visit) {
        return new VisitAnswers.OtherVisit(
                visit.id(),
                visit.doneOn(),
                visit.who(),
                RecordedSteps.of(visit).stream()
                        .filter(step -> step.how().filter(StepOutcome::done).isPresent())
                        .map(VisitEntry.DoneStep::title)
                        .toList());
    }

    /** Visits that count and say to have done a step that this one did too, on the same survey. */
    private static List<VisitAnswers.OtherVisit> alsoBy(WorkRecord one, List<WorkRecord> all) {
        List<Mark> done = doneMarks(one);
        return all.stream()
                .filter(visit -> !visit.id().equals(one.id())
                        && !visit.id().equals(one.correctsId())
                        && !one.id().equals(visit.correctsId())
                        && visit.surveyId().equals(one.surveyId())
                        && all.stream().noneMatch(later -> visit.id().equals(later.correctsId()))
                        && doneMarks(visit).stream()
                                .anyMatch(mark -> done.stream().anyMatch(mark::sameAs)))
                .map(RecordController::other)
                .toList();
    }

    private static List<Mark> doneMarks(WorkRecord visit) {
        return RecordedSteps.of(visit).stream()
                .filter(step -> step.how().filter(StepOutcome::done).isPresent())
                .map(VisitEntry.DoneStep::mark)
                .filter(mark -> !OperationKind.WATCH.word().equals(mark.operation()))
                .toList();
    }

    private static VisitAnswers.RecordLine line(WorkRecord one, List<WorkRecord> all) {
        Long correctedBy = all.stream()
                .filter(other -> one.id().equals(other.correctsId()))
                .map(WorkRecord::id)
                .findFirst()
                .orElse(null);
        return new VisitAnswers.RecordLine(
                one.id(),
                one.doneOn(),
                one.who(),
                one.minutes(),
                one.note(),
                RecordedSteps.of(one),
                one.correctsId(),
                correctedBy,
                one.surveyedOn(),
                one.savedAt(),
                one.tools(),
                one.afterwards(),
                one.worked(),
                correctedBy == null ? alsoBy(one, all) : List.of(),
                one.effectsDue() && correctedBy == null,
                one.outcome() == null ? null : JSON.readValue(one.outcome(), VisitAnswers.VisitOutcome.class));
    }
}
