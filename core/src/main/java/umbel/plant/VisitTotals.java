package umbel.plant;

import umbel.assess.Assessment;

/**
 * What a visit comes to as a whole.
 *
 * @param told in the open format's names and units
 * @param overCrop whether more fruit is to be expected afterwards than the plant can finish
 */
public record VisitTotals(Assessment.TotalsAnswer told, boolean overCrop) {

    /** Share of the fruiting wood that gets less light than fruit needs. */
    public double shade() {
        return told.lightAfter().underFruitLight();
    }
}
