package umbel.plant;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import umbel.aftercare.AfterTask;
import umbel.assess.CrewText;
import umbel.assess.Mark;
import umbel.cut.ImpossibleCut;
import umbel.growth.BlockCalibration;
import umbel.growth.Comparison;
import umbel.knowledge.Caution;
import umbel.season.FollowUp;
import umbel.season.Phenology;
import umbel.survey.Survey;

/**
 * A plant as it was surveyed. Lists, records, sheets, season, schedule and learning ask this and nothing else of a plant, so
 * that every kind of it is at home in them. Plants do not change; what is done to one is told, not made.
 */
public sealed interface Plant permits SurveyedTree, CountedPlant {

    /** What it is. */
    PlantFacts facts();

    /**
     * How many places of its row the plant as surveyed stands for: one, or for a stretch of row as many as it is long.
     *
     * @param inRowM distance from place to place, metres
     */
    default double places(double inRowM) {
        return 1;
    }

    /** What is wrong with it, in the order of the work. */
    List<PlantFinding> findings();

    /** Share of its fruiting wood that gets less light than fruit needs by the school it is read by, 0…1. */
    double shade();

    /** Whether that is more than its school lets stand. */
    boolean isShaded();

    /**
     * What marks come to, step by step in their order.
     *
     * @throws ImpossibleCut when one cannot be done on this plant
     */
    Visit visit(List<Mark> marks);

    /**
     * What marks come to as a whole.
     *
     * @throws ImpossibleCut when one cannot be done on this plant
     */
    VisitTotals totals(List<Mark> marks);

    /**
     * Marks in the order of the work.
     *
     * @throws ImpossibleCut when one cannot be done on this plant
     */
    List<Mark> inOrder(List<Mark> marks);

    /** A mark in few words for those who cut. */
    String title(Mark mark, CrewText words);

    /** Whether a step is told with the height it is made at: a cut that has nothing to cut any more is not. */
    boolean hasHeight(Visit.Step step);

    /** The cautions that a step calls for, of those there are. */
    List<String> cautions(Visit.Step step, List<Caution> known);

    /**
     * What is done after the last of these steps; empty where nothing is cut, or nothing is known of it for this plant.
     *
     * @throws ImpossibleCut when a mark cannot be done on this plant
     */
    List<AfterTask> afterwards(List<Mark> marks);

    /** The visits that follow from one. */
    List<FollowUp> followUps(Visit done, VisitTotals after, LocalDate doneOn, Phenology year);

    /**
     * The next survey as it is expected, for whoever measures to confirm or correct.
     *
     * @param done what was done since this survey; what means nothing on this plant is passed over
     * @param seasonPassed whether a season of growth lies between
     * @return empty where plants of this kind are counted anew
     */
    Optional<Survey> expected(List<Mark> done, BlockCalibration learned, boolean seasonPassed, LocalDate today);

    /**
     * What was foretold for the season after this survey, against the plant as it was found then.
     *
     * @param done what was done since this survey; what means nothing on this plant is passed over
     * @param fruits counted or weighed in that season; 0 where nobody did
     */
    Comparison compare(List<Mark> done, Plant later, double fruits);

    /**
     * The plant with numbered steps, in black on white, as SVG.
     *
     * @param from where the viewer stands, radians from north
     * @throws ImpossibleCut when a mark cannot be done on this plant
     */
    String sheet(List<Mark> marks, double from);
}
