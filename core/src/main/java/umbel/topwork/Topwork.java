package umbel.topwork;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import umbel.crop.CropReading;
import umbel.cut.CutTree;
import umbel.cut.Effect;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.knowledge.Species;
import umbel.knowledge.TopworkParameters;
import umbel.survey.Survey;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Axis;
import umbel.wood.Role;
import umbel.wood.Setting;
import umbel.wood.Tree;
import umbel.wood.Units;

/**
 * The plan of a tree that is cut to a stump and grafted anew. The old roots carry the new top, so that it bears sooner than a tree
 * planted in its place; see docs/model/plan.md.
 *
 * @param against reasons not to; the plan is told all the same where the kind is grafted at all
 * @param stumpHeight where the trunk is cut, metres above the ground; 0 where the kind is not grafted
 * @param stumpDiameter of the trunk there, metres
 * @param grafts scions set round the rim
 * @param nurse the limb that stays until the grafts have grown; empty without one
 * @param now the cuts of the first winter
 * @param mass fresh wood that falls, kilograms
 * @param minutes of those cuts
 * @param years the seasons after the cut, until both the grafted and the replanted tree would bear fully
 */
public record Topwork(
        List<Statement> against,
        double stumpHeight,
        double stumpDiameter,
        int grafts,
        Optional<String> nurse,
        List<Operation> now,
        double mass,
        double minutes,
        List<TopworkYear> years) {

    public Topwork {
        against = List.copyOf(against);
        now = List.copyOf(now);
        years = List.copyOf(years);
    }

    /** Whether its kind is grafted on stumps at all. */
    public boolean isPossible() {
        return stumpHeight > 0;
    }

    /**
     * The plan for a tree.
     *
     * @param crop what it bears as it stands
     * @param reach height a person on the ground reaches, metres
     */
    public static Topwork of(Survey survey, Tree tree, CropReading crop, double reach) {
        Setting setting = tree.setting();
        Species.Topwork rule = setting.species().topwork();
        if (rule == null) {
            return new Topwork(
                    List.of(Statement.of("topwork.against.no-kind")),
                    0,
                    0,
                    0,
                    Optional.empty(),
                    List.of(),
                    0,
                    0,
                    List.of());
        }
        TopworkParameters numbers = setting.parameters().topwork();
        Axis trunk = tree.trunk();
        double height = stumpHeight(tree, rule, numbers);
        double diameter = trunk.diameterAt(height);
        Optional<Axis> nurse = rule.nurse() ? nurse(tree, height, numbers) : Optional.empty();
        List<Axis> others = tree.limbsOn(trunk).stream()
                .filter(limb -> limb.at() < height && !tree.isTreeOfItsOwn(limb))
                .filter(limb -> nurse.filter(limb::equals).isEmpty())
                .toList();
        List<Operation> now = Stream.concat(
                        Stream.of(Operation.cutAt(OperationKind.SHORTEN, trunk, height)),
                        others.stream().map(Operation::remove))
                .toList();
        List<Effect> effects = Effect.ofAll(CutTree.of(tree, now), reach);
        int grafts = grafts(diameter, rule, numbers);
        return new Topwork(
                against(survey, tree, diameter),
                height,
                diameter,
                grafts,
                nurse.map(Axis::id),
                now,
                effects.stream().mapToDouble(Effect::mass).sum(),
                effects.stream().mapToDouble(Effect::minutes).sum(),
                years(setting, rule, crop, new Cut(height, diameter, grafts, nurse, others)));
    }

    /** The cut of the first winter, as the years tell it. */
    private record Cut(double height, double diameter, int grafts, Optional<Axis> nurse, List<Axis> others) {}

    /** Just under the lowest branching where that lies within what is usual; where a nurse is wanted, above the lowest limb. */
    private static double stumpHeight(Tree tree, Species.Topwork rule, TopworkParameters numbers) {
        double from = Math.max(
                Units.fromCm(rule.stumpCm().get(0)), tree.setting().unionAt() + Units.fromCm(numbers.aboveUnion()));
        double to = Math.max(from, Units.fromCm(rule.stumpCm().get(1)));
        double[] origins = tree.limbsOn(tree.trunk()).stream()
                .filter(limb ->
                        limb.role() != Role.SUCKER && limb.at() > tree.setting().unionAt())
                .filter(limb -> !tree.isTreeOfItsOwn(limb))
                .mapToDouble(Axis::at)
                .sorted()
                .toArray();
        double lowest = origins.length == 0 ? to : origins[0];
        double wanted =
                rule.nurse() ? lowest + Units.fromCm(numbers.aboveNurse()) : lowest - Units.fromCm(numbers.belowLimb());
        return Math.min(tree.trunk().length() * 0.95, Math.max(from, Math.min(to, wanted)));
    }

    /** A sound limb under the cut, thin enough to come off later; the stoutest of these. */
    private static Optional<Axis> nurse(Tree tree, double height, TopworkParameters numbers) {
        double trunk = tree.trunk().baseDiameter();
        return tree.limbsOn(tree.trunk()).stream()
                .filter(limb -> limb.at() < height && limb.role() != Role.SUCKER)
                .filter(limb -> limb.at() > tree.setting().unionAt()
                        && limb.conditions().isEmpty())
                .filter(limb -> !tree.isTreeOfItsOwn(limb))
                .filter(limb -> limb.baseDiameter() >= numbers.nurse().get(0) * trunk
                        && limb.baseDiameter() <= numbers.nurse().get(1) * trunk)
                .max(Comparator.comparingDouble(Axis::baseDiameter));
    }

    private static int grafts(double diameter, Species.Topwork rule, TopworkParameters numbers) {
        double girth = Math.PI * Units.toCm(diameter);
        return (int) Math.max(
                numbers.grafts().get(0), Math.min(numbers.grafts().get(1), Math.round(girth / rule.graftEveryCm())));
    }

    private static List<Statement> against(Survey survey, Tree tree, double diameter) {
        List<Statement> against = new ArrayList<>();
        if (!tree.trunk().conditions().isEmpty()) {
            against.add(Statement.of("topwork.against.trunk"));
        }
        if (!survey.diseases().isEmpty()) {
            against.add(Statement.of("topwork.against.disease")
                    .with(
                            "disease",
                            new Value.Words(survey.diseases().iterator().next())));
        }
        if (diameter < Units.fromMm(tree.setting().parameters().topwork().thin())) {
            against.add(Statement.of("topwork.against.young").with("thick", Value.thickness(diameter)));
        }
        return against;
    }

    private static List<TopworkYear> years(Setting setting, Species.Topwork rule, CropReading crop, Cut cut) {
        double full = crop.targetFruits() * crop.fruitMass();
        int bearing = setting.bearingLeaf();
        int filled = Math.max(bearing, setting.system().shape().fullAtLeaf());
        // on old roots never later than from new ones: a slender system is filled sooner than the kind usually takes
        int first = Math.max(1, Math.min(rule.bearsAfterY(), bearing - 1));
        int whole = Math.max(first, Math.min(rule.fullAfterY(), filled - 1));
        int last = Math.min(setting.parameters().topwork().longest(), filled - 1);
        List<TopworkYear> years = new ArrayList<>();
        for (int year = 0; year <= last; year++) {
            years.add(new TopworkYear(
                    year,
                    work(year, first, whole, rule, cut),
                    full * grown(year, first, whole),
                    crop.kilograms(),
                    full * grown(year + 1, bearing, filled)));
        }
        return years;
    }

    /** Share of the full crop in a season, even steps from the first to the full one. */
    private static double grown(int season, int first, int full) {
        return season < first ? 0 : Math.min(1, (season - first + 1.0) / (full - first + 1.0));
    }

    private static List<Statement> work(int year, int first, int whole, Species.Topwork rule, Cut cut) {
        List<Statement> work = new ArrayList<>();
        if (year == 0) {
            work.addAll(first(rule, cut));
        } else if (year == 1) {
            work.add(Statement.of("topwork.choose"));
            cut.nurse()
                    .ifPresent(
                            limb -> work.add(Statement.of("topwork.nurse-off").with("limb", Value.limb(limb.id()))));
            work.add(Statement.of("topwork.shoots"));
        } else if (year == 2) {
            work.add(Statement.of("topwork.frame"));
        }
        if (year == first) {
            work.add(Statement.of("topwork.bears"));
        }
        if (year == whole) {
            work.add(Statement.of("topwork.full"));
        }
        return work;
    }

    private static List<Statement> first(Species.Topwork rule, Cut cut) {
        List<Statement> work = new ArrayList<>();
        work.add(Statement.of("topwork.cut")
                .with("at", Value.length(cut.height()))
                .with("thick", Value.thickness(cut.diameter())));
        if (!cut.others().isEmpty()) {
            work.add(Statement.of("topwork.others-off")
                    .with(
                            "limbs",
                            Value.limbs(cut.others().stream().map(Axis::id).toList())));
        }
        if (rule.nurse()) {
            work.add(cut.nurse()
                    .map(limb -> Statement.of("topwork.nurse").with("limb", Value.limb(limb.id())))
                    .orElse(Statement.of("topwork.no-nurse")));
        }
        work.add(Statement.of("topwork.whiten"));
        work.add(Statement.of("topwork.graft").with("count", Value.count(cut.grafts())));
        work.add(Statement.of("topwork.shoots"));
        return work;
    }
}
