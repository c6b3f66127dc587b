package umbel.planting;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import umbel.knowledge.PlantingParameters;
import umbel.knowledge.Species;

/**
 * When kinds bloom and are picked at a place of middling climate, and between which days of the picking season nothing is ripe.
 * Days are those of the north; in the south they fall half a year later.
 */
public final class PickingCalendar {

    /** Any year that is no leap year; only the day is told. */
    private static final int SOME_YEAR = 2027;

    private static final int DAYS = 365;
    private static final int HALF_A_YEAR = 182;

    /** Bloom, and the first and the last day of picking over a kind's cultivars. */
    public record Times(MonthDay bloom, MonthDay from, MonthDay to) {}

    /** Days on which nothing is picked between two kinds, the first and the last. */
    public record Gap(MonthDay from, MonthDay to) {}

    /** Day of the year of bloom; picking as days after it. */
    private record Span(int from, int to) {}

    private final PlantingParameters.Year year;
    private final boolean south;

    /** A calendar at a latitude, degrees, south negative. */
    public PickingCalendar(PlantingParameters.Year year, double latitudeDeg) {
        this.year = year;
        this.south = latitudeDeg < 0;
    }

    /** When a kind blooms and is picked; empty for evergreens, which go by flush and rain and not by spring. */
    public Optional<Times> of(Species species) {
        if (species.season().evergreen()) {
            return Optional.empty();
        }
        Span span = picked(species);
        return Optional.of(new Times(day((int) bloom(species)), day(span.from()), day(span.to())));
    }

    /**
     * The days of one cultivar, as days of the year in the north; they may run past its end.
     *
     * @param from first day of picking
     * @param to last day of picking
     * @param bloom first day of bloom
     * @param faded last day of bloom
     */
    record Days(int from, int to, int bloom, int faded) {

        /** Days of bloom together with another. */
        int bloomingWith(Days other) {
            return Math.max(0, Math.min(faded, other.faded) - Math.max(bloom, other.bloom) + 1);
        }
    }

    /**
     * The days of a cultivar that ripens in the early, middle or late third of its kind's picking, and blooms early, in the middle
     * or late among its kind; empty for evergreens.
     */
    Optional<Days> of(
            Species species, Household.When ripens, Household.When blooms, PlantingParameters.Household numbers) {
        if (species.season().evergreen()) {
            return Optional.empty();
        }
        Span kind = picked(species);
        double third = (kind.to() + 1 - kind.from()) / 3.0;
        int from = (int) Math.round(kind.from() + ripens.ordinal() * third);
        int to = (int) Math.round(kind.from() + (ripens.ordinal() + 1) * third) - 1;
        int begins = (int) Math.round(bloom(species)
                + (blooms.ordinal() - 1) * numbers.bloomEarlyLateDays()
                - numbers.bloomLastsDays() / 2.0);
        return Optional.of(new Days(from, to, begins, begins + numbers.bloomLastsDays() - 1));
    }

    /** A day of the year in the north as it falls at this place. */
    MonthDay here(int dayOfYear) {
        return day(dayOfYear);
    }

    private double bloom(Species species) {
        return year.bloomDay().of(species.season().bloomDd());
    }

    private Span picked(Species species) {
        int days = species.season().harvestAfterBloomDays();
        return new Span((int) (bloom(species) + year.harvestFrom() * days), (int)
                (bloom(species) + days + year.harvestLateDays()));
    }

    /** The gaps between the picking of kinds, from the first picked to the last; none with fewer than two, or between evergreens. */
    public List<Gap> gaps(List<Species> kinds) {
        List<Span> spans = kinds.stream()
                .filter(kind -> !kind.season().evergreen())
                .map(this::picked)
                .sorted(Comparator.comparingInt(Span::from))
                .toList();
        List<Gap> gaps = new ArrayList<>();
        int until = spans.isEmpty() ? 0 : spans.get(0).to();
        for (Span span : spans) {
            if (span.from() > until + 1) {
                gaps.add(new Gap(day(until + 1), day(span.from() - 1)));
            }
            until = Math.max(until, span.to());
        }
        return gaps;
    }

    /** The month, 1 is January, in which most of a kind is picked in the north. */
    int harvestMonth(Species species) {
        double day = bloom(species) + year.harvestAt() * species.season().harvestAfterBloomDays();
        return LocalDate.ofYearDay(SOME_YEAR, 1 + Math.floorMod((int) day - 1, DAYS))
                .getMonthValue();
    }

    private MonthDay day(int dayOfYear) {
        int there = dayOfYear + (south ? HALF_A_YEAR : 0);
        return MonthDay.from(LocalDate.ofYearDay(SOME_YEAR, 1 + Math.floorMod(there - 1, DAYS)));
    }
}
