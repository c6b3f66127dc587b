package umbel.practice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import umbel.knowledge.TrainingSystem;
import umbel.survey.Survey;
import umbel.survey.Survey.LimbMeasure;

/** Puts faults into the limbs of a sound practice tree. */
final class Faults {

    private static final double CROSSING_OUT = 42;

    private final List<LimbMeasure> limbs;
    private final Set<Fault> faults;
    private final double trunkMm;
    private final double heightCm;
    private final boolean open;
    private final boolean slender;
    private final int leaf;

    Faults(
            List<LimbMeasure> limbs,
            Set<Fault> faults,
            double trunkMm,
            double heightCm,
            TrainingSystem system,
            int leaf) {
        this.limbs = limbs;
        this.faults = faults;
        this.trunkMm = trunkMm;
        this.heightCm = heightCm;
        this.open = system.topped();
        this.slender = !system.scaffolds().permanent();
        this.leaf = leaf;
    }

    void put() {
        for (Fault fault : faults) {
            switch (fault) {
                case DEAD_LIMB -> condition(middle(), "dead", null);
                case BROKEN_LIMB -> condition(last(), "broken", null);
                case CANKER -> condition(canker(), "diseased", open ? "canker" : "fire blight");
                case SUCKERS -> suckers();
                case RIVAL_LEADER -> rival();
                case THICK_LIMB -> thicken();
                case TIGHT_CROTCH -> tighten();
                case CROWDED_ORIGIN -> crowd();
                case STACKED_LIMBS -> stack();
                case CROSSING_LIMBS -> cross();
                case INWARD_LIMB -> inward();
                case WATER_SPROUTS -> sprouts();
                case HANGERS -> hangers();
                case TOO_TALL -> heighten();
                case THICKET -> thicket();
                default -> {
                    // faults of shape, age and vigour are put in by ShapeFaults
                }
            }
        }
    }

    private int middle() {
        return Math.min(limbs.size() - 1, limbs.size() / 2);
    }

    private int last() {
        return limbs.size() - 1;
    }

    private int canker() {
        return open && limbs.size() > 1 ? indexOf("2a") : 1;
    }

    private int indexOf(String id) {
        for (int i = 0; i < limbs.size(); i++) {
            if (limbs.get(i).id().equals(id)) {
                return i;
            }
        }
        return 0;
    }

    /** Place in the list of the trunk's n-th limb, counted from 0. */
    private int onTrunk(int n) {
        int seen = 0;
        for (int i = 0; i < limbs.size(); i++) {
            if (limbs.get(i).parent().equals("trunk") && seen++ == n) {
                return i;
            }
        }
        return 0;
    }

    private void condition(int i, String condition, String disease) {
        LimbMeasure limb = limbs.get(i);
        limbs.set(
                i,
                new LimbMeasure(
                        limb.id(),
                        limb.parent(),
                        limb.role(),
                        limb.atCm(),
                        limb.bearingDeg(),
                        limb.angleDeg(),
                        limb.tipAngleDeg(),
                        limb.diameterMm(),
                        limb.lengthCm(),
                        limb.ageY(),
                        limb.lastGrowthCm(),
                        List.of(condition),
                        disease,
                        limb.note(),
                        condition.equals("dead") ? null : limb.wood()));
    }

    private LimbMeasure with(
            LimbMeasure limb, double at, double bearing, double angle, double diameter, double length) {
        return limb.placed(
                        Math.round(at),
                        Math.round(((bearing % 360) + 360) % 360),
                        Math.round(angle),
                        limb.tipAngleDeg())
                .sized(Math.round(diameter), Math.round(length), limb.ageY(), limb.lastGrowthCm());
    }

    private void add(
            String id,
            String parent,
            String role,
            double at,
            double bearing,
            double angle,
            double diameter,
            double length,
            int age,
            Survey.SmallWood wood) {
        limbs.add(new LimbMeasure(
                id,
                parent,
                role,
                Math.round(at),
                Math.round(((bearing % 360) + 360) % 360),
                Math.round(angle),
                null,
                Math.max(3, Math.round(diameter)),
                Math.round(length),
                age,
                null,
                List.of("sound"),
                null,
                null,
                wood));
    }

    private void suckers() {
        add("s1", "trunk", "sucker", 4, 80, 12, 7, 70, 1, null);
        add("s2", "trunk", "sucker", 2, 205, 18, 9, 85, 1, null);
    }

