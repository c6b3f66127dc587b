package umbel.cropcount;

import umbel.knowledge.CropCountParameters;
import umbel.wood.Setting;

/** When a limb was counted, and so what was counted on it. */
public enum CountStage {
    /** Flower clusters, or flowers where each opens from a bud of its own. */
    BLOOM,
    /** Fruits some three weeks after bloom, before the June drop. */
    SET,
    /** Fruits after the June drop. */
    FRUIT;

    /** Fruits at harvest for one that was counted, if nothing is thinned. */
    double kept(Setting setting, CropCountParameters parameters) {
        return switch (this) {
            case BLOOM ->
                setting.species().crop().fruitsPerFlowerBud()
                        * setting.cultivar().setFactor();
            case SET -> parameters.kept().afterSet();
            case FRUIT -> parameters.kept().afterDrop();
        };
    }

    /** How far what comes of a count differs from block to block and year to year: one sigma of its logarithm. */
    double spread(CropCountParameters parameters) {
        return switch (this) {
            case BLOOM -> parameters.spread().bloom();
            case SET -> parameters.spread().set();
            case FRUIT -> parameters.spread().fruit();
        };
    }
}
