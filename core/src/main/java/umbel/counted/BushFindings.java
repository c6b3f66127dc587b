package umbel.counted;

import java.util.ArrayList;
import java.util.List;
import umbel.knowledge.CountedKind;
import umbel.knowledge.CountingParameters;
import umbel.reading.Severity;
import umbel.text.Statement;
import umbel.text.Value;

/** What a practised eye sees on a bush, in the order of the work. */
final class BushFindings {

    private final CountedKind.Bush kind;
    private final CountingParameters.Bush numbers;
    private final CountingParameters.Confidence sure;
    private final List<BushCane> canes;
    private final String habit;
    private final int leaf;
    private final int flowerBuds;
    private final CountReading.Light light;
    private final BushSeasons model;
    private final List<CountFinding> found = new ArrayList<>();

    BushFindings(
            CountedKind.Bush kind,
            CountingParameters numbers,
            List<BushCane> canes,
            String habit,
            int leaf,
            int flowerBuds,
            CountReading.Light light,
            BushSeasons model) {
        this.kind = kind;
        this.numbers = numbers.bush();
        this.sure = numbers.confidence();
        this.canes = canes;
        this.habit = habit;
        this.leaf = leaf;
        this.flowerBuds = flowerBuds;
        this.light = light;
        this.model = model;
    }

    List<CountFinding> all() {
        unsound();
        low();
        rubbing();
        old();
        gap();
        centre();
        numbers();
        weak();
        bearing();
        return found;
    }

    private void unsound() {
        List<String> ids = ids(canes.stream().filter(BushCane::unsound).toList());
        if (!ids.isEmpty()) {
            add(CountRule.UNSOUND_CANE, ids, ids.size(), 0, "", Severity.ACT, sure.counted(), "survey.condition");
        }
    }

    private void low() {
        List<BushCane> low =
                canes.stream().filter(cane -> cane.is("low") || cane.is("down")).toList();
        if (!low.isEmpty()) {
            add(CountRule.LOW_CANE, ids(low), low.size(), 0, "", Severity.ACT, sure.counted(), "survey.attitude");
        }
    }

    private void rubbing() {
        List<BushCane> rubbing =
                canes.stream().filter(cane -> !cane.rubs().isEmpty()).toList();
        if (!rubbing.isEmpty()) {
            add(
                    CountRule.RUBBING_CANE,
                    ids(rubbing),
                    rubbing.size(),
                    0,
                    "",
                    Severity.ACT,
                    sure.counted(),
                    "survey.rubs");
        }
    }

    private void old() {
        List<BushCane> old =
                canes.stream().filter(cane -> cane.age() > kind.oldAfter()).toList();
        double share = canes.isEmpty() ? 0 : (double) old.size() / canes.size();
        if (share > numbers.old().consider()) {
            double known = (double) old.stream().filter(BushCane::ageKnown).count() / old.size();
            add(
                    CountRule.OLD_CANES,
                    ids(old),
                    share,
                    numbers.old().consider(),
                    "share",
                    share > numbers.old().act() ? Severity.ACT : Severity.CONSIDER,
                    sure.ageByThickness() + (sure.ageTold() - sure.ageByThickness()) * known,
                    "kind.oldAfter");
        }
    }

    private void gap() {
        for (int age = 1; age <= Math.min(SEASONS_WITHOUT, leaf); age++) {
            int wanted = age;
            if (!canes.isEmpty() && canes.stream().noneMatch(cane -> cane.age() == wanted)) {
                boolean known = canes.stream().allMatch(BushCane::ageKnown);
                found.add(new CountFinding(
                        CountRule.AGE_GAP,
                        List.of(),
                        Statement.of("count.finding.age-gap").with("age", Value.count(age)),
                        0,
                        1,
                        "",
                        Severity.CONSIDER,
                        known ? sure.counted() : sure.ageByThickness(),
                        Statement.of("count.why.age-gap").with("age", Value.count(age)),
                        "kind.yieldByAge"));
                return;
            }
        }
    }

    /** Ages of which a bush should have canes. */
    private static final int SEASONS_WITHOUT = 3;

