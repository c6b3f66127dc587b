package umbel.app.season;

import java.time.LocalDate;
import java.util.List;

/** What is told of one day of the crew. */
public final class CrewDayAnswers {

    private CrewDayAnswers() {}

    /**
     * A day: who goes where and why, and what waits.
     *
     * @param planned whether anything was ever scheduled from this day on
     * @param weather of each holding on that day
     */
    public record CrewDay(
            LocalDate date,
            boolean planned,
            List<SeasonAnswers.HoldingWeather> weather,
            List<PersonDay> people,
            List<WaitingBlock> waiting) {}

    /** A person's day; without pieces where nothing is scheduled for him. */
    public record PersonDay(long personId, String person, double hours, double hoursADay, List<PieceOfDay> pieces) {}

    /**
     * So many hours of a kind of work in a block.
     *
     * @param kind saw, ladder or detail
     * @param verdict of the day for the block: best, better, allowed or not
     * @param reasons why, the deciding one first
     * @param ladder whether ladders may be used that day
     * @param urgentOnly whether only dead, broken and diseased wood may come off
     */
    public record PieceOfDay(
            long blockId,
            String block,
            String kind,
            double hours,
            String verdict,
            List<String> reasons,
            boolean ladder,
            boolean urgentOnly) {}

    /**
     * A block with work left on which nobody works that day.
     *
     * @param plannedFrom the day on which it is next planned; null where it is not
     */
    public record WaitingBlock(
            long blockId, String block, double hours, String verdict, List<String> reasons, LocalDate plannedFrom) {}
}
