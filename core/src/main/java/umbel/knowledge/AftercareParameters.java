package umbel.knowledge;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;

/**
 * Numbers of what is done after the last cut.
 *
 * @param woundDiameter wounds from this thickness on are told of, millimetres
 * @param dressedAgainst diseases that enter by fresh wounds, against which these are dressed by every school
 * @param baredLight a limb is newly bared when its light rises by this share of open sky, 0…1
 * @param baredDiameter limbs from this thickness on burn, millimetres
 * @param baredInclination limbs leaning this far from upright turn their bark to the sun, degrees
 * @param loadKg fresh prunings on one trailer, kilograms
 */
public record AftercareParameters(
        @JsonProperty("woundDiameter_mm") double woundDiameter,
        List<String> dressedAgainst,
        double baredLight,
        @JsonProperty("baredDiameter_mm") double baredDiameter,
        @JsonProperty("baredInclination_deg") double baredInclination,
        @JsonProperty("load_kg") double loadKg) {}
