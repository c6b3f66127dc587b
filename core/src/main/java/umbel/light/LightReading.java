package umbel.light;

import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Light over the growing season in one tree, as shares of open-sky light on the level.
 *
 * @param sites the fruiting sites, in the tree's order
 * @param light at each site, 0…1
 * @param leaf light on the leaf itself
 * @param leafIndex leaf over the ground the tree has, m² a m²
 * @param interception share of the light on the whole ground that leaves and wood catch, 0…1
 */
public record LightReading(
        List<FruitingSite> sites, double[] light, LeafLight leaf, double leafIndex, double interception) {

    /** Share of fruiting sites that get less than {@code limit}; 0 for a tree without sites. */
    public double shareUnder(double limit) {
        double under = 0;
        double all = 0;
        for (int s = 0; s < light.length; s++) {
            double weight = sites.get(s).weight();
            all += weight;
            if (light[s] < limit) {
                under += weight;
            }
        }
        return all == 0 ? 0 : under / all;
    }

    /** Mean light of the sites on each measured limb, by limb id. */
    public Map<String, Double> meanByLimb() {
        Map<String, double[]> sums = new HashMap<>();
        for (int s = 0; s < light.length; s++) {
            double weight = sites.get(s).weight();
            double[] sum = sums.computeIfAbsent(sites.get(s).axis().limb(), limb -> new double[2]);
            sum[0] += light[s] * weight;
            sum[1] += weight;
        }
        Map<String, Double> means = new HashMap<>();
        sums.forEach((limb, sum) -> means.put(limb, sum[0] / sum[1]));
        return means;
    }

    /** Mean light over all sites; 0 for a tree without sites. */
    public double mean() {
        double sum = 0;
        double all = 0;
        for (int s = 0; s < light.length; s++) {
            sum += light[s] * sites.get(s).weight();
            all += sites.get(s).weight();
        }
        return all == 0 ? 0 : sum / all;
    }
}
