package umbel.wood;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import umbel.knowledge.Species;
import umbel.survey.Survey;

/**
 * Arranges shoots and spurs on a measured limb: as many of each class and attitude as were counted, or as the species
 * leads one to expect; where each stands is drawn from the seed. On old wood part of it sits on estimated laterals,
 * as on a real limb.
 *
 * <p>Counts, mean lengths and flower buds given by the survey are honoured exactly.
 */
final class SmallWoodArrangement {

    /** Length of older wood from which counts tell whether it is bare, metres. */
    private static final double TELLING_LENGTH = 0.3;

    private final Setting setting;
    private final Species species;
    private final long seed;

    SmallWoodArrangement(Setting setting, long seed) {
        this.setting = setting;
        this.species = setting.species();
        this.seed = seed;
    }

    private record Counts(List<ShootGroup> shoots, int spurs, double spurAge, Integer flowerBuds, boolean counted) {
        int total() {
            return spurs + shoots.stream().mapToInt(ShootGroup::count).sum();
        }
    }

    /**
     * What the counts of a limb tell of its wood.
     *
     * @param abundance how much stands on it, against the least from which it is fully clothed, 0…1; 1 where nothing was counted
     * @param flowering flower buds counted, against what its wood leads one to expect; empty where none were counted
     */
    record Told(double abundance, Optional<Double> flowering) {

        static final Told NOTHING = new Told(1, Optional.empty());
    }

    private record ShootGroup(ShootClass shootClass, Attitude attitude, int count, double length) {}

    /**
     * Adds the small wood of one frame axis to {@code axes}.
     *
     * @param counted what the survey counted, or null
     * @param clear distance from the origin that stays bare
     */
    Told clothe(Axis host, Survey.SmallWood counted, double clear, List<Axis> axes) {
        boolean topped = host.kind() == AxisKind.TRUNK && setting.system().topped();
        boolean bare = topped || host.is(Condition.DEAD) || host.role() == Role.SUCKER || host.age() <= 1;
        if (bare && counted == null) {
            return Told.NOTHING;
        }
        double old = host.length() - host.lastGrowth() - clear;
        Counts counts = countsOf(host, counted, Math.max(0, old));
        double abundance = abundance(counted, counts.total(), old);
        if (counts.total() == 0) {
            return new Told(
                    abundance,
                    Optional.ofNullable(counts.flowerBuds())
                            .filter(buds -> buds == 0)
                            .map(buds -> 0.0));
        }
        SeededRandom random = new SeededRandom(seed, host.id() + "/wood");
        List<Axis> hosts = new ArrayList<>();
        hosts.add(host);
        int from = axes.size();
        if (host.kind() == AxisKind.LIMB && host.age() >= 3) {
            addLaterals(host, clear, old, counts.total(), random, axes, hosts);
        }
        addSpurs(host, hosts, clear, counts, random, axes);
        addShoots(host, hosts, clear, counts, random, axes);
        if (host.is(Condition.DEAD)) {
            scaleBuds(axes, from, 0, true);
        } else if (counts.flowerBuds() != null) {
            return new Told(abundance, Optional.of(honourFlowerBuds(axes, from, host, counts.flowerBuds())));
        }
        return new Told(abundance, Optional.empty());
    }

    /** How well a limb is clothed, where somebody counted all of its small wood on enough length to tell. */
    private double abundance(Survey.SmallWood counted, int total, double old) {
        if (counted == null || counted.shoots() == null || counted.spurs() == null || old < TELLING_LENGTH) {
            return 1;
        }
        Species.SmallWoodEstimates usual = species.estimates();
        double expected = old
                * (usual.shootsPerMetre() * setting.cultivar().habit().shoots()
                        + usual.spursPerMetre() * setting.cultivar().habit().spurs());
        double enough = setting.parameters().canopy().clothedFrom() * expected;
        return enough <= 0 ? 1 : Math.min(1, total / enough);
    }