    private void rival() {
        double at = heightCm * 0.52;
        LimbMeasure model = limbs.get(0);
        add(
                "r1",
                "trunk",
                "leader",
                at,
                model.bearingDeg() + 65,
                16,
                trunkMm * (1 - at / (heightCm * 1.1)) * 0.86,
                (heightCm - at) * 0.94,
                Math.max(2, leaf / 2),
                model.wood());
    }

    private void thicken() {
        int i = open ? indexOf("1a") : 0;
        LimbMeasure limb = limbs.get(i);
        double parent = open ? limbs.get(0).diameterMm() : trunkMm;
        limbs.set(
                i,
                with(
                        limb,
                        limb.atCm(),
                        limb.bearingDeg(),
                        limb.angleDeg(),
                        parent * (open ? 1.05 : 0.66),
                        limb.lengthCm()));
    }

    private void tighten() {
        int i = onTrunk(1);
        LimbMeasure limb = limbs.get(i);
        limbs.set(i, with(limb, limb.atCm(), limb.bearingDeg(), 18, limb.diameterMm(), limb.lengthCm()));
    }

    private void crowd() {
        LimbMeasure limb = limbs.get(0);
        double share = slender ? 1 : 0.9;
        add(
                "c1",
                "trunk",
                "scaffold",
                limb.atCm() + 3,
                limb.bearingDeg() + 42,
                52,
                limb.diameterMm() * share,
                limb.lengthCm() * 0.85,
                limb.ageY(),
                limb.wood());
    }

    private void stack() {
        LimbMeasure limb = limbs.get(0);
        add(
                "k1",
                "trunk",
                open ? "scaffold" : "limb",
                open ? limb.atCm() + 24 : limb.atCm() + (slender ? 18 : 40),
                limb.bearingDeg() + 6,
                limb.angleDeg() + 4,
                limb.diameterMm() * 0.9,
                limb.lengthCm() * 0.98,
                Math.max(2, limb.ageY() - 1),
                dense(limb));
    }

    private Survey.SmallWood dense(LimbMeasure limb) {
        int spurs = limb.wood().spurs() == null ? 0 : limb.wood().spurs().count();
        List<Survey.ShootCount> shoots = limb.wood().shoots().stream()
                .map(count -> new Survey.ShootCount(
                        count.shootClass(), count.attitude(), count.count() * 2, count.lengthCm()))
                .toList();
        return new Survey.SmallWood(shoots, new Survey.SpurCount(spurs * 2, 2.0), null);
    }

    /** A branch that leaves one limb and runs straight into its neighbour. */
    private void cross() {
        LimbMeasure first = limbs.get(0);
        LimbMeasure second = limbs.stream()
                .filter(limb -> limb.parent().equals("trunk")
                        && limb != first
                        && !limb.role().equals("sucker"))
                .min(Comparator.comparingDouble(
                        limb -> turn(limb.bearingDeg(), first.bearingDeg()) + Math.abs(limb.atCm() - first.atCm())))
                .orElse(first);
        double reach = Math.min(CROSSING_OUT, Math.min(first.lengthCm(), second.lengthCm()) * 0.6);
        double[] from = point(first, reach);
        double[] to = point(second, reach);
        double dx = to[0] - from[0];
        double dy = to[1] - from[1];
        double dz = to[2] - from[2];
        double span = Math.sqrt(dx * dx + dy * dy + dz * dz);
        add(
                "x1",
                first.id(),
                "lateral",
                reach,
                Math.toDegrees(Math.atan2(dx, dy)),
                Math.toDegrees(Math.acos(dz / span)),
                first.diameterMm() * 0.35,
                span * 1.25,
                Math.max(2, first.ageY() - 2),
                null);
        LimbMeasure crossing = limbs.get(last());
        limbs.set(
                last(),
                new LimbMeasure(
                        crossing.id(),
                        crossing.parent(),
                        crossing.role(),
                        crossing.atCm(),
                        crossing.bearingDeg(),
                        crossing.angleDeg(),
                        crossing.angleDeg(),
                        crossing.diameterMm(),
                        crossing.lengthCm(),
                        crossing.ageY(),
                        null,
                        crossing.condition(),
                        null,
                        null,
                        null));
    }

