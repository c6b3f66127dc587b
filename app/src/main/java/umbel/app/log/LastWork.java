package umbel.app.log;

import java.time.LocalDate;

/** Who worked on a tree and when, by which survey. */
public record LastWork(Long surveyId, LocalDate doneOn, String who) {}