    private Counts countsOf(Axis host, Survey.SmallWood wood, double old) {
        Species.SmallWoodEstimates estimates = species.estimates();
        boolean shootsGiven = wood != null && wood.shoots() != null;
        boolean spursGiven = wood != null && wood.spurs() != null;
        List<ShootGroup> shoots = new ArrayList<>();
        if (shootsGiven) {
            for (Survey.ShootCount count : wood.shoots()) {
                ShootClass shootClass = ShootClass.of(count.shootClass());
                double length = count.lengthCm() == null ? usualLength(shootClass) : Units.fromCm(count.lengthCm());
                shoots.add(new ShootGroup(shootClass, Attitude.of(count.attitude()), count.count(), length));
            }
        } else {
            double expected = estimates.shootsPerMetre()
                    * old
                    * setting.cultivar().habit().shoots();
            shoots.addAll(expectedShoots(expected));
        }
        int spurs = spursGiven
                ? wood.spurs().count()
                : (int) Math.round(estimates.spursPerMetre()
                        * old
                        * setting.cultivar().habit().spurs());
        double spurAge =
                spursGiven && wood.spurs().ageY() != null ? wood.spurs().ageY() : estimates.spurAge();
        Integer buds = wood == null ? null : wood.flowerBuds();
        return new Counts(shoots, spurs, Math.min(spurAge, Math.max(1, host.age())), buds, wood != null);
    }

    private List<ShootGroup> expectedShoots(double expected) {
        Species.SmallWoodEstimates estimates = species.estimates();
        List<ShootGroup> groups = new ArrayList<>();
        double owed = 0;
        for (Attitude attitude : Attitude.values()) {
            for (ShootClass shootClass : ShootClass.values()) {
                double share = estimates.attitudeMix().get(attitude.word())
                        * estimates.shootMix().get(shootClass.word());
                owed += expected * share;
                int count = (int) Math.floor(owed + 0.5);
                owed -= count;
                if (count > 0) {
                    groups.add(new ShootGroup(shootClass, attitude, count, usualLength(shootClass)));
                }
            }
        }
        return groups;
    }

    private double usualLength(ShootClass shootClass) {
        return Units.fromCm(species.wood().shootLengthCm().get(shootClass.word()));
    }

    private void addLaterals(
            Axis host, double clear, double old, int carried, SeededRandom random, List<Axis> axes, List<Axis> hosts) {
        double every = Units.fromCm(setting.parameters().survey().estimates().lateralEveryCm());
        List<Double> lengths = setting.parameters().survey().estimates().lateralLengthCm();
        int count = Math.min((int) Math.floor(old / every), carried / 4);
        for (int i = 0; i < count; i++) {
            double at = clear + old * Math.pow((i + random.between(0.2, 0.8)) / count, 0.75);
            double beyond = 1 - at / host.length();
            double length = Math.min(
                    host.length() * 0.45,
                    Units.fromCm(random.between(lengths.get(0), lengths.get(1)))
                            * (0.55 + 0.6 * beyond)
                            * Math.min(1, 0.4 + host.age() / 12.0));
            Vec along = host.course().directionAt(at);
            Vec side = sideOf(along).times(i % 2 == 0 ? 1 : -1);
            Vec heading = along.times(random.between(0.35, 0.8))
                    .plus(side.times(random.between(0.6, 1.0)))
                    .plus(Vec.UP.times(random.between(-0.1, 0.4)))
                    .unit();
            int age = Math.max(2, Math.min(host.age() - 1, 2 + (int) Math.round(random.between(0, 3))));
            double grown = length * 0.35;
            Course course = growing(host.course().at(at), heading, length, 0.25, 5);
            double base = Math.min(host.diameterAt(at) * 0.6, 0.004 + 0.012 * length);
            Axis lateral = new Axis(
                    axes.size(),
                    host.id() + "/laterals/" + i,
                    host.id(),
                    AxisKind.LATERAL,
                    Role.LATERAL,
                    host.index(),
                    at,
                    course,
                    thinning(course, base, 0.0035),
                    age,
                    grown,
                    Set.of(),
                    "",
                    Provenance.ESTIMATED,
                    null,
                    null,
                    grown * species.wood().leafPerShootMetre(),
                    0,
                    0);
            axes.add(lateral);
            hosts.add(lateral);
        }
    }

