package umbel.plan;

import java.util.List;
import umbel.growth.Forecast;
import umbel.reading.Finding;

/**
 * A plan for one tree.
 *
 * @param name recommended, gentler, firmer or nothing
 * @param steps in the order of work, this visit first
 * @param totals of this visit
 * @param outlook the seasons after it, the first one next
 * @param leftAlone findings the plan does not answer this visit, with why
 */
public record Plan(String name, List<Step> steps, Totals totals, List<Forecast.Outlook> outlook, List<Left> leftAlone) {

    public Plan {
        steps = List.copyOf(steps);
        outlook = List.copyOf(outlook);
        leftAlone = List.copyOf(leftAlone);
    }

    /** A finding left for now. */
    public record Left(Finding finding, String why) {}
}
