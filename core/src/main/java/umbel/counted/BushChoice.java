package umbel.counted;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import umbel.knowledge.CountedKind;
import umbel.knowledge.CountingParameters;

/**
 * Which canes of a bush go, and in which order: what no bush can use first, then the oldest and worst placed of the others, one
 * after another, each chosen on what still stands.
 */
final class BushChoice {

    private final CountedKind.Bush kind;
    private final CountingParameters.Bush numbers;
    private final boolean upright;
    private final boolean spreading;
    private final List<BushCane> standing;
    private final List<Taken> taken = new ArrayList<>();

    /** Why a cane goes. */
    enum Ground {
        UNSOUND(CountRule.UNSOUND_CANE, "unsound"),
        DOWN(CountRule.LOW_CANE, "uprights"),
        RUBBING(CountRule.RUBBING_CANE, "uprights"),
        WEAK(CountRule.WEAK_CANE, "detail"),
        LOW(CountRule.LOW_CANE, "uprights"),
        OLD(CountRule.OLD_CANES, "renewal"),
        CENTRE(CountRule.CLOSED_CENTRE, "uprights"),
        MANY(CountRule.TOO_MANY_CANES, "detail");

        private final CountRule rule;
        private final String stage;

        Ground(CountRule rule, String stage) {
            this.rule = rule;
            this.stage = stage;
        }

        CountRule rule() {
            return rule;
        }

        String stage() {
            return stage;
        }
    }

    /**
     * A cane that goes.
     *
     * @param points what spoke for it
     * @param margin how far it was ahead of the next
     * @param required whether it goes outside the number of old canes of a winter
     */
    record Taken(BushCane cane, Ground ground, double points, double margin, boolean required) {}

    BushChoice(CountedKind.Bush kind, CountingParameters.Bush numbers, String habit, List<BushCane> canes) {
        this.kind = kind;
        this.numbers = numbers;
        this.upright = "upright".equals(habit);
        this.spreading = "spreading".equals(habit);
        this.standing = new ArrayList<>(canes);
        standing.sort(BushCane.BY_NAME);
    }

    /** Takes what goes whatever else is done. */
    List<Taken> required() {
        int before = taken.size();
        CountingParameters.Points points = numbers.points();
        for (BushCane cane : List.copyOf(standing)) {
            Ground ground = cane.unsound()
                    ? Ground.UNSOUND
                    : cane.is("down")
                            ? Ground.DOWN
                            : isWeak(cane) && !kind.quota().weakWithin() ? Ground.WEAK : null;
            if (ground != null) {
                standing.remove(cane);
                double all = ground == Ground.UNSOUND
                        ? points.unsound()
                        : ground == Ground.DOWN ? points.down() : points.weak();
                taken.add(new Taken(cane, ground, all, all, true));
            }
        }
        return taken.subList(before, taken.size());
    }

    /** Old canes a winter may take of what stands. */
    int quota() {
        return (int) quota(kind.quota(), standing.size());
    }

    /** Old canes a winter may take of so many; never negative. */
    static double quota(CountedKind.Quota rule, double count) {
        boolean crowded = count > rule.crowdedFrom();
        double share = Math.floor(count * (crowded ? rule.crowdedShare() : rule.share()) + 0.5);
        double room = count - (crowded ? rule.crowdedLeave() : rule.leave());
        return Math.max(0, Math.min(Math.min(share, crowded ? share : rule.most()), Math.floor(room)));
    }

    /** Takes up to so many more, each time the one for which most speaks, as long as enough does. */
    List<Taken> take(int count) {
        List<Taken> more = new ArrayList<>();
        while (more.size() < count && !standing.isEmpty()) {
            List<BushCane> order = new ArrayList<>(standing);
            order.sort(Comparator.comparingDouble((BushCane cane) -> -points(cane))
                    .thenComparing(cane -> cane.twiggy() ? 0 : 1)
                    .thenComparing(cane -> cane.is("centre") ? 0 : 1)
                    .thenComparing(cane -> cane.measured() ? -cane.diameterMm() : 0)
                    .thenComparing(BushCane.BY_NAME));
            BushCane first = order.get(0);
            double points = points(first);
            if (points < numbers.points().least()) {
                break;
            }
            double next = order.size() > 1 ? points(order.get(1)) : 0;
            Taken one = new Taken(first, ground(first), points, points - next, false);
            standing.remove(first);
            taken.add(one);
            more.add(one);
        }
        return more;
    }

    /** Takes the weakest new canes of a bush that still has more than it can use, leaving so many new ones. */
    List<Taken> surplus(int leaveNew) {
        List<Taken> more = new ArrayList<>();
        List<BushCane> young = new ArrayList<>(standing.stream()
                .filter(cane -> cane.age() == 1)
                .sorted(Comparator.comparingDouble(
                                (BushCane cane) -> cane.measured() ? cane.diameterMm() : cane.usualMm())
                        .thenComparing(BushCane.BY_NAME))
                .toList());
        while (standing.size() > kind.canes().most() && young.size() > leaveNew) {
            BushCane weakest = young.remove(0);
            standing.remove(weakest);
            Taken one = new Taken(weakest, Ground.MANY, numbers.points().thin(), 0, false);
            taken.add(one);
            more.add(one);
        }
        return more;
    }

    /** What still stands. */
    List<BushCane> standing() {
        return List.copyOf(standing);
    }

    private boolean isWeak(BushCane cane) {
        boolean thinNew = cane.age() == 1 && cane.measured() && cane.diameterMm() < numbers.weakNewMm();
        return thinNew || cane.twiggy() && cane.thinnerThan(numbers.weakTwiggy());
    }

    private double points(BushCane cane) {
        CountingParameters.Points of = numbers.points();
        double points =
                kind.points().perYear() * Math.max(0, cane.age() - kind.points().from());
        points += isWeak(cane) ? of.weak() : 0;
        points += cane.is("low") ? of.low() : 0;
        points += rubsOnABetter(cane) ? of.rubbing() : 0;
        points += cane.twiggy() ? of.twiggy() : 0;
        points += upright && cane.is("centre") && cane.age() > 1 ? of.centre() : 0;
        points += spreading && cane.is("leaning") ? of.leaning() : 0;
        points += cane.thinnerThan(numbers.thin()) ? of.thin() : 0;
        points -= leavesAGap(cane) ? of.keep() : 0;
        return points;
    }

    private boolean rubsOnABetter(BushCane cane) {
        return standing.stream()
                .filter(other -> other != cane)
                .filter(other ->
                        cane.rubs().contains(other.id()) || other.rubs().contains(cane.id()))
                .anyMatch(other -> other.age() < cane.age()
                        || other.age() == cane.age() && other.id().compareTo(cane.id()) < 0);
    }

    private boolean leavesAGap(BushCane cane) {
        boolean lastOfItsAge = cane.age() <= numbers.keepAges()
                && standing.stream().noneMatch(other -> other != cane && other.age() == cane.age());
        boolean lastOfItsSide =
                cane.side() >= 0 && standing.stream().noneMatch(other -> other != cane && other.side() == cane.side());
        return lastOfItsAge || lastOfItsSide;
    }

    private Ground ground(BushCane cane) {
        if (isWeak(cane)) {
            return Ground.WEAK;
        }
        if (cane.is("low")) {
            return Ground.LOW;
        }
        if (rubsOnABetter(cane)) {
            return Ground.RUBBING;
        }
        double age =
                kind.points().perYear() * Math.max(0, cane.age() - kind.points().from());
        return age >= numbers.points().least() || !cane.is("centre") ? Ground.OLD : Ground.CENTRE;
    }
}
