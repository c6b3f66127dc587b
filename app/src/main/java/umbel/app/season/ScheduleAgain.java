package umbel.app.season;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.farm.OfOneFarm;
import umbel.text.Statement;
import umbel.text.Value;

/** Why the crew's schedule is or was last made again by itself, and what moved by it; for every node. There is one for a farm. */
@Entity
class ScheduleAgain extends OfOneFarm {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    /** Where a piece of work is: the same work with another person or on another day is at another place. */
    record Place(long block, String kind, long person, LocalDate date) {}

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private String because;
    private String aboutKind;
    private String about;

    @Lob
    private String places;

    private Instant madeAt;
    private int moved;

    protected ScheduleAgain() {}

    ScheduleAgain(Statement reason, Collection<Place> before) {
        begin(reason, before);
    }

    /** It is about to be made again, from how it is now. The reason names at most one thing. */
    final void begin(Statement reason, Collection<Place> before) {
        because = reason.code();
        Map.Entry<String, Value> named =
                reason.values().entrySet().stream().findFirst().orElse(null);
        aboutKind = named == null ? null : named.getKey();
        about = named == null ? null : ((Value.Name) named.getValue()).text();
        places = JSON.writeValueAsString(before);
    }

    /** Whether it is still to be made again. */
    boolean isToBeMade() {
        return places != null;
    }

    /** It was made again: the pieces of work that are not where they were have moved. */
    void made(Collection<Place> after, Instant now) {
        Set<Place> still = new HashSet<>(after);
        moved = (int) List.of(JSON.readValue(places, Place[].class)).stream()
                .filter(one -> !still.contains(one))
                .count();
        places = null;
        madeAt = now;
    }

    /** Why it was last made again; null where it never was, or is about to be. */
    ScheduleAnswers.MadeAgain told(Function<Statement, String> speech) {
        if (madeAt == null || isToBeMade()) {
            return null;
        }
        Statement reason = Statement.of(because);
        return new ScheduleAnswers.MadeAgain(
                speech.apply(aboutKind == null ? reason : reason.with(aboutKind, Value.name(about))), madeAt, moved);
    }
}
