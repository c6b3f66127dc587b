package umbel.app.plan;

import java.util.List;
import java.util.Map;
import umbel.assess.Assessment;
import umbel.assess.CountAssessment;
import umbel.assess.Mark;
import umbel.counted.CountSurvey;

/** What the page of a bush, a cane row or a vine is sent. */
public final class CountedAnswers {

    private CountedAnswers() {}

    /** Which plant it is. */
    public record PlantName(
            long id, String label, long blockId, String block, String kind, String kindName, String form, int leaf) {}

    /**
     * The whole page.
     *
     * @param surveyedOn day of its survey
     * @param workVersion -1 while nothing was decided
     * @param workedOn the day of the last visit since it was surveyed; empty where there was none
     * @param suggestions what advisers marked, for the grower to accept or refuse
     * @param learned what the block's plants of this kind have taught
     * @param together by operation, those that may be marked on the same canes beside it
     */
    public record PlantPage(
            PlantName name,
            CountSurvey survey,
            String surveyedOn,
            long surveyId,
            PlantLooked looked,
            Decisions decisions,
            long workVersion,
            boolean workOutdated,
            String workedOn,
            Map<String, List<String>> together,
            PlantLearned learned,
            List<TreeAnswers.SuggestionLine> suggestions) {}

    /**
     * Factors on what is foretold, from seasons that were foretold and have come.
     *
     * @param crop on the crop
     * @param renewal on new canes, or on the weight of a vine's prunings
     */
    public record PlantLearned(int seasons, double crop, double renewal) {}

    /**
     * A plant read and planned for.
     *
     * @param drawing as found, as SVG
     * @param ruleNames what the rules of its findings are called, by id
     */
    public record PlantLooked(CountAssessment assessment, String drawing, Map<String, String> ruleNames) {}

    /**
     * What marks come to.
     *
     * @param drawing the plant with what goes, as SVG
     * @param steps the marks in the order of work, in words
     * @param cropYears crop of three seasons under the marks, kg
     * @param cropYearsAlone the same if nothing is done
     * @param afterwards what is done after the last cut
     */
    public record PlantMarked(
            String drawing,
            List<PlantMark> steps,
            double minutes,
            double canesAfter,
            int nodesAfter,
            List<Assessment.RangeAnswer> cropYears,
            List<Assessment.RangeAnswer> cropYearsAlone,
            List<AfterLine> afterwards) {}

    /** One mark, and how it is said. */
    public record PlantMark(Mark mark, String title, double minutes) {}
}
