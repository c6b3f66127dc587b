package umbel.planting;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import umbel.knowledge.PlantingParameters;
import umbel.knowledge.Species;
import umbel.knowledge.TrainingSystem;

/** The figures an option is calculated with: those its sender set, the program's own for the rest; each with its unit. */
public final class Assumptions {

    /**
     * A figure.
     *
     * @param name to set it by
     * @param unit a code, as {@code per-ha}: money a hectare
     * @param from {@code yours} or {@code ours}
     */
    public record Assumed(String name, double value, String unit, String from) {}

    private final Map<String, Assumed> all = new LinkedHashMap<>();
    private final Map<String, Double> set;

    private Assumptions(Map<String, Double> set) {
        this.set = set;
    }

    /**
     * Those of an option.
     *
     * @param fruitMass of its kind, kg
     * @param weighed share of a sound tree's crop that the standing trees bear by what was picked; empty where nobody weighed it
     */
    static Assumptions of(
            PlantingRequest.Planting option,
            Species species,
            TrainingSystem system,
            double fruitMass,
            OptionalDouble weighed,
            PlantingParameters parameters) {
        PlantingParameters.Defaults usual = parameters.defaults();
        Assumptions figures = new Assumptions(option.costs() == null ? Map.of() : option.costs());
        figures.standing(option, parameters.standing(), weighed);
        double minutes = (system.work().minutesATree().get(0)
                        + system.work().minutesATree().get(1))
                / 2;
        boolean platform = system.isWorkedFromPlatforms();
        if (!option.act().keepsTheTrees()) {
            figures.add("tree", usual.tree().get(option.rootstockClass()), "per-tree");
            figures.add("support", usual.supportPerHa().get(system.cost()), "per-ha");
            figures.add("irrigation", usual.irrigationPerHa(), "per-ha");
            figures.add("land", usual.landPerHa(), "per-ha");
            figures.add("plantingMinutes", usual.plantingMinutesPerTree(), "min-per-tree");
        }
        figures.add("pruningMinutes", minutes, "min-per-tree-year");
        if (option.act() != Act.KEEP && option.act() != Act.RENOVATE) {
            figures.add("trainingMinutes", minutes * usual.trainingMinutesShare(), "min-per-tree-year");
        }
        figures.add("other", usual.otherPerHaYear(), "per-ha-year");
        figures.add("secondClassPrice", usual.secondClassPriceShare(), "of-price");
        figures.add("fieldShare", usual.fieldShare(), "of-crop");
        figures.add(
                "pickKgPerHour",
                Math.rint(usual.pickKgPerHour() * Math.pow(fruitMass / usual.pickFruitKg(), usual.pickSizePower())),
                "kg-per-hour");
        figures.add("ladderFactor", usual.ladderFactor(), "of-ground-pace");
        figures.add("platformFactor", usual.platformFactor(), "of-ground-pace");
        figures.add("platform", platform ? 1 : 0, "yes-no");
        figures.add(
                "thinFruitsPerHour",
                species.thinning().spacingCm() > 0 ? usual.thinFruitsPerHour() : 0,
                "fruits-per-hour");
        return figures;
    }

    /** What is assumed about the trees that stand, and about what is done with them. */
    private void standing(PlantingRequest.Planting option, PlantingParameters.Standing usual, OptionalDouble weighed) {
        Act act = option.act();
        boolean bearOn = act == Act.KEEP
                || act == Act.RENOVATE
                || act == Act.REPLANT && option.onStanding().overY() > 1;
        if (bearOn) {
            add("standingCrop", weighed.orElse(usual.crop()), "of-sound-crop", weighed.isPresent());
            add("standingDecline", usual.declineAYear(), "a-year");
            add("standingFirstClass", usual.firstClass(), "of-sound-crop");
        }
        switch (act) {
            case RENOVATE -> {
                add("renovationYears", usual.renovationYears(), "years");
                add("renovationCrop", usual.renovationCrop(), "of-standing-crop");
                add("renovationPruning", usual.renovationPruning(), "of-pruning");
                add("renovationRecovery", usual.renovationRecovery(), "years");
            }
            case TOPWORK -> {
                add("grafts", usual.graftsPerTree(), "per-tree");
                add("graftMinutes", usual.graftMinutesPerTree(), "min-per-tree");
            }
            case REPLANT -> {
                add("clearing", usual.clearingPerHa(), "per-ha");
                add("replantCrop", usual.replantCrop(), "of-sound-crop");
            }
            default -> {
                // bare land, or trees that go on: nothing more to assume
            }
        }
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
                "thinFruitsPerHour",
                "standingCrop",
                "standingDecline",
                "standingFirstClass",
                "renovationYears",
                "renovationCrop",
                "renovationPruning",
                "renovationRecovery",
                "grafts",
                "graftMinutes",
                "clearing",
                "replantCrop");
    }

    private void add(String name, double usual, String unit) {
        add(name, usual, unit, false);
    }

    private void add(String name, double usual, String unit, boolean weighed) {
        Double own = set.get(name);
        boolean yours = own != null || weighed;
        all.put(name, new Assumed(name, own == null ? usual : own, unit, yours ? "yours" : "ours"));
    }

    double get(String name) {
        return all.get(name).value();
    }

    /** All of them. */
    public List<Assumed> list() {
        return new ArrayList<>(all.values());
    }
}
