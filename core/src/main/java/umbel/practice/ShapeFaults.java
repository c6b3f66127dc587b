package umbel.practice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import umbel.knowledge.Species;
import umbel.knowledge.TrainingSystem;
import umbel.survey.Survey;
import umbel.survey.Survey.LimbMeasure;

/** Puts faults of outline, age, vigour and crop into the limbs of a sound practice tree. */
final class ShapeFaults {

    private static final double YEARS_TOO_OLD = 3;

    private final List<LimbMeasure> limbs;
    private final Set<Fault> faults;
    private final double spurAgeMost;
    private final TrainingSystem system;
    private final int leaf;

    ShapeFaults(List<LimbMeasure> limbs, Set<Fault> faults, Species species, TrainingSystem system, int leaf) {
        this.spurAgeMost = species.renewal().spurAgeMost();
        this.limbs = limbs;
        this.faults = faults;
        this.system = system;
        this.leaf = leaf;
    }

    void put() {
        for (Fault fault : faults) {
            switch (fault) {
                case BARE_SIDE -> keep(limb -> !within(limb, 90, 100));
                case LOP_SIDED -> lean();
                case LOST_CONE -> spreadTheTop();
                case OUT_OF_BOX -> outgrow();
                case NOT_FILLED -> each(limb -> with(limb, limb.diameterMm(), limb.lengthCm() * 0.3));
                case OLD_SPURS -> each(this::aged);
                case MOVED_OUT -> each(this::bareInside);
                case RANK_GROWTH -> each(limb -> grown(limb, 130));
                case WEAK_GROWTH -> each(limb -> grown(limb, 7));
                case HEAVY_BLOOM -> each(limb -> blooming(limb, 400));
                case FEW_BUDS -> each(limb -> blooming(limb, 0));
                case LOW_LIMB -> hangLow();
                default -> {
                    // faults of single limbs are put in by Faults
                }
            }
        }
        dropWhatLostItsPlace();
    }

    /** A limb shortened below where another left it loses that one. */
    private void dropWhatLostItsPlace() {
        boolean again = true;
        while (again) {
            again = limbs.removeIf(limb -> !limb.parent().equals("trunk")
                    && (byId(limb.parent()) == null
                            || limb.atCm() > byId(limb.parent()).lengthCm()));
        }
    }

    private void each(UnaryOperator<LimbMeasure> change) {
        limbs.replaceAll(change);
    }

    private static boolean within(LimbMeasure limb, double bearing, double degrees) {
        double turn = Math.abs(limb.bearingDeg() - bearing) % 360;
        return limb.parent().equals("trunk") && Math.min(turn, 360 - turn) < degrees;
    }

    /** Keeps some of the trunk's limbs, at least two, and what grows from them. */
    private void keep(Predicate<LimbMeasure> wanted) {
        List<String> gone = new ArrayList<>();
        long left = limbs.stream()
                .filter(limb -> limb.parent().equals("trunk") && wanted.test(limb))
                .count();
        for (LimbMeasure limb : limbs) {
            boolean unwanted = limb.parent().equals("trunk") ? !wanted.test(limb) : gone.contains(limb.parent());
            if (unwanted && (left >= 2 || !limb.parent().equals("trunk"))) {
                gone.add(limb.id());
            }
        }
        limbs.removeIf(limb -> gone.contains(limb.id()));
    }

    /** One side grown strong, the other side poor. */
    private void lean() {
        double row = 10;
        each(limb -> {
            LimbMeasure root = rootOf(limb);
            double turn = Math.toRadians(root.bearingDeg() - row);
            double factor = Math.cos(turn) > 0 ? 1.1 : 0.3;
            return with(limb, limb.diameterMm() * (factor > 1 ? 1.4 : 0.5), limb.lengthCm() * factor);
        });
    }

    private LimbMeasure rootOf(LimbMeasure limb) {
        LimbMeasure at = limb;
        while (byId(at.parent()) != null) {
            at = byId(at.parent());
        }
        return at;
    }

    private LimbMeasure byId(String id) {
        return limbs.stream().filter(limb -> limb.id().equals(id)).findFirst().orElse(null);
    }

    /** The upper limbs grow longer than the lower ones. */
    private void spreadTheTop() {
        double middle = limbs.stream()
                .filter(limb -> limb.parent().equals("trunk"))
                .mapToDouble(LimbMeasure::atCm)
                .average()
                .orElse(0);
        double longest = limbs.stream().mapToDouble(LimbMeasure::lengthCm).max().orElse(100);
        each(limb -> limb.parent().equals("trunk") && limb.atCm() > middle
                ? aged(with(limb, limb.diameterMm(), longest * 1.25), 3)
                : limb);
    }

