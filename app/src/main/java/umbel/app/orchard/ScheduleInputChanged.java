package umbel.app.orchard;

import umbel.text.Statement;

/**
 * Something the crew's schedule rests on is no longer as it was: work was done, weather came in.
 *
 * @param because what happened, as the end of a sentence
 * @param blockId where; null where it is no single block
 */
public record ScheduleInputChanged(Statement because, Long blockId) {}
