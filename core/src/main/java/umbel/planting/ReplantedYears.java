package umbel.planting;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Standing trees cleared part by part, each part planted anew after it has rested: what stands bears until its part is cleared at the
 * end of a year.
 */
final class ReplantedYears extends OptionYears {

    private final OptionYears standing;
    private final OptionYears planted;
    private final double clearing;
    private final int parts;
    private final int fallow;

    /**
     * Both stands on the whole of the land.
     *
     * @param clearing what clearing costs, a hectare
     * @param parts years over which the land is replanted, 1 or more
     * @param fallow years that a cleared part rests
     */
    ReplantedYears(OptionYears standing, OptionYears planted, double clearing, int parts, int fallow) {
        this.standing = standing;
        this.planted = planted;
        this.clearing = clearing;
        this.parts = parts;
        this.fallow = fallow;
    }

    /** What is laid out for all parts, clearing counted with the land. */
    @Override
    Capital capital() {
        Capital anew = planted.capital();
        return new Capital(anew.trees(), anew.support(), anew.irrigation(), anew.land() + clearing, anew.planting());
    }

    @Override
    List<Year> of(Scenario scenario) {
        List<Year> before = standing.of(scenario);
        List<Year> after = planted.of(scenario);
        List<Year> years = new ArrayList<>();
        for (int year = 0; year < after.size(); year++) {
            int now = year;
            years.add(IntStream.range(0, parts)
                    .mapToObj(part -> part(part, now, before, after, scenario))
                    .reduce(Year::plus)
                    .orElseThrow());
        }
        return years;
    }

    /** One part of the land in a year: the old trees to the year it is cleared in, nothing, then the new ones. */
    private Year part(int part, int year, List<Year> before, List<Year> after, Scenario scenario) {
        double share = 1.0 / parts;
        int planting = part + fallow;
        Year now = Year.bare(year, 0);
        if (year > 0 && year <= part) {
            now = now.plus(before.get(year).on(share, year));
        }
        if (year == part) {
            now = now.plus(Year.bare(year, share * clearing * scenario.capital()));
        }
        if (year >= planting) {
            now = now.plus(laidOut(after.get(year - planting)).on(share, year));
        }
        return now;
    }

    /** What planting costs stands in the net of year 0; in a later year of the whole it is a cost like others. */
    private static Year laidOut(Year year) {
        return year.year() > 0 ? year : Year.bare(0, -year.net());
    }
}
