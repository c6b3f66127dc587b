package umbel.knowledge;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;

/**
 * A tree cut to a stump and grafted anew, whatever its kind.
 *
 * @param aboveUnion least height of the cut above the graft union, cm
 * @param aboveNurse height of the cut above the lowest limb, where that is to feed the roots, cm
 * @param belowLimb height of the cut below the lowest limb, where none is kept, cm
 * @param thin thickness under which a stump is not worth a rim of grafts, mm
 * @param grafts least and most
 * @param nurse thickness of the limb that feeds the roots against the trunk, from and to
 * @param longest seasons told ahead at the most
 */
public record TopworkParameters(
        @JsonProperty("aboveUnion_cm") double aboveUnion,
        @JsonProperty("aboveNurse_cm") double aboveNurse,
        @JsonProperty("belowLimb_cm") double belowLimb,
        @JsonProperty("thin_mm") double thin,
        List<Integer> grafts,
        List<Double> nurse,
        @JsonProperty("longest_y") int longest) {}
