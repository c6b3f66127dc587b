package umbel.app.planning;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.function.Function;
import umbel.app.plan.PlanWorth.SeasonAhead;
import umbel.wood.Units;

/**
 * A season to come of a whole block: the mean of its planned trees, which stand for all of them.
 *
 * @param season 1 is the one after the plans' visit
 * @param minutes of work on a tree before it, by the plans; null where it is not known
 * @param firstClassKg first-class fruit of a tree under its plan
 * @param firstClassAloneKg the same, with the trees left alone
 * @param shade share of a tree's fruiting wood in shade after it, under its plan; null on counted plants
 * @param shadeAlone the same, with the trees left alone
 */
public record SeasonsAhead(
        int season, Double minutes, double firstClassKg, double firstClassAloneKg, Double shade, Double shadeAlone) {

    /** The seasons that are known of every one of some trees; none where there are no trees. */
    static List<SeasonsAhead> of(List<List<SeasonAhead>> trees) {
        int seasons = trees.stream().mapToInt(List::size).min().orElse(0);
        List<SeasonsAhead> ahead = new ArrayList<>();
        for (int season = 0; season < seasons; season++) {
            int at = season;
            List<SeasonAhead> these = trees.stream().map(tree -> tree.get(at)).toList();
            ahead.add(new SeasonsAhead(
                    season + 1,
                    mean(these, SeasonAhead::minutes, 1),
                    mean(these, SeasonAhead::firstClassKg, 2),
                    mean(these, SeasonAhead::firstClassAloneKg, 2),
                    mean(these, SeasonAhead::shade, 3),
                    mean(these, SeasonAhead::shadeAlone, 3)));
        }
        return ahead;
    }

    /** The mean of a figure that every tree has; null where one has not. */
    private static Double mean(List<SeasonAhead> trees, Function<SeasonAhead, Double> figure, int digits) {
        List<Double> values = trees.stream().map(figure).toList();
        if (values.stream().anyMatch(Objects::isNull)) {
            return null;
        }
        return Units.round(
                values.stream().mapToDouble(Double::doubleValue).average().orElseThrow(), digits);
    }
}
