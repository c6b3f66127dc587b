package umbel.wood;

import java.util.List;
import java.util.Set;
import umbel.knowledge.CultivarParameters;
import umbel.knowledge.LightParameters;
import umbel.knowledge.Parameters;
import umbel.knowledge.Species;
import umbel.knowledge.TrainingSystem;

/**
 * What a tree is and where it stands, with everything the survey left out filled in.
 *
 * @param leaf years since planting
 * @param cultivar what its cultivar and stock make of the species
 * @param place where it stands
 * @param trunkSection trunk cross-section where it was measured, m²
 * @param unionAt height of the graft union, metres
 * @param grownMeasured ids of limbs whose last growth was measured
 * @param estimated the survey fields that were estimated
 */
public record Setting(
        String label,
        Species species,
        TrainingSystem system,
        Parameters parameters,
        int leaf,
        Cultivated cultivar,
        Place place,
        double trunkSection,
        double unionAt,
        Set<String> grownMeasured,
        List<String> estimated) {

    /**
     * A cultivar on its stock.
     *
     * @param habit how it grows and bears
     * @param setFactor how heavily it sets, 1 is moderate
     * @param stock rootstock class
     * @param vigourFactor how strongly it grows against its species' usual, 1 is usual
     * @param fruitMass of one fruit, kilograms
     */
    public record Cultivated(
            CultivarParameters.Habit habit, double setFactor, String stock, double vigourFactor, double fruitMass) {}

    /**
     * The place of a tree.
     *
     * @param inRow distance to the neighbour in the row, metres
     * @param betweenRows distance to the next row, metres
     * @param rowBearing radians from north
     * @param latitude radians, north positive
     * @param slope of the ground
     * @param netShare share of the light a hail net keeps out, 0 without one
     */
    public record Place(
            double inRow, double betweenRows, double rowBearing, double latitude, Slope slope, double netShare) {

        /** Ground a tree has, m². */
        public double ground() {
            return inRow * betweenRows;
        }
    }

    /** A slope of the ground: rise for each metre uphill, and the bearing of uphill, radians from north. */
    public record Slope(double rise, double uphill) {

        /** Level ground. */
        public static final Slope LEVEL = new Slope(0, 0);

        /** Rise for each metre east. */
        public double east() {
            return rise * Math.sin(uphill);
        }

        /** Rise for each metre north. */
        public double north() {
            return rise * Math.cos(uphill);
        }
    }

    public Setting {
        grownMeasured = Set.copyOf(grownMeasured);
        estimated = List.copyOf(estimated);
    }

    /** The same tree in another year of its life, with the trunk it has then. */
    public Setting inLeaf(int otherLeaf, double otherSection) {
        return new Setting(
                label,
                species,
                system,
                parameters,
                otherLeaf,
                cultivar,
                place,
                otherSection,
                unionAt,
                grownMeasured,
                estimated);
    }

    /** The same tree where so many times as many flowers set as usual. */
    public Setting settingFruit(double times) {
        return new Setting(
                label,
                species,
                system,
                parameters,
                leaf,
                new Cultivated(
                        cultivar.habit(),
                        cultivar.setFactor() * times,
                        cultivar.stock(),
                        cultivar.vigourFactor(),
                        cultivar.fruitMass()),
                place,
                trunkSection,
                unionAt,
                grownMeasured,
                estimated);
    }

    /** Size of the full tree against what the system's usual stocks make, by cultivar and stock. */
    public double sizeFactor() {
        double usual = system.stocks().stream()
                .mapToDouble(one -> parameters.cultivar().stocks().get(one).size())
                .average()
                .orElse(1);
        double own = parameters.cultivar().stocks().get(cultivar.stock()).size();
        return Math.cbrt(own / usual) * cultivar.vigourFactor();
    }

    /** Height a tree of its kind comes to on its stock when nobody cuts it, metres. */
    public double heightOfStock() {
        return species.growing().seedlingHeight()
                * parameters.cultivar().stocks().get(cultivar.stock()).size();
    }

    /** Leaf from which the tree is expected to bear on its stock. */
    public int bearingLeaf() {
        return species.growing().bearingLeaf().get(cultivar.stock());
    }

    /**
     * Height up to which the tree is worked on, metres.
     *
     * @param reach height a person on the ground reaches, metres
     */
    public double workableHeight(double reach) {
        return reach * system.reachFactor() * species.hardness().heightFactor();
    }

    /** Whether the stock is one that dwarfs. */
    public boolean isDwarfed() {
        return cultivar.stock().equals("very-dwarfing") || cultivar.stock().equals("dwarfing");
    }

    /** Whether the tree is still filling its space. */
    public boolean isFilling() {
        return leaf < system.shape().fullAtLeaf();
    }

    /**
     * Growth in a season that is wanted of a tree of its kind, stock and age, from and to, centimetres.
     *
     * @param leader of the leader, which goes on filling the space, or of main limbs: those that are laid down and renewed
     *     are meant to stay calm
     */
    public List<Double> wantedExtensionCm(boolean leader) {
        Species.Vigour vigour = species.vigour();
        if (isStillBuilding(leader)) {
            return vigour.youngCm();
        }
        return isDwarfed() ? vigour.dwarfingCm() : vigour.bearingCm();
    }

    /** Whether the leader, or the main limbs, are still to grow as on a young tree. */
    public boolean isStillBuilding(boolean leader) {
        return isFilling() && (leader || system.scaffolds().permanent());
    }

    /** Light settings with the species' own season where it has one. */
    public LightParameters light() {
        List<Integer> own = species.growing().lightSeason();
        return own == null ? parameters.light() : parameters.light().over(own.get(0), own.get(1));
    }
}
