package umbel.app.planting;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import umbel.app.cache.ComputedCache;
import umbel.app.computing.Computing;
import umbel.app.computing.Computing.Lane;
import umbel.app.reader.Reader;
import umbel.drawing.RowSvg;
import umbel.knowledge.Knowledge;
import umbel.planting.GrownTrees;
import umbel.planting.OptionYears;
import umbel.planting.PickingCalendar;
import umbel.planting.PlantingCheck;
import umbel.planting.PlantingComparison;
import umbel.planting.PlantingRequest;
import umbel.text.Statement;
import umbel.wood.Tree;
import umbel.wood.Units;

/** Which trees to plant, in which system, and what it comes to; keeps nothing. */
@RestController
@RequestMapping("/api/plantings")
class PlantingController {

    private static final int MOST_KEPT = 60;
    private static final List<Integer> DRAWN_YEARS = List.of(1, 3, 5, 8, 15);
    /** How much a drawing of a row shows beside its tree, and above it, against the highest tree of all options. */
    private static final double HALF_WIDTH = 0.6;

    private static final double HEADROOM = 1.05;

    private final Knowledge knowledge;
    private final PruningByPlans pruning;
    private final Computing computing;
    private final ComputedCache<Grown, GrownTrees> grown = ComputedCache.atMost(MOST_KEPT);

    /** What a typical tree is grown by. */
    private record Grown(
            String species,
            String system,
            String stock,
            String vigour,
            PlantingRequest.Distances spacing,
            double latitudeDeg,
            long seed) {}

    PlantingController(Knowledge knowledge, PruningByPlans pruning, Computing computing) {
        this.knowledge = knowledge;
        this.pruning = pruning;
        this.computing = computing;
    }

    /** Options side by side; a second or two for each tree that was not grown yet. */
    @PostMapping("/compare")
    PlantingAnswers.PlantingsCompared compare(@RequestBody PlantingRequest sent) {
        PlantingRequest request = PlantingCheck.complete(sent, knowledge);
        return computing.answer(Lane.PLANS, () -> answer(request));
    }

    /** The row of each option drawn in its years, all at one scale. */
    @PostMapping("/rows")
    List<PlantingAnswers.PlantingRow> plantingRows(@RequestBody PlantingRequest sent) {
        PlantingRequest request = PlantingCheck.complete(sent, knowledge);
        return computing.answer(Lane.PLANS, () -> rows(request));
    }

    /** Minutes a tree that pruning takes by the plans of the holding's own surveyed trees of a kind and system. */
    @GetMapping("/pruning")
    PruningByPlans.PlannedPruning plannedPruning(@RequestParam String species, @RequestParam String system) {
        return computing.answer(Lane.PLANS, () -> pruning.of(species, system));
    }

    private List<PlantingAnswers.PlantingRow> rows(PlantingRequest request) {
        double reach = knowledge.parameters().reach();
        List<List<Tree>> trees = request.options().stream()
                .map(option -> DRAWN_YEARS.stream()
                        .flatMap(year -> PlantingComparison.drawnLeaf(request, option, year).stream())
                        .map(leaf -> GrownTrees.typical(
                                option,
                                option.spacing(),
                                request.site().latitudeDeg(),
                                leaf,
                                request.seed(),
                                knowledge))
                        .toList())
                .toList();
        double top = Math.max(
                reach,
                trees.stream()
                        .flatMap(List::stream)
                        .mapToDouble(Tree::top)
                        .max()
                        .orElse(0));
        List<PlantingAnswers.PlantingRow> rows = new ArrayList<>();
        for (int o = 0; o < trees.size(); o++) {
            List<PlantingAnswers.PlantingRowInYear> years = new ArrayList<>();
            for (int y = 0; y < trees.get(o).size(); y++) {
                Tree tree = trees.get(o).get(y);
                years.add(new PlantingAnswers.PlantingRowInYear(
                        DRAWN_YEARS.get(y),
                        Units.round(tree.top(), 2),
                        RowSvg.draw(tree, "row" + o + "y" + y, reach, HALF_WIDTH * top, HEADROOM * top)));
            }
            rows.add(new PlantingAnswers.PlantingRow(request.options().get(o).name(), years));
        }
        return rows;
    }

