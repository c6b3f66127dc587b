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

    /**
     * Clears away what a job was given, once it has ended in whatever way; by another node where the one that did it is gone, and
     * then perhaps for the second time.
     */
    default void clear(EndedJob job) {}

    /**
     * A job that has ended.
     *
     * @param given what it was given; null where nothing was
     * @param outcome what was found last; null where nothing was
     * @param done whether it came to its end, rather than failing or being cancelled
     */
    record EndedJob(String given, String outcome, boolean done) {}

    /** The work cannot be done, for a reason that whoever began it is told. */
    final class Impossible extends RuntimeException {

        private static final long serialVersionUID = 1L;

        private final String outcome;

        /** @param outcome kept with the job */
        public Impossible(String outcome, Throwable cause) {
            super(outcome, cause);
            this.outcome = outcome;
        }

        String outcome() {
            return outcome;
        }
    }

    /** A job that is under way. */
    interface RunningJob {

        /** The block it is about; null for every block of the farm. */
        Long block();

        /** What it was given when it was begun; null where nothing was. */
        String given();

        /** What was found so far, also by a node that was killed at it; null where nothing was. */
        String outcome();

        /** Keeps what was found, with the transaction of the thread where there is one. */
        void found(String outcome);

        /** Who began it. */
        String who();

        /** Tells how far it has come, apart from any transaction of the thread. */
        void report(int done);

        /** Whether it was cancelled: nothing of it will be kept. */
        boolean cancelled();

        /** Whether it is to end now, and what was found so far is to be kept. */
        boolean toEnd();
    }
}
