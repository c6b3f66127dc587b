package umbel.practice;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import umbel.knowledge.Species;
import umbel.knowledge.TrainingSystem;
import umbel.survey.Survey;
import umbel.survey.Survey.LimbMeasure;

/**
 * Limbs of a well-made tree, grown as far towards the target shape of its system as its age allows: tiers, counts, reaches
 * and angles are the system's, small wood is the species'.
 */
final class TargetTree {

    private static final double GOLDEN_ANGLE = 137.5;
    private static final double FORKED_FROM = 115;
    private static final double THIRD_FROM = 210;
    private static final double YOUNGEST_SHARE = 0.7;

    private final Species species;
    private final TrainingSystem system;
    private final int leaf;
    private final double rowBearing;
    private final SplittableRandom random;
    private final List<LimbMeasure> limbs = new ArrayList<>();
    private final double grown;
    private final double size;
    private final double heightCm;
    private final double trunkMm;

    TargetTree(
            Species species, TrainingSystem system, int leaf, double rowBearing, double size, SplittableRandom random) {
        this.species = species;
        this.system = system;
        this.leaf = leaf;
        this.rowBearing = rowBearing;
        this.size = size;
        this.random = random;
        this.grown = system.shape().grown(leaf);
        double full = 12 * (system.shape().height() + system.shape().spread()) * size;
        int past = Math.max(0, Math.min(25, leaf - system.shape().fullAtLeaf()));
        this.trunkMm = 14 + (full - 14) * Math.max(0.15, grown) + past * full * 0.02;
        this.heightCm = 100 * size * system.shape().heightAt(leaf);
        grow();
    }

    List<LimbMeasure> limbs() {
        return limbs;
    }

    double trunkMm() {
        return trunkMm;
    }

    /** Height of the trunk's own top: the tree's, or its head where it was topped, cm. */
    double trunkHeightCm() {
        if (!system.topped()) {
            return heightCm;
        }
        TrainingSystem.Tier head = system.tiers().get(0);
        return 100 * head.height() + gapOf(head) * (head.count() - 1) + 6;
    }

    private void grow() {
        int number = 1;
        double bearing = random.nextDouble() * 360;
        for (int t = 0; t < system.tiers().size(); t++) {
            TrainingSystem.Tier tier = system.tiers().get(t);
            double from = 100 * tier.height() * (system.topped() ? 1 : size);
            int age = system.scaffolds().permanent()
                    ? Math.max(1, leaf - 1 - t)
                    : Math.max(1, Math.min(leaf - 1, most(system.scaffolds().renewedAfter(), 5) - 1 - t % 2));
            double last = from + gapOf(tier) * (tier.count() - 1);
            if (!system.topped() && last > heightCm - 30 || leaf < 1) {
                continue;
            }
            for (int i = 0; i < tier.count(); i++) {
                double heading = headingOf(bearing, t, i, tier.count());
                addMain(String.valueOf(number++), tier, from + i * gapOf(tier), heading, angleOf(tier, i), age);
            }
            bearing += 57;
        }
    }

    private static int most(Integer value, int otherwise) {
        return value == null ? otherwise : value;
    }

    private double gapOf(TrainingSystem.Tier tier) {
        if (system.isPlane()) {
            return system.form().equals("plane") && tier.count() > 2 ? 5 : 1;
        }
        return tier.count() > 5 ? 8 : system.topped() ? Math.max(4, gapCm()) : Math.max(13, gapCm());
    }

    private double gapCm() {
        return system.scaffolds().gapCm() == null ? 4 : system.scaffolds().gapCm() + 2;
    }

    private double headingOf(double start, int tier, int i, int count) {
        if (system.isPlane()) {
            return rowBearing + (i % 2 == 0 ? 0 : 180) + between(-3, 3);
        }
        return count > 4 ? start + (tier * count + i) * GOLDEN_ANGLE : start + i * 360.0 / count + between(-4, 4);
    }

