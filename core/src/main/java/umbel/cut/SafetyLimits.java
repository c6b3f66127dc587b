package umbel.cut;

import umbel.knowledge.CutParameters;
import umbel.wood.Units;

/**
 * What the holding does not let its own people do; null sets no limit. Whatever is past one is left to a qualified person. They
 * can only be stricter than the parameters' own.
 *
 * @param diameterMm thickest cut
 * @param massKg heaviest piece that falls
 * @param heightM highest cut above ground
 * @param nearPowerLines whether lines run near: then nothing is sawn or cut from a ladder
 */
public record SafetyLimits(Double diameterMm, Double massKg, Double heightM, boolean nearPowerLines) {

    /** No limits but the parameters' own. */
    public static SafetyLimits none() {
        return new SafetyLimits(null, null, null, false);
    }

    /** Whether the holding's people must leave a cut alone. */
    public boolean stop(Effect effect, CutParameters.Tools tools) {
        if (effect.qualified() || tools.qualified().passedBy(effect.diameter(), effect.mass())) {
            return true;
        }
        boolean thick = diameterMm != null && Units.toMm(effect.diameter()) >= diameterMm;
        boolean heavy = massKg != null && effect.mass() >= massKg;
        boolean high = heightM != null && effect.cuts() > 0 && effect.height() >= heightM;
        return thick || heavy || high || nearPowerLines && (effect.big() || effect.ladder());
    }
}
