package umbel.app.season;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;

/** What is told of the crew's schedule. */
public final class ScheduleAnswers {

    private ScheduleAnswers() {}

    /**
     * The schedule from tomorrow on.
     *
     * @param state idle, running or failed
     * @param seconds the search has gone on for, of at most {@code ofSeconds}
     * @param betterments how often it found a better one
     * @param again when it last made itself again, null when it has not since the program began
     */
    public record SchedulePage(
            String state,
            int seconds,
            int ofSeconds,
            int betterments,
            String trouble,
            MadeAgain again,
            List<PlacedLine> work,
            List<WaitLine> waits,
            List<ConflictLine> conflicts) {}

    /**
     * A block on which work could begin earlier than the schedule has it begin.
     *
     * @param possibleFrom the first day from tomorrow on that its work may be done
     * @param plannedFrom the first day it is planned for
     * @param because better-days (its planned days suit it better) or hands-taken (the earlier days go to others)
     * @param verdictThen verdict of its first planned day: best, better or allowed
     * @param suitsFrom the first day that suits it as well as its first planned day does
     * @param verdictBefore the best verdict of the days before that one; not where there is none
     */
    public record WaitLine(
            long blockId,
            String block,
            LocalDate possibleFrom,
            LocalDate plannedFrom,
            String because,
            String verdictThen,
            LocalDate suitsFrom,
            String verdictBefore) {}

    /**
     * The schedule made itself again.
     *
     * @param because what had changed
     * @param moved pieces of work that got another day or person
     */
    public record MadeAgain(String because, Instant at, int moved) {}

    /** So many hours of a kind (saw, ladder, detail) in a block on somebody's day; pinned when put there by hand. */
    public record PlacedLine(
            long id,
            long blockId,
            String block,
            String kind,
            long personId,
            String person,
            LocalDate date,
            double hours,
            boolean pinned) {

        static PlacedLine of(ScheduledWork work) {
            return new PlacedLine(
                    work.id(),
                    work.block().id(),
                    work.block().name(),
                    work.kind().word(),
                    work.person().id(),
                    work.person().name(),
                    work.plannedOn(),
                    Math.round(work.minutes() / 6.0) / 10.0,
                    work.pinned());
        }
    }

    /** What the schedule breaks or leaves undone: no-place, overfull, closed-day, skill, order. */
    public record ConflictLine(String kind, long blockId, String text) {}
}
