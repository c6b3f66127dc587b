package umbel.app.job;

/** Begun every night for every farm that has not turned it off. */
public interface NightWork {

    /** Begins it for the farm this thread works for. */
    void begin();
}
