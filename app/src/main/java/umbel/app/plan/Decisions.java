package umbel.app.plan;

import java.util.List;
import java.util.Map;
import umbel.assess.Mark;

/**
 * What the grower has decided so far on one tree.
 *
 * @param marks operations to be done this visit, in the order marked
 * @param refused steps that shall not be proposed again, as operation@limb
 * @param school school chosen, null for the usual
 * @param goals goal weights chosen, null for the usual
 * @param hold reach and limits chosen, null for the usual
 * @param schoolLines lines of the school set otherwise, by name; yes and no as 1 and 0
 */
public record Decisions(
        List<Mark> marks,
        List<String> refused,
        String school,
        Map<String, Double> goals,
        Hold hold,
        Map<String, Double> schoolLines) {

    public Decisions {
        marks = marks == null ? List.of() : List.copyOf(marks);
        refused = refused == null ? List.of() : List.copyOf(refused);
        schoolLines = schoolLines == null ? Map.of() : Map.copyOf(schoolLines);
    }

    /** Limits the grower sets. */
    public record Hold(Double woodShare, Integer bigCuts, Double reachM) {}

    /** Nothing decided yet. */
    public static Decisions none() {
        return new Decisions(List.of(), List.of(), null, null, null, null);
    }
}
