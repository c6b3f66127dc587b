package umbel.practice;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/**
 * A fault that can be built into a practice tree; each is what one reading rule looks for. Codes of exercises count on their order:
 * new ones go to the end.
 */
public enum Fault {
    DEAD_LIMB("unsound-wood"),
    BROKEN_LIMB("unsound-wood"),
    CANKER("unsound-wood"),
    SUCKERS("root-sucker"),
    RIVAL_LEADER("rival-leader"),
    THICK_LIMB("limb-too-thick"),
    TIGHT_CROTCH("tight-crotch"),
    CROWDED_ORIGIN("crowded-origin"),
    STACKED_LIMBS("stacked-limbs"),
    CROSSING_LIMBS("crossing"),
    INWARD_LIMB("inward"),
    WATER_SPROUTS("water-sprout"),
    HANGERS("hanger"),
    TOO_TALL("over-height"),
    THICKET("crowding"),
    BARE_SIDE("bare-sector"),
    LOST_CONE("lost-cone"),
    OUT_OF_BOX("out-of-box"),
    NOT_FILLED("box-not-filled"),
    LOP_SIDED("lop-sided"),
    OLD_SPURS("old-wood"),
    MOVED_OUT("wood-moved-out"),
    RANK_GROWTH("over-vigour"),
    WEAK_GROWTH("under-vigour"),
    HEAVY_BLOOM("over-crop"),
    FEW_BUDS("under-crop"),
    LOW_LIMB("will-drop");

    private final String rule;

    Fault(String rule) {
        this.rule = rule;
    }

    /** The id of the rule that finds it. */
    public String rule() {
        return rule;
    }

    /** Its name in the codes of exercises. */
    public String word() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** The fault of a word; empty for any other. */
    public static Optional<Fault> of(String word) {
        return Arrays.stream(values()).filter(one -> one.word().equals(word)).findFirst();
    }
}
