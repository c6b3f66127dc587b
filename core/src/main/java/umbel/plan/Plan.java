package umbel.plan;

import java.util.List;
import java.util.stream.Stream;
import umbel.growth.Forecast;
import umbel.knowledge.PlanParameters;
import umbel.reading.Finding;
import umbel.text.Statement;

/**
 * A plan for one tree.
 *
 * @param name recommended, gentler, firmer, in-one-winter or nothing
 * @param steps in the order of work: this visit first, then what later winters intend with whole limbs
 * @param laterSmall what later winters do besides: too small, or too much a matter of how the tree grows, to be told step by step
 * @param totals of this visit
 * @param outlook the seasons after it, the first one next
 * @param leftAlone findings the plan does not answer this visit, with why
 */
public record Plan(
        String name,
        List<Step> steps,
        List<Step> laterSmall,
        Totals totals,
        List<Forecast.Outlook> outlook,
        List<Left> leftAlone) {

    /** Name of the plan that does at once what a renovation spreads over winters. */
    public static final String IN_ONE_WINTER = "in-one-winter";

    public Plan {
        steps = List.copyOf(steps);
        laterSmall = List.copyOf(laterSmall);
        outlook = List.copyOf(outlook);
        leftAlone = List.copyOf(leftAlone);
    }

    /** The same plan with the seasons after it. */
    Plan followedBy(List<Forecast.Outlook> seasons) {
        return new Plan(name, steps, laterSmall, totals, seasons, leftAlone);
    }

    /** All that is done in a winter, told or not. */
    public List<Step> workOf(int year) {
        return Stream.concat(steps.stream(), laterSmall.stream())
                .filter(step -> step.year() == year)
                .toList();
    }

    /** Whether later winters have heavy work, put off or on what will have grown by then. */
    boolean leavesMuchForLater(PlanParameters.Renovation rule) {
        List<Step> later = steps.stream().filter(step -> step.year() > 0).toList();
        double share =
                later.stream().mapToDouble(step -> step.effect().woodShare()).sum();
        return share >= rule.laterShare()
                || later.stream().anyMatch(step -> step.effect().big());
    }

    /** A finding left for now. */
    public record Left(Finding finding, Statement why) {}
}
