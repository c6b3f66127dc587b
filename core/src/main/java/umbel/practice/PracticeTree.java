package umbel.practice;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.SplittableRandom;
import umbel.knowledge.Knowledge;
import umbel.knowledge.Species;
import umbel.knowledge.TrainingSystem;
import umbel.survey.Survey;

/**
 * Makes surveys of plausible invented trees: well-made ones of a species, system and age, and the same with faults put
 * in. The same seed gives the same tree, and faults change only what they name, so a faulty tree has a sound twin.
 */
public final class PracticeTree {

    private static final double GOLDEN_ANGLE = 137.5;
    private static final double ROW_BEARING = 10;

    private final Species species;
    private final TrainingSystem target;
    private final String system;
    private final int leaf;
    private final SplittableRandom random;
    private final List<Survey.LimbMeasure> limbs = new ArrayList<>();
    private final Set<Fault> faults;
    private double trunkMm;
    private double heightCm;

    private PracticeTree(String species, String system, int leaf, long seed, Set<Fault> faults) {
        this.species = Knowledge.shipped().species(species);
        this.target = Knowledge.shipped().system(system);
        this.system = system;
        this.leaf = leaf;
        this.random = new SplittableRandom(seed * 7919 + leaf);
        this.faults = faults;
    }

    /**
     * A survey of an invented tree of the kind a system is most used for: a peach in an open centre, else an apple.
     *
     * @param leaf years since planting
     * @param faults what is wrong with it
     */
    public static Survey survey(String system, int leaf, long seed, Fault... faults) {
        return survey(system.startsWith("open-centre") ? "peach" : "apple", system, leaf, seed, faults);
    }

    /**
     * A survey of an invented tree of any kind in any system.
     *
     * @param leaf years since planting
     * @param faults what is wrong with it
     */
    public static Survey survey(String species, String system, int leaf, long seed, Fault... faults) {
        Set<Fault> wrong = EnumSet.noneOf(Fault.class);
        wrong.addAll(List.of(faults));
        return new PracticeTree(species, system, leaf, seed, wrong).build();
    }

    private Survey build() {
        switch (kindOfTree()) {
            case "apple central-leader" -> centralLeader();
            case "apple modified-central-leader" -> twoTiers();
            case "apple tall-spindle" -> spindle();
            case "peach open-centre" -> openCentre();
            default -> byTarget();
        }
        new Faults(limbs, faults, trunkMm, heightCm, target, leaf).put();
        new ShapeFaults(limbs, faults, species, target, leaf).put();
        if (faults.contains(Fault.TOO_TALL) && !target.topped()) {
            heightCm = Math.max(heightCm * 1.28, system.equals("central-leader") ? 560 : heightCm);
        }
        return new Survey(
                Survey.FORMAT,
                facts(),
                Survey.Site.level(47.6, 410.0),
                LocalDate.of(2027, 2, 2),
                new Survey.TrunkMeasure(Math.round(trunkMm), 30.0, Math.round(heightCm), 10.0),
                limbs);
    }

    private String kindOfTree() {
        return species.id() + " " + system;
    }

    /** Any other kind of tree, from the target shape of its system. */
    private void byTarget() {
        TargetTree tree = new TargetTree(species, target, leaf, ROW_BEARING, 1, random);
        trunkMm = tree.trunkMm();
        heightCm = tree.trunkHeightCm();
        limbs.addAll(tree.limbs());
    }

    private Survey.TreeFacts facts() {
        return new Survey.TreeFacts(
                "",
                species.id(),
                leaf,
                system,
                new Survey.Cultivar("", "standard", "moderate", "moderate"),
                new Survey.Rootstock("", stock()),
                new Survey.Spacing(target.spacing().inRow(), target.spacing().betweenRows()),
                ROW_BEARING);
    }

    private String stock() {
        return switch (system) {
            case "tall-spindle" -> "dwarfing";
            case "modified-central-leader" -> "semi-dwarfing";
            case "central-leader", "open-centre" -> "semi-vigorous";
            default -> target.stocks().get(target.stocks().size() / 2);
        };
    }

