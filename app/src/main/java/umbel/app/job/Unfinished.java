package umbel.app.job;

/** Work of which the database knows that it is still to be done; looked for every now and then, across all farms. */
public interface Unfinished {

    /** Goes on with what a node left behind that is gone. */
    void resume();
}
