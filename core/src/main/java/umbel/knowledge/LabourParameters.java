package umbel.knowledge;

import java.util.Map;

/** Minutes by tool and circumstance. */
public record LabourParameters(
        Map<String, Double> perCut,
        double perSawCm2,
        double threeStepExtra,
        double bend,
        double ladderFactor,
        double ladderMove,
        double sawShare) {}
