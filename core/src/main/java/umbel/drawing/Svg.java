package umbel.drawing;

import java.util.Locale;

/** Pieces of SVG with their numbers filled in, written with a point as the format asks. */
public final class Svg {

    private Svg() {}

    /** A piece by its pattern, as {@link String#format} reads it. */
    public static String of(String pattern, Object... values) {
        return String.format(Locale.ROOT, pattern, values);
    }

    /** Words as they may stand in a text or an attribute. */
    static String escaped(String text) {
        return text.replace("&", "&amp;").replace("<", "&lt;").replace(">", "&gt;");
    }
}
