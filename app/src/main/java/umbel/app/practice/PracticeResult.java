package umbel.app.practice;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;
import umbel.app.farm.OfOneFarm;
import umbel.assess.Mark;

/** An exercise that somebody did, with what they decided. */
@Entity
@Table(name = "practice_result")
class PracticeResult extends OfOneFarm {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private String who;
    private String exercise;
    private LocalDate doneOn;
    private double mark;
    private boolean passed;

    @Lob
    private String skills;

    @Lob
    private String marks;

    private Instant savedAt;

    protected PracticeResult() {}

    /**
     * A result.
     *
     * @param who the name they sign in with
     * @param exercise its code
     * @param skills by rule, whether it was known
     */
    PracticeResult(
            String who,
            String exercise,
            LocalDate doneOn,
            double mark,
            boolean passed,
            Map<String, Boolean> skills,
            List<Mark> marks,
            Instant savedAt) {
        this.who = who;
        this.exercise = exercise;
        this.doneOn = doneOn;
        this.mark = mark;
        this.passed = passed;
        this.skills = JSON.writeValueAsString(skills);
        this.marks = JSON.writeValueAsString(marks);
        this.savedAt = savedAt;
    }

    String who() {
        return who;
    }

    String exercise() {
        return exercise;
    }

    LocalDate doneOn() {
        return doneOn;
    }

    double mark() {
        return mark;
    }

    boolean passed() {
        return passed;
    }

    /** By rule, whether it was known. */
    Map<String, Boolean> skills() {
        return JSON.readValue(skills, new TypeReference<>() {});
    }

    /** What they decided. */
    List<Mark> marks() {
        return JSON.readValue(marks, new TypeReference<>() {});
    }
}
