package umbel.counted;

import java.util.ArrayList;
import java.util.List;
import umbel.knowledge.CountedKind;
import umbel.knowledge.CountingParameters;

/**
 * Canes of a bush by age, carried forward season by season: light by depth, crop by age and light, new canes by the light at the
 * base and by how much leaf was taken. An age-class model; see docs/model/counted.md.
 */
final class BushSeasons {

    private final CountedKind.Bush kind;
    private final CountingParameters numbers;
    private final double vigour;

    /** How many old canes go before a season, of so many. */
    @FunctionalInterface
    interface YearlyWork {

        /** Canes to take of a bush with {@code count}. */
        double takes(double count);
    }

    /**
     * A bush at the beginning of a season.
     *
     * @param canes by age, those that grew last season first
     * @param size mean crop of a cane of each age against the usual, by thickness
     * @param leaf years since planting
     */
    record Stand(double[] canes, double[] size, int leaf) {

        double count() {
            double sum = 0;
            for (double of : canes) {
                sum += of;
            }
            return sum;
        }
    }

    BushSeasons(CountedKind.Bush kind, CountingParameters numbers, double vigour) {
        this.kind = kind;
        this.numbers = numbers;
        this.vigour = vigour;
    }

    /** The sound canes of a bush in a leaf, by age. */
    Stand stand(List<BushCane> of, int leaf) {
        double[] count = new double[kind.ages()];
        double[] size = new double[kind.ages()];
        for (BushCane cane : of) {
            if (cane.unsound()) {
                continue;
            }
            int age = kind.index(cane.age());
            count[age]++;
            size[age] += cane.measured() && cane.ageKnown()
                    ? numbers.bush().size().at(cane.diameterMm() / cane.usualMm())
                    : 1;
        }
        for (int age = 0; age < count.length; age++) {
            size[age] = count[age] == 0 ? 1 : size[age] / count[age];
        }
        return new Stand(count, size, leaf);
    }

    /** Leaf of a stand, m². */
    double leaf(Stand stand) {
        double leaf = 0;
        for (int age = 0; age < stand.canes().length; age++) {
            leaf += stand.canes()[age] * kind.leafByAge().get(age);
        }
        return leaf;
    }

    /** Mean light and light at the base under so much leaf. */
    CountReading.Light light(double leaf) {
        double half = leaf / kind.area() / 2;
        double mean = half < 1e-9 ? 1 : (1 - Math.exp(-half)) / half;
        return new CountReading.Light(mean, Math.exp(-half));
    }

    /** What a stand could bear in full light and full age, kg. */
    double potential(Stand stand) {
        double sum = 0;
        for (int age = 0; age < stand.canes().length; age++) {
            sum += stand.canes()[age] * kind.yieldByAge().get(age) * stand.size()[age];
        }
        return kind.kgPerCane() * sum * byLeaf(kind.young().crownByLeaf(), stand.leaf());
    }

    /** The crop a bush of a leaf may carry, of what it could bear, kg. */
    double allowed(int leaf, double potential) {
        CountedKind.Young young = kind.young();
        if (leaf <= young.cropByLeaf().size()) {
            return Math.min(potential, young.cropByLeaf().get(Math.max(0, leaf - 1)));
        }
        return leaf <= young.cropShare().leaf() ? young.cropShare().share() * potential : potential;
    }

    /** Whether a bush of this leaf is still building its crown. */
    boolean isYoung(int leaf) {
        return leaf <= kind.young().crownByLeaf().size() - 1;
    }

    /**
     * The seasons after a winter's work.
     *
     * @param kept what stays
     * @param removed share of the leaf that was taken, 0…1
     * @param work what later winters take, oldest first
     */
    List<CountPlan.Season> seasons(Stand kept, double removed, YearlyWork work, boolean deflowered, int count) {
        List<CountPlan.Season> seasons = new ArrayList<>();
        Stand stand = kept;
        double taken = removed;
        for (int i = 0; i < count; i++) {
            CountReading.Light light = light(leaf(stand));
            seasons.add(season(stand, light, taken, deflowered));
            Stand grown = grown(stand, light, newCanes(stand.leaf(), light, taken));
            Stand after = without(grown, work.takes(grown.count()));
            double before = leaf(grown);
            taken = before <= 0 ? 0 : 1 - leaf(after) / before;
            stand = after;
        }
        return seasons;
    }

    private CountPlan.Season season(Stand stand, CountReading.Light light, double taken, boolean deflowered) {
        double lit = Math.min(1, light.mean() / numbers.bush().goodLight());
        double crop = potential(stand) * lit;
        double allowed = deflowered ? allowed(stand.leaf(), crop) : crop;
        double good = 0;
        double all = 0;
        for (int age = 0; age < stand.canes().length; age++) {
            double bears = stand.canes()[age] * kind.yieldByAge().get(age) * stand.size()[age];
            all += bears;
            good += bears * kind.marketableByAge().get(age);
        }
        double share = all <= 0 ? 0 : good / all;
        return new CountPlan.Season(allowed, allowed * share * lit, newCanes(stand.leaf(), light, taken), 0);
    }

    /** New strong canes a season. */
    double newCanes(int leaf, CountReading.Light light, double removed) {
        List<Double> young = kind.young().newByLeaf();
        if (leaf <= young.size()) {
            return young.get(Math.max(0, leaf - 1)) * vigour;
        }
        CountingParameters.Bush bush = numbers.bush();
        double released = bush.release().fixed() + bush.release().perShare() * removed;
        return kind.newCanes()
                * vigour
                * light.base()
                / (light.base() + bush.baseHalf())
                * released
                * byLeaf(kind.young().crownByLeaf(), leaf);
    }

    private Stand grown(Stand stand, CountReading.Light light, double young) {
        int ages = stand.canes().length;
        double[] canes = new double[ages];
        double[] size = new double[ages];
        CountingParameters.ShadeDeath shade = numbers.bush().shadeDeath();
        double dark = shade.most() * Math.max(0, (shade.below() - light.mean()) / shade.below());
        canes[0] = young;
        size[0] = 1;
        for (int age = 0; age < ages; age++) {
            double lives = stand.canes()[age] * Math.max(0, kind.survivalByAge().get(age) - dark);
            int next = Math.min(ages - 1, age + 1);
            double together = canes[next] + lives;
            size[next] = together <= 0 ? 1 : (canes[next] * size[next] + lives * stand.size()[age]) / together;
            canes[next] = together;
        }
        return new Stand(canes, size, stand.leaf() + 1);
    }

    /** A stand without so many of its oldest canes. */
    private static Stand without(Stand stand, double count) {
        double[] canes = stand.canes().clone();
        double left = Math.max(0, count);
        for (int age = canes.length - 1; age >= 0 && left > 0; age--) {
            double away = Math.min(left, canes[age]);
            canes[age] -= away;
            left -= away;
        }
        return new Stand(canes, stand.size(), stand.leaf());
    }

    private static double byLeaf(List<Double> list, int leaf) {
        return list.get(Math.max(0, Math.min(list.size(), leaf) - 1));
    }
}