    private LimbMeasure aged(LimbMeasure limb, int years) {
        return copy(
                limb,
                limb.diameterMm(),
                limb.lengthCm(),
                Math.max(years, limb.ageY() == null ? 1 : limb.ageY()),
                limb.lastGrowthCm(),
                limb.wood());
    }

    /** One limb far beyond its room. */
    private void outgrow() {
        LimbMeasure first = limbs.get(0);
        double reach = 100 * Math.max(system.spacing().inRow(), system.spacing().betweenRows()) * 0.75 + 60;
        limbs.set(0, with(first, first.diameterMm(), reach / Math.sin(Math.toRadians(Math.max(30, first.angleDeg())))));
    }

    private LimbMeasure aged(LimbMeasure limb) {
        Survey.SmallWood wood = limb.wood();
        if (wood == null || wood.spurs() == null) {
            return limb;
        }
        Survey.SpurCount spurs = new Survey.SpurCount(Math.max(6, wood.spurs().count()), spurAgeMost + YEARS_TOO_OLD);
        return copy(
                limb,
                limb.diameterMm(),
                limb.lengthCm(),
                Math.max(16, limb.ageY() == null ? 1 : limb.ageY()),
                limb.lastGrowthCm(),
                new Survey.SmallWood(wood.shoots(), spurs, null));
    }

    /** Long bare limbs whose wood of the year and spurs all stand at a few outer branches. */
    private LimbMeasure bareInside(LimbMeasure limb) {
        boolean outer = byId(limb.parent()) != null;
        Survey.SmallWood few = new Survey.SmallWood(List.of(), new Survey.SpurCount(0, 1.0), null);
        if (!outer) {
            return copy(limb, limb.diameterMm(), limb.lengthCm(), limb.ageY(), 4.0, few);
        }
        return limb.placed(
                        Math.round(byId(limb.parent()).lengthCm() * 0.95),
                        limb.bearingDeg(),
                        limb.angleDeg(),
                        limb.tipAngleDeg())
                .sized(limb.diameterMm(), Math.max(15, Math.round(limb.lengthCm() * 0.4)), limb.ageY(), 10.0);
    }

    private LimbMeasure grown(LimbMeasure limb, double cm) {
        return limb.lastGrowthCm() == null
                ? limb
                : copy(
                        limb,
                        limb.diameterMm(),
                        limb.lengthCm() + Math.max(0, cm - limb.lastGrowthCm()),
                        limb.ageY(),
                        cm,
                        limb.wood());
    }

    private LimbMeasure blooming(LimbMeasure limb, int budsAMetre) {
        if (limb.wood() == null) {
            return limb;
        }
        int buds = (int) Math.round(budsAMetre * limb.lengthCm() / 100);
        return copy(
                limb,
                limb.diameterMm(),
                limb.lengthCm(),
                limb.ageY(),
                limb.lastGrowthCm(),
                new Survey.SmallWood(limb.wood().shoots(), limb.wood().spurs(), buds));
    }

    /** A thin, long, level limb low on the trunk, full of fruit buds. */
    private void hangLow() {
        LimbMeasure lowest = limbs.stream()
                .filter(limb -> limb.parent().equals("trunk"))
                .min(Comparator.comparingDouble(LimbMeasure::atCm))
                .orElseThrow();
        limbs.add(new LimbMeasure(
                "d1",
                "trunk",
                "limb",
                45,
                (lowest.bearingDeg() + 65) % 360,
                94,
                96.0,
                14,
                150,
                Math.max(3, Math.min(5, leaf)),
                25.0,
                List.of("sound"),
                null,
                null,
                new Survey.SmallWood(List.of(), new Survey.SpurCount(30, 2.0), 60)));
    }

    private static LimbMeasure with(LimbMeasure limb, double diameter, double length) {
        Double last = limb.lastGrowthCm() == null ? null : Math.min(limb.lastGrowthCm(), Math.round(length * 0.6));
        return copy(limb, diameter, length, limb.ageY(), last, limb.wood());
    }

    private static LimbMeasure copy(
            LimbMeasure limb, double diameter, double length, Integer age, Double lastGrowth, Survey.SmallWood wood) {
        return limb.sized(Math.max(3, Math.round(diameter)), Math.max(10, Math.round(length)), age, lastGrowth)
                .bearing(wood);
    }
}
