package umbel.app.plan;

import java.util.List;
import umbel.app.reader.Reader;
import umbel.knowledge.TrainingSystem;
import umbel.wood.Setting;
import umbel.wood.Units;

/**
 * The outline its system wants of a tree of its age, for drawing behind it.
 *
 * @param form cone, vase, bush or plane
 * @param heightM height wanted now
 * @param spreadM width along the row at its widest
 * @param topM width at its top
 * @param depthM width across the row
 * @param tiers where limbs should leave, how far they should reach
 * @param doNow what the system does in this leaf, or as a rule once it is full
 */
public record TargetShape(
        String form, double heightM, double spreadM, double topM, double depthM, List<TierShape> tiers, String doNow) {

    /** One tier of the outline. */
    public record TierShape(double heightM, int count, double reachM, double angleDeg) {}

    /** The outline of a tree in its setting. */
    static TargetShape of(Setting setting) {
        TrainingSystem system = setting.system();
        TrainingSystem.Shape shape = system.shape();
        double grown = shape.grown(setting.leaf());
        double height = shape.heightAt(setting.leaf());
        double spread = shape.spreadAt(setting.leaf());
        double width = spread / shape.spread();
        return new TargetShape(
                system.form(),
                Units.round(height, 2),
                Units.round(spread, 2),
                Units.round(shape.top() * width, 2),
                Units.round(shape.depth() * width, 2),
                system.tiers().stream()
                        .filter(tier -> tier.height() < height - 0.2)
                        .map(tier -> new TierShape(
                                tier.height(), tier.count(), Units.round(tier.reach() * width, 2), tier.angleDeg()))
                        .toList(),
                Reader.speech().knowledge(grown >= 1 ? system.mature() : stepOf(system, setting.leaf())));
    }

    private static String stepOf(TrainingSystem system, int leaf) {
        return system.steps().stream()
                .filter(step -> step.leaf() <= leaf)
                .reduce((first, second) -> second)
                .map(TrainingSystem.YearStep::what)
                .orElse("");
    }
}
