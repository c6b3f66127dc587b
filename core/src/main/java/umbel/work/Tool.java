package umbel.work;

import java.util.Locale;
import umbel.knowledge.CutParameters;
import umbel.wood.Units;

/** What a cut is made with. */
public enum Tool {
    HAND,
    HAND_PRUNER,
    LOPPER,
    SAW,
    TIE;

    /** The smallest tool that makes a clean cut of this diameter (metres). */
    public static Tool forCut(double diameter, CutParameters.Tools tools) {
        double mm = Units.toMm(diameter);
        return mm <= tools.handPrunerMm() ? HAND_PRUNER : mm <= tools.lopperMm() ? LOPPER : SAW;
    }

    /** The word of the open format. */
    public String word() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** The word in a sentence. */
    public String spoken() {
        return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