    private void centralLeader() {
        double grown = Math.min(1, leaf / 12.0);
        trunkMm = 30 + 5.5 * Math.min(leaf, 24);
        heightCm = 130 + 290 * grown;
        int limbNumber = 1;
        double bearing = random.nextDouble() * 360;
        double[] tierStart = {70, 190, 285, 350};
        int[] counts = {4, 3, 2, 2};
        double[] reach = {1.0, 0.7, 0.42, 0.26};
        for (int tier = 0; tier < 4 && tierStart[tier] < heightCm - 45; tier++) {
            bearing += 55;
            for (int i = 0; i < counts[tier]; i++) {
                double at = tierStart[tier] + i * between(13.5, 16);
                double length = (60 + 225 * grown) * reach[tier] * between(0.92, 1.08);
                double angle = between(50, 58) + tier * 3;
                double diameter = trunkMm * (1 - at / (heightCm * 1.1)) * between(0.33, 0.40);
                int age = (int) Math.max(Math.min(2, leaf), (leaf - 1) * (1 - tier * 0.2));
                String id = String.valueOf(limbNumber++);
                double heading = bearing + i * 360.0 / counts[tier] + between(-8, 8);
                addLimb(id, "trunk", tier < 2 ? "scaffold" : "limb", at, heading, angle, diameter, length, age);
                if (length > 110) {
                    double side = random.nextBoolean() ? 1 : -1;
                    addLimb(
                            id + "a",
                            id,
                            "lateral",
                            length * 0.42,
                            heading + side * between(56, 66),
                            between(66, 74),
                            diameter * 0.42,
                            length * 0.42,
                            Math.max(2, age - 4));
                    addLimb(
                            id + "b",
                            id,
                            "lateral",
                            length * 0.66,
                            heading - side * between(56, 68),
                            between(66, 76),
                            diameter * 0.36,
                            length * 0.32,
                            Math.max(2, age - 6));
                }
            }
        }
    }

    private void twoTiers() {
        double grown = Math.min(1, leaf / 7.0);
        trunkMm = 28 + 8 * Math.min(leaf, 9);
        heightCm = 110 + 140 * grown;
        double bearing = random.nextDouble() * 360;
        for (int i = 0; i < 5; i++) {
            addLimb(
                    String.valueOf(i + 1),
                    "trunk",
                    "scaffold",
                    62 + i * between(11.5, 12.5),
                    bearing + i * 144,
                    between(52, 60),
                    trunkMm * between(0.28, 0.33),
                    (70 + 75 * grown) * between(0.93, 1.05),
                    Math.max(Math.min(2, leaf), leaf - 1));
        }
        for (int i = 0; i < 3 && leaf >= 5; i++) {
            addLimb(
                    String.valueOf(i + 6),
                    "trunk",
                    "limb",
                    165 + i * between(11, 13),
                    bearing + 72 + i * 120,
                    between(58, 66),
                    trunkMm * between(0.17, 0.2),
                    (50 + 30 * grown) * between(0.9, 1.05),
                    Math.max(2, leaf - 3));
        }
    }

    private void spindle() {
        trunkMm = 22 + 6.5 * Math.min(leaf, 9);
        heightCm = 160 + 135 * Math.min(1, leaf / 4.0);
        int count = 14;
        double bearing = random.nextDouble() * 360;
        for (int i = 0; i < count; i++) {
            double share = i / (count - 1.0);
            double at = 68 + (heightCm - 68 - 75) * share;
            double diameter = (16.5 - 8.5 * share) * between(0.9, 1.08) * Math.min(1, trunkMm / 46);
            addLimb(
                    String.valueOf(i + 1),
                    "trunk",
                    "limb",
                    at,
                    bearing + i * GOLDEN_ANGLE,
                    between(82, 99),
                    diameter,
                    (62 - 27 * share) * between(0.92, 1.1) * (0.5 + 0.5 * Math.min(1, leaf / 4.0)),
                    share > 0.75 ? 1 + (leaf > 2 ? 1 : 0) : Math.min(leaf, 3));
        }
    }

