package umbel.season;

import java.time.LocalDate;
import java.time.MonthDay;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import umbel.knowledge.SeasonParameters;
import umbel.knowledge.Species;

/**
 * When a kind wakes, comes into leaf, blooms and ripens in one year at one place, by degree days from midwinter. Sums over a base are the
 * usual thermal-time model of bud development; chilling is taken to be met. Beyond the forecast the usual weather is
 * summed, and again with every day warmer and colder by the parameters' spread, which gives the earliest and latest dates.
 */
public record Phenology(
        LocalDate midwinter,
        LocalDate dormant,
        Estimate budSwell,
        LocalDate leafOut,
        Estimate bloom,
        Estimate petalFall,
        LocalDate softUntil,
        LocalDate summerEnd,
        LocalDate harvest,
        LocalDate afterHarvestEnd) {

    private static final DateTimeFormatter MONTH_DAY = DateTimeFormatter.ofPattern("MM-dd");
    private static final int SPRING_DAYS = 300;

    /** A day that is not certain yet; all three are equal once it has come. */
    public record Estimate(LocalDate earliest, LocalDate expected, LocalDate latest) {}

    /** Midwinter the year of a day's season began with: 1 January in the north, 1 July in the south. */
    public static LocalDate midwinterOf(LocalDate date, double latitude) {
        LocalDate thisYear = LocalDate.of(date.getYear(), latitude >= 0 ? 1 : 7, 1);
        return date.isBefore(thisYear) ? thisYear.minusYears(1) : thisYear;
    }

    /** Whether deciduous trees are in leaf on a day at a latitude where winters are cold, by the calendar alone. */
    public static boolean isInLeaf(SeasonParameters.Calendar rules, LocalDate day, double latitude) {
        long since = ChronoUnit.DAYS.between(midwinterOf(day, latitude), day);
        return Math.abs(latitude) >= rules.coldWintersDeg()
                && since >= rules.inLeafDays().get(0)
                && since < rules.inLeafDays().get(1);
    }

    /** Whether the worst of winter is over on a day, while trees are still bare, by the calendar alone. */
    public static boolean isLateInDormancy(SeasonParameters.Calendar rules, LocalDate day, double latitude) {
        long since = ChronoUnit.DAYS.between(midwinterOf(day, latitude), day);
        return since >= rules.lateDormantDays() && since < rules.inLeafDays().get(0);
    }

    /**
     * The dates of the year that began with this midwinter.
     *
     * @param kind when the kind wakes, blooms and ripens
     * @param weather of at least the three months before it and the year after it
     * @param harvested the day the harvest ended, where it is known
     */
    public static Phenology of(
            Species.Season kind,
            SeasonParameters.Calendar rules,
            double latitude,
            LocalDate midwinter,
            Weather weather,
            LocalDate harvested) {
        boolean north = latitude >= 0;
        LocalDate bloom = sum(kind.bloomDd(), rules, midwinter, weather, 0);
        LocalDate petalFall = sum(kind.bloomDd() + rules.petalFallDd(), rules, midwinter, weather, 0);
        LocalDate harvest = harvested != null ? harvested : bloom.plusDays(kind.harvestAfterBloomDays());
        return new Phenology(
                midwinter,
                dormant(rules, north, midwinter, weather),
                estimate(kind.budSwellDd(), rules, midwinter, weather),
                kind.leafOutDd() == null ? bloom : sum(kind.leafOutDd(), rules, midwinter, weather, 0),
                estimate(kind.bloomDd(), rules, midwinter, weather),
                estimate(kind.bloomDd() + rules.petalFallDd(), rules, midwinter, weather),
                petalFall.plusDays(rules.softShootsDays()),
                after(midwinter, rules.summerEnd(), north),
                harvest,
                after(midwinter, rules.afterHarvestEnd(), north));
    }

    private static Estimate estimate(
            double wanted, SeasonParameters.Calendar rules, LocalDate midwinter, Weather weather) {
        return new Estimate(
                sum(wanted, rules, midwinter, weather, rules.spread()),
                sum(wanted, rules, midwinter, weather, 0),
                sum(wanted, rules, midwinter, weather, -rules.spread()));
    }

    /** The day on which the sum over the base reaches what is wanted; days not told are shifted. */
    private static LocalDate sum(
            double wanted, SeasonParameters.Calendar rules, LocalDate midwinter, Weather weather, double shift) {
        double sum = 0;
        for (int day = 0; day < SPRING_DAYS; day++) {
            LocalDate date = midwinter.plusDays(day);
            sum += weather.on(date)
                    .map(one -> Math.max(0, one.mean() + (one.told() ? 0 : shift) - rules.base()))
                    .orElse(0.0);
            if (sum >= wanted) {
                return date;
            }
        }
        return midwinter.plusDays(SPRING_DAYS);
    }

    /** After leaf fall and the first real cold, or by the latest usual day. */
    private static LocalDate dormant(
            SeasonParameters.Calendar rules, boolean north, LocalDate midwinter, Weather weather) {
        LocalDate latest = before(midwinter, rules.dormantLatest(), north);
        LocalDate from = before(midwinter, rules.leafFall(), north);
        for (LocalDate date = from; date.isBefore(latest); date = date.plusDays(1)) {
            if (weather.on(date).filter(one -> one.min() <= rules.firstCold()).isPresent()) {
                return date;
            }
        }
        return latest;
    }

    private static LocalDate after(LocalDate midwinter, String monthDay, boolean north) {
        LocalDate day = dayIn(midwinter.getYear(), monthDay, north);
        return day.isBefore(midwinter) ? day.plusYears(1) : day;
    }

    private static LocalDate before(LocalDate midwinter, String monthDay, boolean north) {
        LocalDate day = dayIn(midwinter.getYear(), monthDay, north);
        return day.isBefore(midwinter) ? day : day.minusYears(1);
    }

    private static LocalDate dayIn(int year, String monthDay, boolean north) {
        LocalDate day = MonthDay.parse(monthDay, MONTH_DAY).atYear(year);
        return north ? day : day.plusMonths(6);
    }
}
