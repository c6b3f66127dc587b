package umbel.season;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import umbel.season.DayAdvice.Verdict;
import umbel.text.Statement;
import umbel.text.Value;

/**
 * Which block to go to on a day, and why not the others. The day's verdict comes first, then who would otherwise run out of
 * days, then the order of winter: hardy and late-blooming kinds before tender ones, old trees before young.
 */
public final class DayOrder {

    private static final double PRESSED = 0.7;

    private DayOrder() {}

    /**
     * A block that has work left.
     *
     * @param advice for the day in question
     * @param hours of work left in it
     * @param daysLeft days on which it may still be cut before its window closes, that day included
     * @param windowEnd last of those days; null when there is none
     */
    public record Waiting(
            long id,
            String name,
            SeasonBlock block,
            DayAdvice advice,
            double hours,
            int daysLeft,
            LocalDate windowEnd) {

        /** Whether its kind has better days of its own to come. */
        boolean isBeforeItsDays() {
            return advice.reasons().stream().anyMatch(reason -> reason.rule().equals(SeasonCalendar.OTHER_DAYS));
        }

        /** Share of the remaining days that its own work would take with so many hours a day. */
        double pressure(double hoursADay) {
            return daysLeft == 0 ? 0 : hours / (daysLeft * hoursADay);
        }
    }

    /**
     * A block at its place in the day's order.
     *
     * @param go whether to go there that day
     * @param why in a sentence: why now, or why not that one
     */
    public record Placed(Waiting waiting, boolean go, Statement why) {}

    /**
     * The blocks in the order of a day.
     *
     * @param hoursADay hands there are, hours together
     */
    public static List<Placed> of(List<Waiting> blocks, double hoursADay) {
        List<Waiting> open = blocks.stream()
                .filter(one -> one.hours() > 0 && one.advice().verdict() != Verdict.NOT)
                .sorted(order(hoursADay))
                .toList();
        List<Placed> placed = new ArrayList<>();
        double taken = 0;
        for (Waiting one : open) {
            boolean go = taken < hoursADay;
            placed.add(new Placed(one, go, go ? whyNow(one, hoursADay) : whyFirst(open.get(0), one, hoursADay)));
            taken += one.hours();
        }
        blocks.stream()
                .filter(one -> one.hours() > 0 && one.advice().verdict() == Verdict.NOT)
                .map(one -> new Placed(one, false, one.advice().reasons().get(0).text()))
                .forEach(placed::add);
        blocks.stream()
                .filter(one -> one.hours() <= 0)
                .map(one -> new Placed(one, false, Statement.of("season.done")))
                .forEach(placed::add);
        return placed;
    }

    private static Comparator<Waiting> order(double hoursADay) {
        return Comparator.comparing((Waiting one) -> one.pressure(hoursADay) > PRESSED)
                .thenComparing(one -> one.advice().verdict())
                .thenComparing(one -> !one.isBeforeItsDays())
                .thenComparing(one -> one.block().traits().bloomRank())
                .thenComparing(one -> one.block().leaf())
                .reversed();
    }

    private static Statement whyNow(Waiting one, double hoursADay) {
        Statement reason = one.advice().reasons().get(0).text();
        if (one.pressure(hoursADay) > PRESSED) {
            return Statement.of("season.pressed")
                    .with("hours", Value.number(one.hours(), 0))
                    .with("days", Value.count(one.daysLeft()))
                    .with("reason", new Value.Sentences(List.of(reason)));
        }
        return reason;
    }

    private static Statement whyFirst(Waiting first, Waiting other, double hoursADay) {
        return Statement.of("season.hands-taken")
                .with("name", new Value.Name(first.name()))
                .with("ground", Value.choice(groundFor(first, other, hoursADay)));
    }

    private static String groundFor(Waiting first, Waiting other, double hoursADay) {
        if (first.pressure(hoursADay) > PRESSED && other.pressure(hoursADay) <= PRESSED) {
            return "days";
        }
        if (first.advice().verdict() != other.advice().verdict()) {
            return "suits";
        }
        if (!first.isBeforeItsDays() && other.isBeforeItsDays()) {
            return "waits";
        }
        int rank = first.block().traits().bloomRank() - other.block().traits().bloomRank();
        if (rank != 0) {
            return "hardier";
        }
        if (first.block().leaf() != other.block().leaf()) {
            return "older";
        }
        return "first";
    }

    /** How many of these days the year's main work may be done on, until its first window from {@code from} on ends. */
    public static Waiting waiting(
            long id, String name, SeasonBlock block, List<DayAdvice> days, LocalDate from, double hours) {
        LocalDate end = null;
        int left = 0;
        for (DayAdvice day : days) {
            if (day.date().isBefore(from) || !day.forMainWork()) {
                continue;
            }
            boolean closed = end != null && ChronoUnit.DAYS.between(end, day.date()) > 21;
            if (closed) {
                break;
            }
            if (day.verdict() != Verdict.NOT) {
                left++;
                end = day.date();
            }
        }
        DayAdvice advice = days.stream()
                .filter(day -> day.date().equals(from))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("The days do not hold " + from + "."));
        return new Waiting(id, name, block, advice, hours, left, end);
    }
}
