package umbel.app.sheets;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import umbel.app.plan.AfterLine;
import umbel.assess.Mark;

/**
 * One tree's work as a pruner takes it to the row, in every language there is, so that it can be kept where there is no signal.
 *
 * @param surveyId the survey it was made from, to be sent with the visit
 * @param lastVisit the newest visit known when it was made; 0 where there was none
 * @param kind of plant and how it is trained, by language
 * @param timeZone the holding's, in which its days are counted
 * @param afterwards what is done after the last cut, by language
 * @param words fixed words by language
 * @param south the tree from the south with its numbered cuts, as SVG
 */
public record FieldSheet(
        long treeId,
        String label,
        long blockId,
        String block,
        int row,
        int place,
        Map<String, String> kind,
        LocalDate surveyedOn,
        long surveyId,
        long lastVisit,
        String timeZone,
        double minutes,
        double ladderMinutes,
        double sawMinutes,
        List<FieldStep> steps,
        List<FieldLimb> limbs,
        Map<String, List<AfterLine>> afterwards,
        Map<String, List<String>> cautions,
        Map<String, Map<String, String>> words,
        String south,
        String east) {

    /** A limb that could be cut besides: its name, and its size to know it by. */
    public record FieldLimb(
            String id,
            @JsonProperty("diameter_mm") double diameterMm,
            @JsonProperty("length_cm") double lengthCm) {}

    /**
     * One step.
     *
     * @param title by language
     * @param where height and what falls, by language
     * @param warnings words in capitals that stop or slow a hand, by language
     * @param stop whether the holding leaves it to a qualified person
     */
    public record FieldStep(
            int number,
            Mark mark,
            Map<String, String> title,
            Map<String, String> where,
            Map<String, List<String>> warnings,
            Map<String, String> tool,
            boolean stop,
            double minutes) {}
}
