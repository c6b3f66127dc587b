package umbel.light;

/**
 * The share of sky in a photograph taken straight up: sky is brighter in blue than leaf and wood, and the threshold between
 * them is the one that parts the histogram best (Otsu 1979).
 */
public final class SkyPixels {

    private static final int LEVELS = 256;
    /** Classes whose means are nearer than this are one: a picture of leaf alone or of sky alone. */
    private static final double APART = 40;

    private SkyPixels() {}

    /**
     * The share of sky.
     *
     * @param pixels packed red, green and blue, eight bits each
     * @return 0…1
     * @throws IllegalArgumentException without pixels
     */
    public static double share(int[] pixels) {
        if (pixels.length == 0) {
            throw new IllegalArgumentException("A picture without pixels.");
        }
        int[] histogram = new int[LEVELS];
        for (int pixel : pixels) {
            histogram[pixel & 0xff]++;
        }
        int threshold = threshold(histogram, pixels.length);
        long sky = 0;
        double skySum = 0;
        double sum = 0;
        for (int level = 0; level < LEVELS; level++) {
            sum += (double) level * histogram[level];
            if (level > threshold) {
                sky += histogram[level];
                skySum += (double) level * histogram[level];
            }
        }
        double rest = pixels.length - sky;
        if (sky == 0 || rest == 0 || skySum / sky - (sum - skySum) / rest < APART) {
            return sum / pixels.length >= LEVELS / 2.0 ? 1 : 0;
        }
        return (double) sky / pixels.length;
    }

    /** The level that parts a histogram into two classes with the greatest variance between them. */
    private static int threshold(int[] histogram, int count) {
        double all = 0;
        for (int level = 0; level < LEVELS; level++) {
            all += (double) level * histogram[level];
        }
        double best = -1;
        int first = 0;
        int last = 0;
        double below = 0;
        double sumBelow = 0;
        for (int level = 0; level < LEVELS; level++) {
            below += histogram[level];
            sumBelow += (double) level * histogram[level];
            double above = count - below;
            if (below == 0 || above == 0) {
                continue;
            }
            double apart = sumBelow / below - (all - sumBelow) / above;
            double between = below * above * apart * apart;
            if (between > best) {
                best = between;
                first = level;
            }
            last = between >= best ? level : last;
        }
        return (first + last) / 2;
    }
}