    private static double turn(double a, double b) {
        double turn = Math.abs(a - b) % 360;
        return turn > 180 ? 360 - turn : turn;
    }

    private static double[] point(LimbMeasure limb, double along) {
        double angle = Math.toRadians(limb.angleDeg() - 3);
        double bearing = Math.toRadians(limb.bearingDeg());
        return new double[] {
            along * Math.sin(angle) * Math.sin(bearing),
            along * Math.sin(angle) * Math.cos(bearing),
            limb.atCm() + along * Math.cos(angle)
        };
    }

    private void inward() {
        LimbMeasure limb = limbs.get(0);
        add(
                "i1",
                limb.id(),
                "lateral",
                limb.lengthCm() * 0.6,
                limb.bearingDeg() + 174,
                48,
                limb.diameterMm() * 0.35,
                limb.lengthCm() * 0.45,
                Math.max(2, limb.ageY() - 3),
                null);
    }

    private void sprouts() {
        List<Survey.ShootCount> strong =
                List.of(new Survey.ShootCount("strong", "up", slender ? 2 : 6, open ? 110.0 : 88.0));
        for (int i = 0; i < Math.min(3, limbs.size()); i++) {
            addShoots(i, strong);
        }
        LimbMeasure limb = limbs.get(0);
        add("w1", limb.id(), "water-sprout", limb.lengthCm() * 0.35, limb.bearingDeg(), 8, 13, 120, 1, null);
    }

    private void hangers() {
        List<Survey.ShootCount> hanging = List.of(new Survey.ShootCount("pencil", "down", slender ? 2 : 4, 30.0));
        addShoots(1, hanging);
        LimbMeasure limb = limbs.get(1);
        add(
                "h1",
                limb.id(),
                "hanger",
                limb.lengthCm() * 0.5,
                limb.bearingDeg() + 30,
                128,
                limb.diameterMm() * 0.28,
                Math.max(35, limb.lengthCm() * 0.3),
                Math.max(2, limb.ageY() - 2),
                null);
    }

    private void addShoots(int i, List<Survey.ShootCount> more) {
        LimbMeasure limb = limbs.get(i);
        List<Survey.ShootCount> shoots = new ArrayList<>();
        if (limb.wood() != null && limb.wood().shoots() != null) {
            shoots.addAll(limb.wood().shoots());
        }
        shoots.addAll(more);
        limbs.set(i, withWood(limb, shoots));
    }

    private static LimbMeasure withWood(LimbMeasure limb, List<Survey.ShootCount> shoots) {
        Survey.SpurCount spurs = limb.wood() == null ? null : limb.wood().spurs();
        return limb.bearing(new Survey.SmallWood(shoots, spurs, null));
    }

    /** An open centre grows tall by its scaffolds; other systems by their leader, whose height the trunk holds. */
    private void heighten() {
        if (!open) {
            return;
        }
        for (int i = 0; i < limbs.size(); i++) {
            LimbMeasure limb = limbs.get(i);
            if (limb.role().equals("scaffold") && limb.parent().equals("trunk")) {
                limbs.set(
                        i,
                        with(
                                limb,
                                limb.atCm(),
                                limb.bearingDeg(),
                                limb.angleDeg() - 4,
                                limb.diameterMm(),
                                limb.lengthCm() * 1.75));
            }
        }
    }

    private void thicket() {
        for (int i = 0; i < limbs.size(); i++) {
            LimbMeasure limb = limbs.get(i);
            double metres = limb.lengthCm() / 100;
            if (limb.ageY() == null || limb.ageY() < 2 || limb.condition().contains("dead")) {
                continue;
            }
            addShoots(
                    i,
                    List.of(
                            new Survey.ShootCount(
                                    "matchstick",
                                    "side",
                                    (int) Math.round(metres * (open ? 4 : 6)),
                                    open ? 22.0 : 16.0),
                            new Survey.ShootCount("pencil", "in", (int) Math.round(metres * 1.5), open ? 45.0 : 30.0),
                            new Survey.ShootCount(
                                    "strong", "up", (int) Math.round(metres * (open ? 2.5 : 2)), open ? 95.0 : 75.0),
                            new Survey.ShootCount(
                                    "pencil", "side", (int) Math.round(metres * (open ? 4 : 5)), open ? 48.0 : 30.0)));
        }
    }
}
