package umbel.app.plan;

import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Service;
import umbel.app.cache.ComputedCache;
import umbel.app.http.NotFound;
import umbel.app.survey.StandDrawing;
import umbel.assess.Mark;
import umbel.assess.PlanTelling;
import umbel.cut.Operation;
import umbel.growth.BlockCalibration;
import umbel.growth.Forecast;
import umbel.growth.InitialState;
import umbel.growth.Moment;
import umbel.growth.Season;
import umbel.growth.TreeState;
import umbel.light.LightModel;
import umbel.plant.SurveyedTree;

/** Grows a saved tree on: as it is marked, and left alone. */
@Service
public class GrowthService {

    private static final int KEPT = 6;
    private static final long SEED = 1;

    private final DecidedTrees surveyed;
    private final ComputedCache<Asked, Futures> kept = ComputedCache.atMost(KEPT);

    GrowthService(DecidedTrees surveyed) {
        this.surveyed = surveyed;
    }

    private record Asked(
            long tree,
            long survey,
            List<Mark> marks,
            Moment moment,
            int years,
            boolean thinned,
            BlockCalibration learned,
            double fruitLight) {}

    private record Futures(Forecast marked, Forecast alone) {}

    /** The years to come of a tree under its marks, beside the same tree left alone. */
    public TreeAnswers.Years years(long treeId, Decisions decisions, int years, boolean thinned) {
        Futures futures = futures(treeId, decisions, years, thinned);
        return new TreeAnswers.Years(
                PlanTelling.outlook(futures.marked().years()),
                PlanTelling.outlook(futures.alone().years()));
    }

    /** The tree drawn as it is expected in the winter after so many seasons. */
    public StandDrawing drawing(long treeId, Decisions decisions, int years, boolean thinned, int year, boolean alone) {
        Futures futures = futures(treeId, decisions, years, thinned);
        List<Forecast.Outlook> course = (alone ? futures.alone() : futures.marked()).years();
        if (year < 1 || year > course.size()) {
            throw new NotFound("year", year);
        }
        var tree = course.get(year - 1).tree();
        return StandDrawing.of(tree, LightModel.readCoarse(tree, 1));
    }

    private Futures futures(long treeId, Decisions decisions, int years, boolean thinned) {
        SurveyedTree read = surveyed.newestReading(treeId);
        BlockCalibration learned = surveyed.learned(treeId);
        double light = read.reading().lines().fruit();
        Asked asked = new Asked(
                treeId,
                surveyed.newestSurvey(treeId),
                decisions.marks(),
                decisions.moment(),
                years,
                thinned,
                learned,
                light);
        return kept.get(asked, () -> {
            TreeState stand = learned.applied(InitialState.of(read.tree(), SEED));
            return new Futures(
                    Forecast.of(
                            stand,
                            works(decisions.moment(), DecidedTrees.operations(decisions), years, thinned),
                            light),
                    Forecast.of(stand, works(Moment.DORMANT, List.of(), years, thinned), light));
        });
    }

    private static List<Season.Work> works(Moment moment, List<Operation> now, int years, boolean thinned) {
        List<Season.Work> works = new ArrayList<>();
        for (int year = 0; year < years; year++) {
            works.add(
                    year == 0
                            ? new Season.Work(now, moment, List.of(), thinned, false)
                            : new Season.Work(List.of(), Moment.DORMANT, List.of(), thinned, false));
        }
        return works;
    }
}