    private PlantingAnswers.PlantingsCompared answer(PlantingRequest request) {
        PlantingComparison comparison = new PlantingComparison(request, knowledge, this::trees);
        return new PlantingAnswers.PlantingsCompared(
                request.currency(),
                request.horizonY(),
                request.interest(),
                request.wagePerHour(),
                comparison.results().stream().map(PlantingController::told).toList(),
                comparison.gaps().stream()
                        .map(gap -> new PlantingAnswers.PickingGap(
                                gap.from().toString(), gap.to().toString()))
                        .toList());
    }

    private GrownTrees trees(
            PlantingRequest.Planting option, PlantingRequest.Distances spacing, double latitudeDeg, long seed) {
        return grown.get(
                new Grown(
                        option.species(),
                        option.system(),
                        option.rootstockClass(),
                        option.vigour(),
                        spacing,
                        latitudeDeg,
                        seed),
                () -> GrownTrees.of(option, spacing, latitudeDeg, seed, knowledge));
    }

    private static PlantingAnswers.PlantingOption told(PlantingComparison.Result one) {
        OptionYears.Capital capital = one.capital();
        return new PlantingAnswers.PlantingOption(
                one.option().name(),
                Units.round(one.treesPerHa(), 1),
                new PlantingAnswers.PlantingFit(
                        one.boxFit().fills(),
                        one.boxFit().verdict(),
                        Reader.speech().say(one.boxFit().why())),
                new PlantingAnswers.PlantingCapital(
                        money(capital.trees()),
                        money(capital.support()),
                        money(capital.irrigation()),
                        money(capital.land()),
                        money(capital.planting()),
                        money(capital.all())),
                one.years().stream()
                        .map(year -> year(year, one.cumulative()[year.year()]))
                        .toList(),
                money(one.npv()),
                one.rateOfReturn().isPresent()
                        ? Double.valueOf(Units.round(one.rateOfReturn().getAsDouble(), 4))
                        : null,
                one.rates().stream().map(rate -> Units.round(rate, 4)).toList(),
                one.paybackYear(),
                one.breakEven().isPresent()
                        ? Double.valueOf(Units.round(one.breakEven().getAsDouble(), 4))
                        : null,
                Arrays.stream(one.hoursByMonth())
                        .mapToObj(hours -> Units.round(hours, 1))
                        .toList(),
                one.times().map(PlantingController::times).orElse(null),
                one.pollination() == null ? "" : Reader.speech().say(one.pollination()),
                one.risks().stream().map(PlantingController::risk).toList(),
                new PlantingAnswers.PlantingRanges(
                        money(one.ranges().low()),
                        money(one.ranges().middle()),
                        money(one.ranges().high())),
                one.sensitivity().stream()
                        .map(moved -> new PlantingAnswers.PlantingMoved(
                                moved.what(),
                                Units.round(moved.low(), 4),
                                Units.round(moved.high(), 4),
                                money(moved.npvLow()),
                                money(moved.npvHigh())))
                        .toList(),
                one.toWin().stream()
                        .map(need -> new PlantingAnswers.PlantingToWin(
                                need.what(), Units.round(need.value(), 4), need.unit()))
                        .toList(),
                one.assumed().stream()
                        .map(figure -> new PlantingAnswers.PlantingAssumed(
                                figure.name(), Units.round(figure.value(), 4), figure.unit(), figure.from()))
                        .toList());
    }

    private static PlantingAnswers.PlantingTimes times(PickingCalendar.Times times) {
        return new PlantingAnswers.PlantingTimes(
                times.bloom().toString(), times.from().toString(), times.to().toString());
    }

    private static PlantingAnswers.PlantingRisk risk(Statement risk) {
        return new PlantingAnswers.PlantingRisk(
                risk.code().substring(risk.code().lastIndexOf('.') + 1),
                Reader.speech().say(risk));
    }

    private static PlantingAnswers.PlantingYear year(OptionYears.Year year, double cumulative) {
        OptionYears.Costs costs = year.costs();
        return new PlantingAnswers.PlantingYear(
                year.year(),
                Units.round(year.interception(), 3),
                Units.round(year.yieldKg(), 0),
                Units.round(year.firstClass(), 3),
                money(year.revenue()),
                new PlantingAnswers.PlantingCosts(
                        money(costs.training()),
                        money(costs.pruning()),
                        money(costs.thinning()),
                        money(costs.picking()),
                        money(costs.other())),
                new PlantingAnswers.PlantingHours(
                        Units.round(year.hours().ground(), 1),
                        Units.round(year.hours().ladder(), 1),
                        Units.round(year.hours().platform(), 1)),
                money(year.net()),
                money(cumulative));
    }

    private static double money(double sum) {
        return Units.round(sum, 2);
    }
}