    private void addSpurs(
            Axis limb, List<Axis> hosts, double clear, Counts counts, SeededRandom random, List<Axis> axes) {
        double[] weights = weights(hosts, clear, 2.0);
        Provenance provenance = counts.counted() ? Provenance.COUNTED : Provenance.ESTIMATED;
        for (int i = 0; i < counts.spurs(); i++) {
            Axis host = hosts.get(random.among(weights));
            double start = host == limb ? clear : host.length() * 0.12;
            double end = Math.max(start + 0.02, host.length() - host.lastGrowth());
            double at = Math.min(host.length(), random.outward(start, end));
            double age = Math.max(1, Math.round(counts.spurAge() * random.between(0.6, 1.4)));
            Vec along = host.course().directionAt(at);
            Vec heading = sideOf(along)
                    .times(random.between(-1, 1))
                    .plus(Vec.UP.times(random.between(-0.35, 1)))
                    .plus(along.times(0.4))
                    .unit();
            double length = Math.min(0.08, 0.012 + 0.008 * age * random.between(0.7, 1.3));
            Course course = growing(fromBark(host, at, heading), heading, length, 0, 1);
            axes.add(new Axis(
                    axes.size(),
                    limb.id() + "/spurs/" + i,
                    limb.id(),
                    AxisKind.SPUR,
                    Role.UNKNOWN,
                    host.index(),
                    at,
                    course,
                    new double[] {0.006, 0.005},
                    (int) age,
                    0,
                    Set.of(),
                    "",
                    provenance,
                    null,
                    null,
                    species.wood().leafPerSpur(),
                    1,
                    species.bearing().perSpur(age)));
        }
    }

    private void addShoots(
            Axis limb, List<Axis> hosts, double clear, Counts counts, SeededRandom random, List<Axis> axes) {
        Provenance provenance = counts.counted() ? Provenance.COUNTED : Provenance.ESTIMATED;
        Map<Attitude, Integer> numbers = new EnumMap<>(Attitude.class);
        for (ShootGroup group : counts.shoots()) {
            double[] stretch = new double[group.count()];
            double sum = 0;
            for (int i = 0; i < stretch.length; i++) {
                stretch[i] = random.between(0.72, 1.28);
                sum += stretch[i];
            }
            boolean upright = group.attitude() == Attitude.UP || group.attitude() == Attitude.IN;
            double[] weights = weights(hosts, clear, upright ? 0.5 : 2.2);
            for (double own : stretch) {
                Axis host = hosts.get(random.among(weights));
                double start = host == limb ? clear : host.length() * 0.15;
                double at = Math.min(host.length(), random.outward(start, Math.max(start, host.length() * 0.97)));
                int number = numbers.merge(group.attitude(), 1, Integer::sum) - 1;
                double length = group.length() * own * group.count() / sum;
                axes.add(shoot(limb, host, at, group, number, length, provenance, random, axes.size()));
            }
        }
    }

    private Axis shoot(
            Axis limb,
            Axis host,
            double at,
            ShootGroup group,
            int number,
            double length,
            Provenance provenance,
            SeededRandom random,
            int index) {
        Vec along = host.course().directionAt(at);
        Vec side = sideOf(along).times(random.side());
        Vec outward = outward(host, at);
        Vec heading = switch (group.attitude()) {
            case UP -> Vec.UP.plus(along.times(0.25)).plus(side.times(random.between(0, 0.25)));
            case SIDE -> side.times(0.9).plus(along.times(0.6)).plus(Vec.UP.times(random.between(0.1, 0.5)));
            case OUT ->
                along.times(0.8)
                        .plus(outward.times(0.35))
                        .plus(Vec.UP.times(0.2))
                        .plus(side.times(random.between(0, 0.45)));
            case DOWN -> Vec.UP.times(-0.8).plus(along.times(0.5)).plus(side.times(random.between(0, 0.5)));
            case IN -> outward.times(-0.9).plus(Vec.UP.times(0.3)).plus(side.times(random.between(0, 0.4)));
        };
        double rise = group.attitude() == Attitude.DOWN ? 0 : 0.35 * Math.min(1, length);
        Course course = growing(fromBark(host, at, heading.unit()), heading.unit(), length, rise, 4);
        double usual = Units.fromMm(
                species.wood().shootDiameterMm().get(group.shootClass().word()));
        double base = usual * Math.sqrt(Math.max(0.5, Math.min(1.6, length / usualLength(group.shootClass()))));
        Species.Bearing bearing = species.bearing();
        double tipBud = Math.min(
                0.9, bearing.flowerPerShootTip() * setting.cultivar().habit().tipFlower());
        boolean flowersAlong = bearing.flowerPerShootMetre() > 0;
        double weakness = group.shootClass() == ShootClass.PENCIL ? 1 : 0.6;
        return new Axis(
                index,
                limb.id() + "/shoots/" + group.attitude().word() + "/" + number,
                limb.id(),
                AxisKind.SHOOT,
                Role.SHOOT,
                host.index(),
                at,
                course,
                thinning(course, base, base * 0.4),
                1,
                length,
                Set.of(),
                "",
                provenance,
                group.shootClass(),
                group.attitude(),
                length * species.wood().leafPerShootMetre(),
                flowersAlong ? Math.max(1, Math.round(length / Tree.SITE_EVERY)) : tipBud,
                flowersAlong ? length * bearing.flowerPerShootMetre() * weakness : tipBud);
    }

