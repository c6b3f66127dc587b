package umbel.counted;

import java.util.Locale;

/** What can be wrong with a counted plant, where it comes in the order of the work, and whether a cut answers it. */
public enum CountRule {
    UNSOUND_CANE("unsound", true),
    FRUITED_CANES("unsound", true),
    BUD_KILL("unsound", true),
    WORN_ARM("frame", true),
    WIDE_ROW("frame", true),
    OVER_CAP("frame", false),
    NO_TRELLIS("frame", false),
    LOW_CANE("uprights", true),
    RUBBING_CANE("uprights", true),
    CLOSED_CENTRE("uprights", true),
    OLD_CANES("renewal", true),
    AGE_GAP("renewal", false),
    TOO_MANY_CANES("renewal", true),
    TOO_FEW_CANES("renewal", false),
    CROWDED_ROW("renewal", true),
    THIN_ROW("renewal", false),
    NODES_OVER("renewal", true),
    NODES_UNDER("renewal", false),
    NO_RENEWAL("renewal", true),
    WEAK_WOOD("renewal", false),
    BULL_WOOD("renewal", false),
    WEAK_CANE("detail", true),
    TALL_CANE("detail", true),
    LONG_LATERAL("detail", true),
    LOW_LATERAL("detail", true),
    ROOTING_TIP("train", true),
    OVER_BEARING("crop", true);

    private final String stage;
    private final boolean answered;

    CountRule(String stage, boolean answered) {
        this.stage = stage;
        this.answered = answered;
    }

    /** Its id in the open format. */
    public String id() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** Where it comes in the order of the work. */
    public String stage() {
        return stage;
    }

    /** Whether a cut or a tie answers it. */
    public boolean isAnswered() {
        return answered;
    }
}