    private void openCentre() {
        double grown = Math.min(1, leaf / 5.0);
        trunkMm = 30 + 12.5 * Math.min(leaf, 10);
        heightCm = 74;
        double bearing = random.nextDouble() * 360;
        for (int i = 0; i < 3; i++) {
            String id = String.valueOf(i + 1);
            double heading = bearing + i * 120 + between(-8, 8);
            double diameter = trunkMm * between(0.56, 0.62);
            double length = 105 + 95 * grown;
            addLimb(
                    id,
                    "trunk",
                    "scaffold",
                    45 + i * 13,
                    heading,
                    between(44, 50),
                    diameter,
                    length,
                    Math.max(2, leaf - 1));
            if (leaf >= 3) {
                addLimb(
                        id + "a",
                        id,
                        "scaffold",
                        58 + between(0, 12),
                        heading + between(62, 72),
                        between(50, 56),
                        diameter * 0.68,
                        length * 0.72,
                        Math.max(2, leaf - 2));
                addLimb(
                        id + "b",
                        id,
                        "lateral",
                        length * 0.62,
                        heading - between(60, 72),
                        between(58, 66),
                        diameter * 0.4,
                        length * 0.42,
                        Math.max(2, leaf - 3));
            }
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
        double wanted = extension() * between(0.8, 1.2);
        double most = length * (filling() ? 0.6 : 0.4);
        double grew = Math.round(Math.min(most, wanted));
        // a limb too short to have grown as its kind does was not measured for growth
        Double lastGrowth = age == 1 || wanted > most ? null : (Double) grew;
        limbs.add(new Survey.LimbMeasure(
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
                lastGrowth,
                List.of("sound"),
                null,
                null,
                wood(age == 1 ? 0 : length - grew, age)));
    }

    private boolean slender() {
        return system.equals("tall-spindle");
    }

    private boolean filling() {
        return leaf < target.shape().fullAtLeaf() && target.scaffolds().permanent();
    }

    private double extension() {
        if (filling()) {
            return 58;
        }
        return system.equals("open-centre") ? 58 : system.equals("tall-spindle") ? 26 : 32;
    }

    /** Small wood as a surveyor would count it on so many centimetres of older wood. */
    private Survey.SmallWood wood(double oldCm, int age) {
        double metres = Math.max(0, oldCm / 100);
        if (system.equals("open-centre")) {
            return new Survey.SmallWood(
                    List.of(
                            shoots("pencil", "side", metres * between(2.4, 3.0), 46),
                            shoots("pencil", "out", metres * between(0.8, 1.3), 50),
                            shoots("pencil", "up", metres * between(0.8, 1.2), 52),
                            shoots("matchstick", "side", metres * between(0.6, 1.0), 20)),
                    new Survey.SpurCount((int) (metres * 2), 1.0),
                    null);
        }
        double spurs = age >= 2 ? metres * between(0.9, 1.1) * (slender() ? 34 : 14 + 1.5 * Math.min(age, 15)) : 0;
        double dense = slender() ? 1 : 1 + 0.06 * Math.min(age, 15);
        return new Survey.SmallWood(
                List.of(
                        shoots("pencil", "side", metres * dense * between(2.2, 3.0), 28),
                        shoots("pencil", "out", metres * dense * between(1.0, 1.6), 26),
                        shoots("matchstick", "side", metres * dense * between(0.8, 1.6), 14),
                        shoots("pencil", "up", metres * dense * between(0.4, 0.8), 30)),
                new Survey.SpurCount((int) spurs, (double) Math.min(4, Math.max(1, age - 1))),
                null);
    }

    private static Survey.ShootCount shoots(String shootClass, String attitude, double count, double length) {
        return new Survey.ShootCount(shootClass, attitude, (int) Math.round(count), length);
    }

    private double between(double low, double high) {
        return low + (high - low) * random.nextDouble();
    }
}
