package umbel.knowledge;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;
import java.util.Map;

/**
 * The wood and leaf that nobody measured, as far as no kind differs.
 *
 * @param youth share of its full leaf a trunk's section feeds in the first years
 * @param stocks by rootstock class: leaf for a trunk's section, length of the season's shoots and reach of laterals, each
 *     against a dwarfing stock's
 * @param sharing how a tree's leaf is shared among its limbs
 * @param second side branches of a lateral
 * @param shoots the season's shoots on a lateral
 * @param angleDeg of a lateral, and of what stands on it, to the wood that bears it
 * @param turnDeg from one lateral to the next round their limb
 * @param turnsTried places round the limb a lateral may take; it takes the one with the least leaf
 * @param clothedFrom small wood counted on a limb, against the usual, from which it carries all its laterals; less where it is barer
 * @param outside where the light of a fruiting place is read: outside its own cluster
 */
public record CanopyParameters(
        Youth youth,
        Map<String, Stock> stocks,
        Sharing sharing,
        Second second,
        Shoots shoots,
        @JsonProperty("angle_deg") double angleDeg,
        @JsonProperty("turn_deg") double turnDeg,
        int turnsTried,
        double clothedFrom,
        Outside outside) {

    /** Full leaf is reached in even steps a leaf. */
    public record Youth(double first, double aLeaf, double aLeafDwarfing) {

        /** Share of its full leaf a trunk's section feeds in a leaf. */
        public double at(int leaf, boolean dwarfing) {
            return Math.min(1, first + (dwarfing ? aLeafDwarfing : aLeaf) * leaf);
        }
    }

    /** Factors of one class of rootstock. */
    public record Stock(double leaf, double shoots, double reach) {}

    /**
     * How a tree's leaf is shared out.
     *
     * @param power to which limbs take up what their sections fall short of the trunk's
     * @param bounds of that factor
     * @param trunkMost share of the tree's leaf that may stand on the trunk itself
     * @param trunkFromLeaf leaf from which the trunk carries laterals of its own
     */
    public record Sharing(double power, List<Double> bounds, double trunkMost, int trunkFromLeaf) {}

    /** From which length a lateral has side branches, how far apart, and their greatest length. */
    public record Second(
            @JsonProperty("from_m") double from,
            @JsonProperty("every_cm") double everyCm,
            @JsonProperty("most_m") double most) {}

    /** From which share of a lateral outward the season's shoots stand, and how far apart. */
    public record Shoots(
            double from, @JsonProperty("every_cm") double everyCm) {}

    /** How far out and up from its middle a cluster's outside lies. */
    public record Outside(
            @JsonProperty("out_cm") double outCm,
            @JsonProperty("up_cm") double upCm) {}
}
