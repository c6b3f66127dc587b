package umbel.planting;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import umbel.knowledge.PlantingParameters;
import umbel.knowledge.Species;
import umbel.knowledge.TrainingSystem;

/** The figures an option is reckoned with: those its sender set, the program's own for the rest; each with its unit. */
public final class Assumptions {

    /** A figure, where it came from ({@code yours} or {@code ours}), and the name to set it by. */
    public record Assumed(String name, double value, String unit, String from) {}

    private static final double USUAL_FRUIT_KG = 0.15;

    private final Map<String, Assumed> all = new LinkedHashMap<>();
    private final Map<String, Double> set;

    private Assumptions(Map<String, Double> set) {
        this.set = set;
    }

    /** Those of an option; {@code fruitMass} of its kind, kg. */
    static Assumptions of(
            PlantingRequest.Planting option,
            Species species,
            TrainingSystem system,
            double fruitMass,
            PlantingParameters.Defaults usual) {
        Assumptions figures = new Assumptions(option.costs() == null ? Map.of() : option.costs());
        double minutes = (system.work().minutesATree().get(0)
                        + system.work().minutesATree().get(1))
                / 2;
        boolean platform = system.isWorkedFromPlatforms();
        figures.add("tree", usual.tree().get(option.rootstockClass()), "a tree");
        figures.add("support", usual.supportPerHa().get(system.cost()), "a hectare");
        figures.add("irrigation", usual.irrigationPerHa(), "a hectare");
        figures.add("land", usual.landPerHa(), "a hectare");
        figures.add("plantingMinutes", usual.plantingMinutesPerTree(), "min a tree");
        figures.add("pruningMinutes", minutes, "min a tree and year");
        figures.add("trainingMinutes", minutes * usual.trainingMinutesShare(), "min a tree and year");
        figures.add("other", usual.otherPerHaYear(), "a hectare and year");
        figures.add("secondClassPrice", usual.secondClassPriceShare(), "of the price");
        figures.add("fieldShare", usual.fieldShare(), "of the tree's crop");
        figures.add(
                "pickKgPerHour",
                usual.pickKgPerHour() * Math.pow(fruitMass / USUAL_FRUIT_KG, usual.pickSizePower()),
                "kg an hour from the ground");
        figures.add("ladderFactor", usual.ladderFactor(), "of the ground's");
        figures.add("platformFactor", usual.platformFactor(), "of the ground's");
        figures.add("platform", platform ? 1 : 0, "1 where a platform is used, else ladders");
        figures.add(
                "thinFruitsPerHour",
                species.thinning().spacingCm() > 0 ? usual.thinFruitsPerHour() : 0,
                "fruits an hour; 0 where none are thinned");
        return figures;
    }

    /** Names that can be set. */
    public static Set<String> names() {
        return Set.of(
                "tree",
                "support",
                "irrigation",
                "land",
                "plantingMinutes",
                "pruningMinutes",
                "trainingMinutes",
                "other",
                "secondClassPrice",
                "fieldShare",
                "pickKgPerHour",
                "ladderFactor",
                "platformFactor",
                "platform",
                "thinFruitsPerHour");
    }

    private void add(String name, double usual, String unit) {
        Double own = set.get(name);
        all.put(name, new Assumed(name, own == null ? usual : own, unit, own == null ? "ours" : "yours"));
    }

    double get(String name) {
        return all.get(name).value();
    }

    /** All of them. */
    public List<Assumed> list() {
        return new ArrayList<>(all.values());
    }
}
