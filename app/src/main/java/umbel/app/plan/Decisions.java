package umbel.app.plan;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import umbel.assess.Mark;
import umbel.growth.Moment;

/**
 * What the grower has decided so far on one tree.
 *
 * @param marks operations to be done this visit, in the order marked
 * @param refused steps that shall not be proposed again, as operation@limb
 * @param school school chosen, null for the usual
 * @param goals goal weights chosen, null for the usual
 * @param hold reach and limits chosen, null for the usual
 * @param phase when in its year the tree is worked on, null for dormant
 * @param winters visits to plan over, this one included, null for the usual
 * @param schoolLines lines of the school set otherwise, by name; yes and no as 1 and 0
 */
public record Decisions(
        List<Mark> marks,
        List<String> refused,
        String school,
        Map<String, @DecimalMin("0") @DecimalMax("10") Double> goals,
        @Valid Hold hold,
        Moment phase,
        @Min(1) @Max(4) Integer winters,
        Map<String, Double> schoolLines) {

    public Decisions {
        marks = marks == null ? List.of() : List.copyOf(marks);
        refused = refused == null ? List.of() : List.copyOf(refused);
        schoolLines = schoolLines == null ? Map.of() : Map.copyOf(schoolLines);
    }

    /** Limits the grower sets. */
    public record Hold(
            @DecimalMin("0.01") @DecimalMax("1") Double woodShare,
            @Min(0) @Max(60) Integer bigCuts,
            @DecimalMin("1") @DecimalMax("10") Double reachM) {}

    /** Nothing decided yet. */
    public static Decisions none() {
        return new Decisions(List.of(), List.of(), null, null, null, null, null, null);
    }

    /** The same of other marks. */
    Decisions marking(List<Mark> others) {
        return new Decisions(others, refused, school, goals, hold, phase, winters, schoolLines);
    }

    /** How the tree shall be read and planned, with nothing marked and nothing refused. */
    Decisions wishes() {
        return new Decisions(List.of(), List.of(), school, goals, hold, phase, winters, schoolLines);
    }

    /** The same with nothing marked and another school, whose own lines hold. */
    Decisions underSchool(String other) {
        return new Decisions(List.of(), refused, other, goals, hold, phase, winters, null);
    }

    /** The same with nothing marked and one line of the school set otherwise; over as many winters as the school then says. */
    Decisions withLine(String line, double value) {
        Map<String, Double> lines = new HashMap<>(schoolLines);
        lines.put(line, value);
        Integer over = line.equals("renovationWinters") ? null : winters;
        return new Decisions(List.of(), refused, school, goals, hold, phase, over, lines);
    }

    /** When the work is done. */
    Moment moment() {
        return phase == null ? Moment.DORMANT : phase;
    }
}