    private void centre() {
        double centre = canes.isEmpty()
                ? 0
                : (double) canes.stream().filter(cane -> cane.is("centre")).count() / canes.size();
        boolean dark = light.base() < numbers.closed().light();
        boolean crowded = centre > numbers.closed().centre() && !"spreading".equals(habit);
        if (dark) {
            add(
                    CountRule.CLOSED_CENTRE,
                    List.of(),
                    light.base(),
                    numbers.closed().light(),
                    "share",
                    Severity.CONSIDER,
                    sure.opinion(),
                    "counting.closed");
        } else if (crowded) {
            List<BushCane> inside =
                    canes.stream().filter(cane -> cane.is("centre")).toList();
            add(
                    CountRule.CLOSED_CENTRE,
                    ids(inside),
                    centre,
                    numbers.closed().centre(),
                    "centre",
                    Severity.CONSIDER,
                    sure.judged(),
                    "counting.closed");
        }
    }

    private void numbers() {
        double most = kind.canes().most() * (1 + numbers.numbers());
        double least = kind.canes().least() * (1 - numbers.numbers());
        if (canes.size() > most) {
            add(
                    CountRule.TOO_MANY_CANES,
                    List.of(),
                    canes.size(),
                    kind.canes().most(),
                    "",
                    Severity.CONSIDER,
                    sure.counted(),
                    "kind.canes");
        } else if (canes.size() < least && !model.isYoung(leaf)) {
            add(
                    CountRule.TOO_FEW_CANES,
                    List.of(),
                    canes.size(),
                    kind.canes().least(),
                    "",
                    Severity.CONSIDER,
                    sure.counted(),
                    "kind.canes");
        }
    }

    private void weak() {
        List<BushCane> weak = canes.stream()
                .filter(cane -> cane.measured() && cane.age() == 1 && cane.diameterMm() < numbers.weakNewMm()
                        || cane.twiggy() && cane.thinnerThan(numbers.weakTwiggy()))
                .toList();
        if (!weak.isEmpty()) {
            add(
                    CountRule.WEAK_CANE,
                    ids(weak),
                    weak.stream().mapToDouble(BushCane::diameterMm).min().orElse(0),
                    numbers.weakNewMm(),
                    "mm",
                    Severity.CONSIDER,
                    sure.judged(),
                    "counting.weakNew_mm");
        }
    }

    private void bearing() {
        double carried = flowerBuds * kind.flowerBudG() / 1000;
        double potential = model.potential(stand());
        boolean young = leaf <= kind.young().cropShare().leaf();
        double line = young ? model.allowed(leaf, potential) : numbers.overBearing() * potential;
        if (flowerBuds > 0 && carried > line) {
            found.add(new CountFinding(
                    CountRule.OVER_BEARING,
                    List.of(),
                    Statement.of("count.finding.over-bearing")
                            .with("crop", new Value.Mass(carried))
                            .with("limit", new Value.Mass(line)),
                    carried,
                    line,
                    "kg",
                    Severity.CONSIDER,
                    sure.judged(),
                    Statement.of("count.why.over-bearing").with("young", Value.choice(young ? "yes" : "no")),
                    young ? "kind.young" : "counting.overBearing"));
        }
    }

    private BushSeasons.Stand stand() {
        double[] count = new double[kind.ages()];
        double[] size = new double[kind.ages()];
        java.util.Arrays.fill(size, 1);
        canes.stream()
                .filter(cane -> !cane.unsound())
                .forEach(cane -> count[Math.max(1, Math.min(kind.ages(), cane.age())) - 1]++);
        return new BushSeasons.Stand(count, size, leaf);
    }

    private void add(
            CountRule rule,
            List<String> of,
            double value,
            double threshold,
            String unit,
            Severity severity,
            double sure,
            String line) {
        Statement measure = Statement.of("count.finding." + rule.id())
                .with("count", Value.count(Math.round(value)))
                .with("share", Value.share(value))
                .with("limit", Value.share(threshold))
                .with("most", Value.count(Math.round(threshold)))
                .with("years", Value.count(kind.oldAfter()))
                .with("thickness", Value.millimetres(value))
                .with("least", Value.millimetres(threshold))
                .with("unit", Value.choice(unit.isEmpty() ? "count" : unit));
        String told = unit.equals("share") || unit.equals("centre") ? "" : unit;
        found.add(new CountFinding(
                rule,
                of,
                measure,
                value,
                threshold,
                told,
                severity,
                sure,
                Statement.of("count.why." + rule.id()),
                line));
    }

    private static List<String> ids(List<BushCane> of) {
        return of.stream().map(BushCane::id).distinct().sorted().toList();
    }
}
