package umbel.growth;

/**
 * What a tree itself tells about how it grows, worked out once from its survey (see {@link InitialState}).
 *
 * @param vigour share of the year's surplus that becomes growth, against the usual of its kind and stock
 * @param waking how readily dormant buds answer a wound, against the usual of its kind
 * @param flowering flower buds formed, against what light, load and vigour of the wood alone would give
 * @param setting fruits a flower bud sets, against the usual of its kind
 * @param spurring share of the buds too weak to make a shoot that become spurs; the others fade
 */
public record GrowthTraits(double vigour, double waking, double flowering, double setting, double spurring) {

    /** A tree like any other of its kind. */
    static final GrowthTraits USUAL = new GrowthTraits(1, 1, 1, 1, 1);

    /** The same tree with the usual vigour of its kind. */
    GrowthTraits ofUsualVigour() {
        return new GrowthTraits(1, waking, flowering, setting, spurring);
    }

    /** The same tree in a season that favours growth by a factor. */
    GrowthTraits inSeason(double favour) {
        return new GrowthTraits(vigour * favour, waking, flowering, setting, spurring);
    }
}
