package umbel.plan;

import umbel.crop.CropReading;
import umbel.cut.CutTree;
import umbel.cut.Effect;
import umbel.knowledge.LightLines;
import umbel.light.LightModel;
import umbel.light.LightReading;
import umbel.light.LightSummary;
import umbel.wood.Tree;

/**
 * The gauges: what a visit's operations come to.
 *
 * @param woodShare share of leaf-bearing small wood taken, 0…1
 * @param minutes all work, looking included
 * @param ladderMinutes of which on a ladder
 * @param light of the tree that is left, by the school's lines
 * @param crop flower buds and fruits afterwards, against the target of the tree as found
 * @param cropShare crop the tree can finish this year, against the same tree left alone
 * @param sprouts new shoots to expect from the cuts
 * @param mass fresh wood that falls, kilograms
 */
public record Totals(
        double woodShare,
        int bigCuts,
        int cuts,
        double minutes,
        double ladderMinutes,
        LightSummary light,
        CropReading crop,
        double cropShare,
        double sprouts,
        double mass) {

    /**
     * Adds up a visit.
     *
     * @param uncut the crop of the tree as found
     * @param lines light under which the school counts fruiting wood as shaded
     * @param reach height a person on the ground reaches, metres
     */
    public static Totals of(CutTree cut, CropReading uncut, LightLines lines, double reach) {
        return read(cut, uncut, lines, reach).totals();
    }

    /** Totals with the light they were worked out from. */
    public record Sum(Totals totals, LightReading light) {}

    /** Adds up a visit, and gives the light of the tree that is left as well. */
    public static Sum read(CutTree cut, CropReading uncut, LightLines lines, double reach) {
        return read(cut, uncut, LightModel.read(cut.left()), lines, reach);
    }

    /** The same where the light of the tree that is left is known. */
    static Sum read(CutTree cut, CropReading uncut, LightReading light, LightLines lines, double reach) {
        int big = 0;
        int cuts = 0;
        double minutes = cut.operations().isEmpty()
                ? 0
                : cut.found().setting().system().work().lookMinutes();
        double ladder = 0;
        double sprouts = 0;
        double mass = 0;
        for (Effect effect : Effect.ofAll(cut, reach)) {
            big += effect.big() ? effect.cuts() : 0;
            cuts += effect.cuts();
            minutes += effect.minutes();
            ladder += effect.ladder() ? effect.minutes() : 0;
            sprouts += effect.sprouts();
            mass += effect.mass();
        }
        Tree left = cut.left();
        CropReading crop = CropReading.of(left, light, uncut.targetFruits());
        Totals totals = new Totals(
                cut.woodShare(),
                big,
                cuts,
                minutes,
                ladder,
                LightSummary.of(light, lines),
                crop,
                share(crop, uncut),
                sprouts,
                mass);
        return new Sum(totals, light);
    }

    private static double share(CropReading after, CropReading before) {
        double wanted = before.targetFruits();
        double could = Math.min(before.expectedFruits(), wanted);
        return could <= 0 ? 1 : Math.min(after.expectedFruits(), wanted) / could;
    }
}
