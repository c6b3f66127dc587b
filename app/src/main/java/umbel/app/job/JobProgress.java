package umbel.app.job;

import java.time.Instant;

/**
 * How far a job has come.
 *
 * @param job its number
 * @param blockId the block it is about; null for every block of the farm
 * @param state running, ending, done, cancelled or failed
 * @param done trees that are done
 * @param failed trees that could not be done
 * @param total trees in all
 * @param startedAt when it was begun
 * @param endedAt when it was done or cancelled; null while it runs
 */
public record JobProgress(
        long job, Long blockId, String state, int done, int failed, int total, Instant startedAt, Instant endedAt) {

    /** Whether it goes on. */
    public boolean underWay() {
        return endedAt == null;
    }

    /** Whether all that could be done is done. */
    public boolean complete() {
        return state.equals(Job.DONE);
    }
}
