package umbel.format;

import java.util.regex.Pattern;

/**
 * Text in a table that a spreadsheet may open. A cell that begins like a formula would be run there; a leading apostrophe keeps
 * it text, and is taken off again where such a table is read.
 */
public final class TableCell {

    private static final Pattern FORMULA = Pattern.compile("^[=+@\\t\\r-].*", Pattern.DOTALL);
    private static final Pattern NUMBER = Pattern.compile("[+-]?\\d+(?:[.,]\\d+)?(?:[eE][+-]?\\d+)?");
    private static final Pattern MADE_SAFE = Pattern.compile("^'[=+@\\t\\r-].*", Pattern.DOTALL);

    private TableCell() {}

    /** The text as it is written; null is written as nothing. */
    public static String safe(String text) {
        if (text == null) {
            return "";
        }
        boolean formula =
                FORMULA.matcher(text).matches() && !NUMBER.matcher(text).matches();
        return formula ? "'" + text : text;
    }

    /** The text as it was before it was written. */
    public static String plain(String cell) {
        return MADE_SAFE.matcher(cell).matches() ? cell.substring(1) : cell;
    }
}
