package umbel.app.plan;

import io.swagger.v3.oas.annotations.media.ArraySchema;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import umbel.app.answer.Written;
import umbel.app.survey.SeasonCounts;
import umbel.app.survey.StandDrawing;
import umbel.assess.Assessment;
import umbel.assess.Mark;
import umbel.assess.SchoolComparison;
import umbel.wood.Axis;
import umbel.wood.Setting;

/** What the tree view is sent. */
public final class TreeAnswers {

    private TreeAnswers() {}

    /** Who the tree is. */
    public record TreeName(
            long id,
            String label,
            long blockId,
            String block,
            String species,
            String speciesName,
            String system,
            String systemName,
            String cultivar,
            int leaf,
            String surveyedOn,
            long surveyId,
            int limbs,
            Long previous,
            Long next) {}

    /**
     * Limits in force for the tree, and the school's lines that its gauges are held to.
     *
     * @param shadeMost most of its fruiting wood in shade
     * @param cropMost most fruits in the buds, against what it should carry
     */
    public record LimitsInForce(
            double woodShare, int bigCuts, double reachM, double heightM, double shadeMost, double cropMost) {}

    /**
     * The whole page of one tree.
     *
     * @param workVersion -1 while nothing was decided
     * @param suggestions what advisers marked, for the grower to accept or refuse; each with its titles in the order of its marks
     * @param workedOn the day of the last visit since it was surveyed; empty where there was none
     * @param counted flowers or fruits counted in its block since it was surveyed, by which its crop is corrected; null where none were
     * @param together by operation, those that may be marked on the same limb beside it
     */
    public record TreePage(
            TreeName name,
            @Schema(implementation = StandDrawing.class) Written<StandDrawing> drawing,
            @Schema(implementation = TargetShape.class) Written<TargetShape> target,

            @Schema(implementation = Assessment.ReadingAnswer.class)
            Written<Assessment.ReadingAnswer> reading,

            @Schema(implementation = LimitsInForce.class) Written<LimitsInForce> limits,

            @ArraySchema(schema = @Schema(implementation = LimbLine.class))
            Written<List<LimbLine>> limbs,

            Decisions decisions,
            long workVersion,
            boolean workOutdated,
            List<SuggestionLine> suggestions,
            String workedOn,
            SeasonCounts.Counted counted,
            Map<String, List<String>> together) {}

    /** What an adviser suggests, and how its marks are said. */
    public record SuggestionLine(long id, String by, Instant at, List<Mark> marks, List<String> titles) {}

    /** Whether a suggestion was accepted; its marks are then the grower's own. */
    public record SuggestionAnswer(boolean accepted) {}

    /** A limb's numbers, in the format's units. */
    public record LimbLine(
            String id,
            String parent,
            String role,
            double atCm,
            double bearingDeg,
            double angleDeg,
            double diameterMm,
            double lengthCm,
            int age,
            double lastGrowthCm,
            double ratio,
            int shoots,
            int spurs,
            double flowerBuds,
            Double light,
            double woodShare,
            List<String> conditions,
            String disease,
            String note) {}

    /**
     * Plans and the timing they stand under.
     *
     * @param inOneWinter a renovation done at once, null where there is none
     * @param stops steps past what the holding lets its people do, each as operation and limb
     */
    public record Plans(
            List<Assessment.PlanAnswer> plans,
            Assessment.PlanAnswer inOneWinter,
            List<String> stops,
            Assessment.Timing timing,
            List<Assessment.Measure> measureNext) {}

    /** The recommended plan before the others, without years and with what its steps stop at. */
    public record FirstPlan(Assessment.PlanAnswer plan, List<String> stops, Assessment.Timing timing) {}

    /**
     * What is kept of an axis.
     *
     * @param axis index in the drawing
     * @param kept metres kept, 0 where it is gone
     * @param mark index of the mark that took it
     */
    public record Cut(int axis, double kept, int mark) {}

    /**
     * An axis moved by a bend or by its fruit.
     *
     * @param axis index in the drawing
     * @param points x, y, z, diameter of each point
     * @param twigs x, y, z of foot and end of each side branch of a fruiting lateral
     */
    public record Moved(int axis, double[] points, double[] twigs) {

        /** An axis as it now stands. */
        static Moved of(int index, Axis axis, Setting setting) {
            return new Moved(index, StandDrawing.points(axis), StandDrawing.twigs(axis, setting));
        }
    }

    /** What marks do to a tree, without what is still wrong with it. */
    public record UnderMarks(
            Assessment.TotalsAnswer totals, List<Cut> cuts, List<Moved> moved, List<Effects> effects) {}

    /** The tree under its marks. */
    public record Marked(
            Assessment.TotalsAnswer totals,
            List<Cut> cuts,
            List<Moved> moved,
            List<Effects> effects,
            List<Assessment.FindingAnswer> findings,
            List<AfterLine> afterwards) {}

    /** One mark in words and numbers, with where the flag stands on the drawing; how a limb is held where it is bent. */
    public record Effects(
            Mark mark,
            String title,
            String place,
            String numbers,
            String answer,
            double minutes,
            double woodShare,
            double sprouts,
            double[] flag,
            Assessment.TrainingAnswer training,
            List<String> cautions,
            boolean stop) {}

    /** One thing that could be done to a limb. */
    public record Option(
            Mark mark,
            String title,
            String place,
            String numbers,
            String answer,
            double woodShare,
            double flowerShare,
            double shadeBefore,
            double shadeAfter) {}

    /** What a limb takes from another: mean light its sites would gain without it. */
    public record ShadeOn(String limb, double light) {}

    /** What a limb takes from the whole tree, and from which limbs most. */
    public record ShadeLine(String limb, double fromTree, List<ShadeOn> fromLimbs) {}

    /** Light on an upright plane through the trunk; rows from the ground up. */
    public record Section(double bearingDeg, double fromM, double stepM, int columns, double[] light) {}

    /** Light between limbs, and through the tree. */
    public record LightLayer(List<ShadeLine> shades, List<Section> sections) {}

    /** Fruit on one axis and where it hangs. */
    public record Hung(int axis, int fruits, double[] place) {}

    /** The tree at harvest: what moved, what hangs where, each limb thinned to the target and unthinned. */
    public record HarvestLayer(
            List<Moved> moved,
            List<Hung> hung,
            double fruitDiameterM,
            List<Assessment.HarvestAnswer> limbs,
            List<Assessment.HarvestAnswer> unthinned) {}

    /** Two schools' recommended plans for one tree, what they do otherwise, and what each does after the last cut. */
    public record Beside(
            String school,
            String otherSchool,
            Assessment.PlanAnswer mine,
            Assessment.PlanAnswer other,
            List<SchoolComparison.Difference> differing,
            List<AfterLine> mineAfterwards,
            List<AfterLine> otherAfterwards) {}

    /** Years to come of the tree under its marks, and left alone. */
    public record Years(List<Assessment.YearAnswer> marked, List<Assessment.YearAnswer> alone) {}

    /** Decisions to keep, and the version they were made from. */
    public record Keep(Decisions decisions, long version) {}

    /** The new version. */
    public record Kept(long version) {}
}
