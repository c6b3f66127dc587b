package umbel.growth;

import java.util.Map;

/**
 * What a tree itself tells about how it grows, worked out once from its survey (see {@link InitialState}).
 *
 * @param vigour share of the year's surplus that becomes growth, against the usual of its kind and stock
 * @param waking how readily dormant buds answer a wound, against the usual of its kind
 * @param flowering flower buds formed, against what light, load and vigour of the wood alone would give
 * @param setting fruits a flower bud sets, against the usual of its kind
 * @param spurring share of the buds too weak to make a shoot that become spurs; the others fade
 * @param clothing what the fruiting laterals nobody measured need to open as much leaf as they carry, against what the same leaf
 *     costs elsewhere
 * @param thickening wood laid on for its leaf, against the usual of its kind
 * @param ends strength of an end that was measured, by axis id, so that it grows as it did; 1 where it is not named
 */
public record GrowthTraits(
        double vigour,
        double waking,
        double flowering,
        double setting,
        double spurring,
        double clothing,
        double thickening,
        Map<String, Double> ends) {

    /** A tree like any other of its kind. */
    static final GrowthTraits USUAL = new GrowthTraits(1, 1, 1, 1, 1, 1, 1, Map.of());

    public GrowthTraits {
        ends = Map.copyOf(ends);
    }

    /** The same tree with the usual vigour of its kind. */
    GrowthTraits ofUsualVigour() {
        return new GrowthTraits(1, waking, flowering, setting, spurring, clothing, thickening, ends);
    }

    /** The same tree in a season that favours growth by a factor. */
    GrowthTraits inSeason(double favour) {
        return new GrowthTraits(vigour * favour, waking, flowering, setting, spurring, clothing, thickening, ends);
    }

    /** The same tree with other needs of its fruiting laterals and strengths of its ends. */
    GrowthTraits with(double otherClothing, Map<String, Double> otherEnds) {
        return new GrowthTraits(vigour, waking, flowering, setting, spurring, otherClothing, thickening, otherEnds);
    }
}
