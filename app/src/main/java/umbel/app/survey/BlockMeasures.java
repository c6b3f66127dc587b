package umbel.app.survey;

import umbel.app.orchard.Block;
import umbel.reading.MeasuredFactors;

/** What single measurements on a block's trees have taught, as far as readings need it. */
public interface BlockMeasures {

    /** The factors of a block; {@link MeasuredFactors#NONE} where nothing was measured since it learns. */
    MeasuredFactors of(Block block);
}