    /** In a fan the ribs spread over the system's range of angles; elsewhere all stand as the tier asks. */
    private double angleOf(TrainingSystem.Tier tier, int i) {
        if (!isFan(tier)) {
            return tier.angleDeg() + between(-2.5, 2.5);
        }
        double low = system.scaffolds().angleDeg().get(0);
        double high = system.scaffolds().angleDeg().get(1);
        int ribs = tier.count() / 2;
        return high - (high - low) * (i / 2 + 0.5) / ribs;
    }

    private boolean isFan(TrainingSystem.Tier tier) {
        return system.isPlane() && system.topped() && tier.count() > 2;
    }

    private void addMain(String id, TrainingSystem.Tier tier, double at, double heading, double angle, int age) {
        double length;
        if (isFan(tier)) {
            length = 100 * Math.max(0.3, grown) * (system.shape().height() - tier.height() - 0.1);
        } else if (system.topped() && tier.angleDeg() < 60) {
            double up = Math.toRadians(Math.max(4, tier.angleDeg() + system.tipRiseDeg() / 2));
            length = Math.max(30, (heightCm - at) / Math.cos(up));
        } else {
            double sine = Math.sin(Math.toRadians(Math.min(90, tier.angleDeg())));
            length = 100 * tier.reach() * size * Math.max(0.25, grown) / sine;
        }
        length *= between(0.95, 1.02);
        double below = system.topped() ? trunkMm : trunkMm * (1 - at / (heightCm * 1.15));
        double thick = system.topped()
                ? between(0.52, 0.60) * Math.sqrt(3.0 / Math.max(3, tier.count()))
                : system.scaffolds().permanent() ? between(0.30, 0.36) : between(0.24, 0.34);
        double most =
                system.limbs().diameterMostMm() == null ? 1e9 : system.limbs().diameterMostMm() * 0.8;
        double diameter = Math.min(most, below * thick);
        boolean main = system.scaffolds().permanent();
        addLimb(id, "trunk", main ? "scaffold" : "limb", at, heading, angle, diameter, length, age);
        if (system.isPlane() && system.topped() && !isFan(tier)) {
            addAlongPlane(id, heading, tier, diameter, length, age);
        } else if (!system.isPlane() && length > FORKED_FROM && age >= 3) {
            fork(id, heading, diameter, length, age);
        }
    }

    /** Two side branches, one to each side. */
    private void fork(String id, double heading, double diameter, double length, int age) {
        double side = random.nextBoolean() ? 1 : -1;
        double own = system.topped() ? 62 : 68;
        addLimb(
                id + "a",
                id,
                system.topped() ? "scaffold" : "lateral",
                length * 0.38,
                heading + side * between(56, 66),
                own + between(-3, 3),
                diameter * 0.46,
                length * (system.topped() ? 0.5 : 0.42),
                Math.max(2, age - 2));
        addLimb(
                id + "b",
                id,
                "lateral",
                length * 0.64,
                heading - side * between(56, 68),
                own + 6 + between(-3, 3),
                diameter * 0.36,
                length * 0.32,
                Math.max(2, age - 3));
        if (length > THIRD_FROM) {
            addLimb(
                    id + "c",
                    id,
                    "lateral",
                    length * 0.8,
                    heading + side * between(50, 62),
                    own + 2 + between(-3, 3),
                    diameter * 0.26,
                    length * 0.22,
                    Math.max(2, age - 4));
        }
    }

