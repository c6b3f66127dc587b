package umbel.planting;

import umbel.knowledge.Species;

/** How the trees of an option stand in each year, told as a sound typical tree of some leaf and how far they are off it. */
@FunctionalInterface
interface Course {

    /** As it stands in a year from 1 on; where trees come into crop later than assumed, {@code delay} years later. */
    InYear in(int year, int delay);

    /**
     * Trees in a year.
     *
     * @param leaf they are in
     * @param bearing leaf whose crop they bear
     * @param light of what a sound tree catches, 0…1; likewise crop and first class
     * @param pruning of a full tree's pruning
     * @param trained whether they are still being trained
     * @param planted whether they are planted in the place of others this year
     */
    record InYear(
            int leaf,
            int bearing,
            double light,
            double crop,
            double firstClass,
            double pruning,
            boolean trained,
            boolean planted) {}

    /**
     * Trees planted in year 0 and again after each life.
     *
     * @param life years until they are replanted; null for longer than is looked ahead
     * @param crop of a sound tree's, less than 1 where the ground is tired of trees
     * @param fullAtLeaf leaf in which they fill their place
     */
    static Course planted(Integer life, double crop, int fullAtLeaf) {
        return (year, delay) -> {
            int leaf = life == null ? year : (year - 1) % life + 1;
            return new InYear(
                    leaf,
                    leaf - delay,
                    1,
                    crop,
                    1,
                    Math.min(1, (double) leaf / Math.max(1, fullAtLeaf)),
                    leaf <= fullAtLeaf,
                    life != null && year > life && leaf == 1);
        };
    }

    /** Trees that go on as they stand: they bear a share of what sound ones do, and a little less each year. */
    static Course kept(int leafToday, Assumptions figures) {
        return (year, delay) -> old(
                leafToday + year,
                figures.get("standingCrop") * aging(figures, year),
                figures.get("standingFirstClass"),
                1);
    }

    /** Trees that bear less while old wood is taken out of them, and as sound ones some years after. */
    static Course renovated(int leafToday, Assumptions figures) {
        double winters = figures.get("renovationYears");
        double recovery = figures.get("renovationRecovery");
        return (year, delay) -> {
            double standing = figures.get("standingCrop") * aging(figures, year);
            if (year <= winters) {
                return old(
                        leafToday + year,
                        standing * figures.get("renovationCrop"),
                        figures.get("standingFirstClass"),
                        figures.get("renovationPruning"));
            }
            double back = share(year - delay - winters, recovery);
            return old(
                    leafToday + year,
                    between(standing * figures.get("renovationCrop"), aging(figures, year - (int) winters), back),
                    between(figures.get("standingFirstClass"), 1, back),
                    1);
        };
    }

    /** Trees cut low in year 0 and grafted: they bear from the kind's year on and fully some years later. */
    static Course topworked(int leafToday, Species.Topwork kind) {
        return (year, delay) -> {
            double head = share(year, kind.fullAfterY());
            int grafted = year - delay;
            double crop = grafted < kind.bearsAfterY()
                    ? 0
                    : share(grafted - kind.bearsAfterY() + 1, kind.fullAfterY() - kind.bearsAfterY() + 1);
            return new InYear(
                    leafToday + year, leafToday + year, head, crop, 1, head, year <= kind.fullAfterY(), false);
        };
    }

    private static InYear old(int leaf, double crop, double firstClass, double pruning) {
        return new InYear(leaf, leaf, 1, crop, firstClass, pruning, false, false);
    }

    private static double aging(Assumptions figures, int year) {
        return Math.pow(Math.max(0, 1 - figures.get("standingDecline")), year);
    }

    private static double share(double done, double all) {
        return all <= 0 ? 1 : Math.max(0, Math.min(1, done / all));
    }

    private static double between(double from, double to, double share) {
        return from + share * (to - from);
    }
}