    private static double[] weights(List<Axis> hosts, double clear, double perLateralMetre) {
        double[] weights = new double[hosts.size()];
        for (int i = 0; i < weights.length; i++) {
            double length = hosts.get(i).length();
            weights[i] = i == 0 ? Math.max(0.05, length - clear) : length * perLateralMetre * 1.4;
        }
        return weights;
    }

    private double honourFlowerBuds(List<Axis> axes, int from, Axis host, int wanted) {
        double total = 0;
        int small = 0;
        for (int i = from; i < axes.size(); i++) {
            total += axes.get(i).flowerBuds();
            small++;
        }
        double own = axes.get(host.index()).flowerBuds();
        if (total > 0) {
            scaleBuds(axes, from, wanted / (total + own), false);
            axes.set(host.index(), host.bearing(own * wanted / (total + own)));
            return wanted / (total + own);
        } else if (small > 0) {
            for (int i = from; i < axes.size(); i++) {
                axes.set(i, axes.get(i).bearing(wanted / (double) small));
            }
            axes.set(host.index(), host.bearing(0));
        }
        return 1;
    }

    private static void scaleBuds(List<Axis> axes, int from, double factor, boolean leafless) {
        for (int i = from; i < axes.size(); i++) {
            Axis axis = axes.get(i);
            Axis scaled = axis.bearing(axis.flowerBuds() * factor);
            axes.set(i, leafless ? scaled.bare() : scaled);
        }
    }

    private static double[] thinning(Course course, double base, double tip) {
        double[] diameters = new double[course.size()];
        for (int i = 0; i < diameters.length; i++) {
            diameters[i] = base + (tip - base) * course.along(i) / course.length();
        }
        return diameters;
    }

    /** A stem that starts in a direction and turns a little towards the light above as it grows. */
    private static Course growing(Vec origin, Vec heading, double length, double rise, int steps) {
        List<Vec> points = new ArrayList<>();
        points.add(origin);
        Vec at = origin;
        for (int i = 0; i < steps; i++) {
            double share = i / (double) steps;
            Vec direction = heading.plus(Vec.UP.times(rise * 2 * share)).unit();
            at = at.plus(direction.times(length / steps));
            points.add(at);
        }
        return new Course(points);
    }

    /** Where a twig leaving in a direction comes out of its host's bark. */
    private static Vec fromBark(Axis host, double at, Vec heading) {
        Vec along = host.course().directionAt(at);
        Vec across = heading.minus(along.times(heading.dot(along)));
        return host.course().at(at).plus(across.unit().times(host.diameterAt(at) * 0.45));
    }

    private static Vec sideOf(Vec along) {
        Vec side = along.cross(Vec.UP);
        return side.length() < 0.05 ? new Vec(1, 0, 0) : side.unit();
    }

    private static Vec outward(Axis host, double at) {
        Vec level = host.course().at(at).level();
        return level.length() < 0.05 ? host.course().directionAt(at).level().unit() : level.unit();
    }
}
