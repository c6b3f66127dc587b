package umbel.work;

import umbel.knowledge.LabourParameters;
import umbel.wood.Units;

/** How long cuts take, on the ground and on a ladder. */
public final class Labour {

    private Labour() {}

    /**
     * Minutes for cuts of one kind at one place.
     *
     * @param tool what they are made with
     * @param diameter of each cut, metres
     * @param count how many
     * @param threeStep whether each is made in three steps
     * @param ladder whether they are out of reach from the ground
     */
    public static double minutes(
            Tool tool, double diameter, int count, boolean threeStep, boolean ladder, LabourParameters rates) {
        double each = tool == Tool.TIE ? rates.bend() : rates.perCut().get(tool.word());
        if (tool == Tool.SAW) {
            each += rates.perSawCm2() * Units.toCm2(Units.section(diameter));
        }
        if (threeStep) {
            each += rates.threeStepExtra();
        }
        double minutes = each * count;
        return ladder ? minutes * rates.ladderFactor() + rates.ladderMove() : minutes;
    }
}
