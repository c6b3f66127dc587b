package umbel.app.job;

import umbel.app.farm.Farm;

/** Begun every night for every farm. */
public interface NightWork {

    /** Begins it for a farm, the one this thread works for, where the farm wants it. */
    void begin(Farm farm);
}
