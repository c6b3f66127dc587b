package umbel.app.backup;

/**
 * What a backup holds.
 *
 * @param trees trees set up
 * @param surveys surveys saved
 * @param records visits recorded
 */
public record RestoreReport(long trees, long surveys, long records) {}
