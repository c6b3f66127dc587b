package umbel.app.job;

/** What is done for a job in one piece. A node that is killed at it leaves nothing behind; another begins it anew. */
public interface WholeWork {

    /** The kind of job. */
    String kind();

    /**
     * Does it, outside of any transaction.
     *
     * @return what is kept, written within the transaction that ends the job: both happen, once, or neither
     */
    Runnable of(RunningJob job);

    /** A job that is under way. */
    interface RunningJob {

        /** The block it is about; null for every block of the farm. */
        Long block();

        /** Who began it. */
        String who();

        /** Tells how far it has come. */
        void report(int done);

        /** Whether it was cancelled: nothing of it will be kept. */
        boolean cancelled();

        /** Whether it is to end now, and what was found so far is to be kept. */
        boolean toEnd();
    }
}
