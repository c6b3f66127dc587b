package umbel.app.orchard;

/**
 * The rows of a block.
 *
 * @param rows how many, from 1
 * @param places places in the longest row, from 1
 */
public record RowLayout(int rows, int places) {

    private static final double LONGER_THAN_WIDE = 1.5;

    /** The layout of a block of which only the number of trees is known: about one and a half times as long as it is wide. */
    static RowLayout estimated(int trees, double inRowM, double betweenRowsM) {
        int places = Math.max(1, (int) Math.round(Math.sqrt(LONGER_THAN_WIDE * trees * betweenRowsM / inRowM)));
        return new RowLayout((int) Math.ceil(trees / (double) places), places);
    }

    /** Whether there is such a place. */
    public boolean has(int row, int place) {
        return row >= 1 && row <= rows && place >= 1 && place <= places;
    }
}
