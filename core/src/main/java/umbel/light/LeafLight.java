package umbel.light;

/**
 * Light on a sample of a tree's leaf.
 *
 * @param area leaf each place stands for, m²
 * @param light at each place, share of open sky
 */
public record LeafLight(double[] area, double[] light) {

    /** All leaf, m². */
    public double all() {
        double sum = 0;
        for (double one : area) {
            sum += one;
        }
        return sum;
    }

    /** Leaf that gets at least so much light, m². */
    public double atLeast(double limit) {
        double lit = 0;
        for (int i = 0; i < light.length; i++) {
            lit += light[i] >= limit ? area[i] : 0;
        }
        return lit;
    }

    /** Share of the leaf that gets less than so much light; 0 for a bare tree. */
    public double shareUnder(double limit) {
        double all = all();
        return all <= 0 ? 0 : 1 - atLeast(limit) / all;
    }
}
