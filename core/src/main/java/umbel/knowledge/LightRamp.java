package umbel.knowledge;

/**
 * Something that needs light: nothing of it up to one light, all of it from another, even between.
 *
 * @param none light up to which there is nothing, share of open sky
 * @param full light from which there is all
 */
public record LightRamp(double none, double full) {

    /** Share of it in this light, 0…1. */
    public double at(double light) {
        return Math.max(0, Math.min(1, (light - none) / (full - none)));
    }
}
