package umbel.plant;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import umbel.counted.CountOperation;
import umbel.counted.CountSurvey;
import umbel.knowledge.CountedKind;
import umbel.season.FollowUp;
import umbel.survey.Survey;

/** What must be come back for on a bush, a cane row or a vine: the works of its kind's year that come after the one done. */
final class CountedFollowUps {

    private static final String TIP = "tip";
    private static final String ESTIMATED = "estimated";
    private static final int DAYS_TO_WEIGH = 3;
    /** Works farther ahead belong to the next year. */
    private static final int DAYS_AHEAD = 330;

    private CountedFollowUps() {}

    static List<FollowUp> of(CountSurvey survey, CountedKind kind, Visit done, LocalDate doneOn) {
        List<FollowUp> all = new ArrayList<>();
        if (done.steps().isEmpty()) {
            return all;
        }
        if (hasLeftNodes(done) && isToBeWeighed(survey, kind)) {
            all.add(new FollowUp("weigh", doneOn, doneOn.plusDays(DAYS_TO_WEIGH), null));
        }
        // the main cut is planned anew every winter and follows from nothing
        kind.calendar().forEach((work, window) -> {
            if (window != null && !work.equals(CountedKind.MAIN_WORK)) {
                add(all, work, window, survey, kind, doneOn);
            }
        });
        all.sort(Comparator.comparing(FollowUp::from));
        return all;
    }

    /** Vines whose nodes go by the weight of their prunings, while that is only estimated. */
    private static boolean isToBeWeighed(CountSurvey survey, CountedKind kind) {
        boolean weighed = survey.vine() != null
                && survey.vine().pruningWeightKg() != null
                && !ESTIMATED.equals(survey.vine().weightIs());
        return survey.vine() != null && kind.vine().fruit() == null && !weighed;
    }

    private static boolean hasLeftNodes(Visit done) {
        return done.steps().stream()
                .anyMatch(step -> CountedPlant.operation(step.mark()).kind() == CountOperation.Kind.KEEP_NODES);
    }

    /** A work whose days begin after the visit; one whose days it fell in was done by it. */
    private static void add(
            List<FollowUp> all,
            String work,
            CountedKind.Window window,
            CountSurvey survey,
            CountedKind kind,
            LocalDate doneOn) {
        Survey.Site site = survey.site();
        double latitude = site == null || site.latitudeDeg() == null ? window.atDeg() : site.latitudeDeg();
        double elevation = site == null || site.elevationM() == null ? 0 : site.elevationM();
        CountedKind.Days days = window.at(latitude, elevation);
        LocalDate from = days.from().atYear(doneOn.getYear());
        if (!from.isAfter(doneOn)) {
            from = from.plusYears(1);
        }
        if (from.isAfter(doneOn.plusDays(DAYS_AHEAD))) {
            return;
        }
        LocalDate to = days.to().atYear(from.getYear());
        Double height = work.equals(TIP) && kind.row() != null ? tipCm(survey, kind) : null;
        all.add(new FollowUp(
                work.replaceAll("([A-Z])", "-$1").toLowerCase(Locale.ROOT),
                from,
                to.isBefore(from) ? to.plusYears(1) : to,
                height));
    }

    /** The height new canes are tipped at: higher where a trellis holds them. */
    private static Double tipCm(CountSurvey survey, CountedKind kind) {
        CountedKind.Tip tip = kind.row().tip();
        boolean trellis = survey.row() != null && survey.row().topWireCm() != null;
        return trellis && tip.summerTrellis() != null ? tip.summerTrellis() : tip.summer();
    }
}
