package umbel.app.sheets;

/** What is told of the rows with work. */
public final class SheetAnswers {

    private SheetAnswers() {}

    /** A row with marked work. */
    public record FieldRow(long blockId, String block, int row, int trees) {}
}
