package umbel.planting;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/** What an option does with the land and the trees that stand on it. */
enum Act {
    /** Planted on bare land. */
    PLANT,
    /** The standing trees go on as they are. */
    KEEP,
    /** The standing trees are brought back into shape over some winters. */
    RENOVATE,
    /** The standing trees are cut low and grafted to another cultivar. */
    TOPWORK,
    /** The standing trees are cleared, all at once or part by part, and others planted. */
    REPLANT;

    /** Whether the trees that stand today are those of the option. */
    boolean keepsTheTrees() {
        return this == KEEP || this == RENOVATE || this == TOPWORK;
    }

    /** Its code, as requests and answers name it. */
    String code() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** The codes of what can be done with standing trees. */
    static List<String> onStanding() {
        return Arrays.stream(values())
                .filter(act -> act != PLANT)
                .map(Act::code)
                .toList();
    }

    /** The act of a code that was checked. */
    static Act of(String code) {
        return valueOf(code.toUpperCase(Locale.ROOT));
    }
}
