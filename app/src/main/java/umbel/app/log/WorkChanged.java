package umbel.app.log;

/**
 * Something the crew's schedule rests on is no longer as it was: work was done, weather came in.
 *
 * @param because what happened, as the end of a sentence
 */
public record WorkChanged(String because) {}