    /** Short renewable wood on uprights, or uprights on a level cane, all in the plane. */
    private void addAlongPlane(
            String id, double heading, TrainingSystem.Tier tier, double diameter, double length, int age) {
        boolean level = tier.angleDeg() > 70;
        double every = level ? 17 : 45;
        int n = (int) Math.min(14, (length - 20) / every);
        for (int i = 0; i < n && age >= 2; i++) {
            double at = 15 + i * every;
            addLimb(
                    id + "-" + (i + 1),
                    id,
                    level ? "leader" : "lateral",
                    at,
                    level ? heading : rowBearing + (i % 2 == 0 ? 0 : 180),
                    level ? 6 : 78,
                    level
                            ? diameter * 0.45 * (1 - 0.75 * at / length)
                            : Math.max(4, diameter * 0.3 * (1 - at / length)),
                    level ? Math.max(30, heightCm - 100 * tier.height() - 5) : 26,
                    level ? Math.min(age, 3) : 2);
        }
    }

    private void addLimb(
            String id,
            String parent,
            String role,
            double at,
            double bearing,
            double angle,
            double diameter,
            double length,
            int age) {
        double wanted = extension();
        boolean known = age > 1 && (isYoung() || wanted <= length * YOUNGEST_SHARE);
        Double last = known ? (Double) (double) Math.round(Math.min(wanted, length * YOUNGEST_SHARE)) : null;
        double old = age == 1 ? 0 : Math.max(0, length - (last == null ? length * 0.5 : last)) / 100;
        limbs.add(new LimbMeasure(
                id,
                parent,
                role,
                Math.round(at),
                Math.round(((bearing % 360) + 360) % 360),
                Math.round(angle),
                null,
                Math.max(4, Math.round(diameter)),
                Math.round(length),
                age,
                last,
                List.of("sound"),
                null,
                null,
                wood(old, age)));
    }

    private boolean isYoung() {
        return leaf < system.shape().fullAtLeaf() && system.scaffolds().permanent();
    }

    /** Growth in the middle of what the species' vigour target asks of such a limb. */
    private double extension() {
        boolean dwarfed = system.stocks().get(system.stocks().size() / 2).endsWith("dwarfing")
                && !system.stocks().get(system.stocks().size() / 2).startsWith("semi");
        List<Double> wanted = isYoung()
                ? species.vigour().youngCm()
                : dwarfed ? species.vigour().dwarfingCm() : species.vigour().bearingCm();
        return between(0.9, 1.1) * (wanted.get(0) * 0.5 + wanted.get(1) * 0.5);
    }

    /** Small wood as a surveyor would count it on so many metres of older wood of a tree that was kept open. */
    private Survey.SmallWood wood(double metres, int age) {
        Species.SmallWoodEstimates usual = species.estimates();
        double ideal = (species.smallWood().ideal().lengthCm().get(0)
                        + species.smallWood().ideal().lengthCm().get(1))
                / 2;
        // an old frame carries more side wood on each metre
        double branched = system.scaffolds().permanent() ? 1 + 0.05 * Math.min(14, age) : 1;
        double per =
                branched * Math.min(usual.shootsPerMetre(), species.smallWood().shootsPerMetreMost()) * 0.62 * metres;
        double pencil = 1 - usual.shootMix().get("matchstick");
        List<Survey.ShootCount> shoots = new ArrayList<>();
        shoots.add(count("pencil", "side", per * pencil * 0.55, ideal));
        shoots.add(count("pencil", "out", per * pencil * 0.28, ideal));
        shoots.add(count("pencil", "up", per * pencil * 0.17, ideal));
        shoots.add(count(
                "matchstick",
                "side",
                per * (1 - pencil),
                species.wood().shootLengthCm().get("matchstick")));
        double spurs = age >= 2 ? branched * metres * usual.spursPerMetre() * 0.8 : 0;
        return new Survey.SmallWood(
                shoots,
                new Survey.SpurCount((int) Math.round(spurs), Math.max(1, Math.min(usual.spurAge(), age - 1.0))),
                null);
    }

    private static Survey.ShootCount count(String shootClass, String attitude, double count, double length) {
        return new Survey.ShootCount(shootClass, attitude, (int) Math.round(count), (double) Math.round(length));
    }

    private double between(double low, double high) {
        return low + (high - low) * random.nextDouble();
    }
}
