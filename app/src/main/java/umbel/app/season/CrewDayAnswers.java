package umbel.app.season;

import java.time.LocalDate;
import java.util.List;

/** What is told of one day of the crew, and of work to leave where days are missing. */
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
     * @param counted whether its plants are counted, as bushes, canes and vines are
     */
    public record PieceOfDay(
            long blockId,
            String block,
            String kind,
            double hours,
            String verdict,
            List<String> reasons,
            boolean ladder,
            boolean urgentOnly,
            boolean counted) {}

    /**
     * A block with work left on which nobody works that day.
     *
     * @param plannedFrom the day on which it is next planned; null where it is not
     */
    public record WaitingBlock(
            long blockId, String block, double hours, String verdict, List<String> reasons, LocalDate plannedFrom) {}

    /**
     * A block's work, and what leaving it would cost.
     *
     * @param trees surveyed trees it was judged by; 0 where none is surveyed, so that nothing is said of it
     * @param lossPerHour against the block whose hours matter most, 0…1
     * @param shadeUndone share of fruiting wood in shade if it is left, and if it is done; null where the plants are counted
     * @param firstClassUndoneKg first-class fruit a tree if it is left, and if it is done; of counted plants the marketable crop
     * @param leaveHours of it to leave for the hours that are missing
     */
    public record WorkLine(
            long blockId,
            String block,
            double hours,
            int trees,
            double lossPerHour,
            Double shadeUndone,
            Double shadeDone,
            double firstClassUndoneKg,
            double firstClassDoneKg,
            double leaveHours,
            boolean whole) {}

    /**
     * What to leave first.
     *
     * @param crewHoursADay hours all hands have in a day
     * @param weighed trees whose plans are weighed so far, of {@code toWeigh}
     * @param hours that are missing
     */
    public record GiveUpPage(double crewHoursADay, int weighed, int toWeigh, double hours, List<WorkLine> blocks) {}
}
