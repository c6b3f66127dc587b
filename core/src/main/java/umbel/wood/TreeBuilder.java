package umbel.wood;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import umbel.format.FieldError;
import umbel.knowledge.Cultivar;
import umbel.knowledge.Knowledge;
import umbel.knowledge.NotSupported;
import umbel.knowledge.Parameters;
import umbel.knowledge.Rootstock;
import umbel.knowledge.Species;
import umbel.knowledge.TrainingSystem;
import umbel.survey.InvalidSurvey;
import umbel.survey.Survey;
import umbel.text.Statement;
import umbel.text.Value;

/**
 * Builds a tree from a survey: measured trunk and limbs with curved lines and stepped taper, small wood arranged on them.
 * What the survey leaves out is filled by the estimates of the knowledge files and named in {@link Setting#estimated()}.
 *
 * <p>The same survey and seed give the same tree; each limb's arrangement depends only on its own id and measures.
 */
public final class TreeBuilder {

    private static final double STEP = 0.10;
    private static final double WANDER = Math.toRadians(8);

    /** Far beyond any tree of an orchard; a computation on more would not end in time. */
    private static final int MOST_PIECES = 8_000;

    private final Survey survey;
    private final Knowledge knowledge;
    private final long seed;
    private final List<String> estimated = new ArrayList<>();
    private final Set<String> grownMeasured = new HashSet<>();
    private final List<Axis> axes = new ArrayList<>();
    private final Map<String, List<Survey.LimbMeasure>> onParent = new HashMap<>();
    private final Map<String, Survey.LimbMeasure> byId = new HashMap<>();
    private Setting setting;

    private TreeBuilder(Survey survey, Knowledge knowledge, long seed) {
        this.survey = survey;
        this.knowledge = knowledge;
        this.seed = seed;
        if (survey.trunk().lastGrowthCm() != null) {
            grownMeasured.add(Survey.TRUNK);
        }
        for (Survey.LimbMeasure limb : survey.limbs()) {
            if (limb.lastGrowthCm() != null) {
                grownMeasured.add(limb.id());
            }
            onParent.computeIfAbsent(limb.parent(), key -> new ArrayList<>()).add(limb);
            byId.put(limb.id(), limb);
        }
    }

    /**
     * The tree this survey describes.
     *
     * @param survey a survey that {@code SurveyReader} accepted
     * @throws InvalidSurvey when it holds more wood than can be computed
     * @throws NotSupported when no knowledge file covers its species or system
     */
    public static Tree build(Survey survey, Knowledge knowledge, long seed) {
        return new TreeBuilder(survey, knowledge, seed).build();
    }

    private Tree build() {
        setting = readSetting();
        addTrunk();
        Deque<String> waiting = new ArrayDeque<>();
        Map<String, Integer> placed = new HashMap<>();
        placed.put(Survey.TRUNK, 0);
        waiting.add(Survey.TRUNK);
        while (!waiting.isEmpty()) {
            String parent = waiting.poll();
            for (Survey.LimbMeasure limb : onParent.getOrDefault(parent, List.of())) {
                placed.put(limb.id(), axes.size());
                addLimb(limb, axes.get(placed.get(parent)));
                waiting.add(limb.id());
            }
        }
        SmallWoodArrangement arrangement = new SmallWoodArrangement(setting, seed);
        int frame = axes.size();
        List<SmallWoodArrangement.Told> told = new ArrayList<>();
        for (int i = 0; i < frame; i++) {
            Axis axis = axes.get(i);
            told.add(arrangement.clothe(axis, woodOf(axis), clearBelow(axis), axes));
            if (axes.size() > MOST_PIECES) {
                throw new InvalidSurvey(List.of(new FieldError(
                        "limbs", Statement.of("problem.too-many-pieces").with("most", Value.count(MOST_PIECES)))));
            }
        }
        new FruitingLaterals(setting, axes, told).add(this::countsCoverAll);
        return new Tree(setting, axes);
    }

    /** Whether the surveyor counted everything on a limb, and not only what stands on the limb itself. */
    private boolean countsCoverAll(Axis host) {
        Survey.SmallWood wood = woodOf(host);
        return wood != null && wood.coversAll();
    }

    private Setting readSetting() {
        Survey.TreeFacts facts = survey.tree();
        Species species = knowledge.species(facts.species());
        String systemId = orEstimate(facts.system(), species.defaultSystem(), "tree.system");
        TrainingSystem system = knowledge.system(systemId);
        Parameters parameters = knowledge.parameters();
        Survey.TrunkMeasure trunk = survey.trunk();
        int leaf = orEstimate(
                facts.leaf(),
                (int) Math.max(
                        1,
                        Math.round(trunk.diameterMm()
                                / 10
                                * parameters.survey().estimates().leafPerTrunkCm())),
                "tree.leaf");
        Survey.Cultivar given = facts.cultivar();
        Optional<Cultivar> named = given == null || given.name() == null
                ? Optional.empty()
                : knowledge.cultivar(species.id(), given.name());
        String habit = orEstimate(
                first(given == null ? null : given.habit(), named.map(Cultivar::habit)),
                "standard",
                "tree.cultivar.habit");
        String set = orEstimate(
                first(given == null ? null : given.set(), named.map(Cultivar::set)), "moderate", "tree.cultivar.set");
        String vigour = orEstimate(
                first(given == null ? null : given.vigour(), named.map(Cultivar::vigour)),
                "moderate",
                "tree.cultivar.vigour");
        double fruitMass = Units.fromGrams(
                named.map(Cultivar::fruitMassG).orElse(species.load().fruitMassG()));
        String stock = stockOf(facts.rootstock(), system);
        double inRow = facts.spacing() == null
                ? system.spacing().inRow()
                : facts.spacing().inRow();
        double between = facts.spacing() == null
                ? system.spacing().betweenRows()
                : facts.spacing().betweenRows();
        if (facts.spacing() == null) {
            estimated.add("tree.spacing_m");
        }
        double row = orEstimate(facts.rowBearingDeg(), 0.0, "tree.rowBearing_deg");
        double latitude = orEstimate(
                survey.site() == null ? null : survey.site().latitudeDeg(),
                parameters.survey().estimates().latitudeDeg(),
                "site.latitude_deg");
        double union =
                orEstimate(trunk.unionAtCm(), parameters.survey().estimates().unionCm(), "trunk.unionAt_cm");
        return new Setting(
                facts.label() == null ? "" : facts.label(),
                species,
                system,
                parameters,
                leaf,
                new Setting.Cultivated(
                        parameters.cultivar().habits().get(habit.equals("tip-bearing") ? "tip" : habit),
                        parameters.cultivar().sets().get(levelOf(set)),
                        stock,
                        parameters.cultivar().vigours().get(levelOf(vigour)),
                        fruitMass),
                new Setting.Place(
                        inRow,
                        between,
                        Units.fromDegrees(row),
                        Units.fromDegrees(latitude),
                        slopeOf(survey.site()),
                        survey.site() == null || survey.site().netShare() == null
                                ? 0
                                : survey.site().netShare()),
                Units.section(Units.fromMm(trunk.diameterMm())),
                Units.fromCm(union),
                grownMeasured,
                estimated);
    }

    private String stockOf(Survey.Rootstock given, TrainingSystem system) {
        Optional<Rootstock> named =
                given == null || given.name() == null ? Optional.empty() : knowledge.rootstock(given.name());
        List<String> usual = system.stocks();
        return orEstimate(
                first(given == null ? null : given.vigourClass(), named.map(Rootstock::vigourClass)),
                usual.get(usual.size() / 2),
                "tree.rootstock.class");
    }

    private static String first(String given, Optional<String> named) {
        return given != null ? given : named.orElse(null);
    }

    private static Setting.Slope slopeOf(Survey.Site site) {
        return site == null || site.slopeDeg() == null || site.slopeDeg() == 0
                ? Setting.Slope.LEVEL
                : new Setting.Slope(
                        Math.tan(Units.fromDegrees(site.slopeDeg())),
                        Units.fromDegrees(site.uphillDeg() == null ? 0 : site.uphillDeg()));
    }

    private static String levelOf(String word) {
        return switch (word) {
            case "low" -> "light";
            case "high" -> "heavy";
            default -> word;
        };
    }

    private <T> T orEstimate(T given, T estimate, String field) {
        if (given != null) {
            return given;
        }
        estimated.add(field);
        return estimate;
    }

    private void addTrunk() {
        double height = Units.fromCm(survey.trunk().heightCm());
        SeededRandom random = new SeededRandom(seed, Survey.TRUNK);
        double phase = random.between(0, 2 * Math.PI);
        double sway = 0.008 * height;
        int steps = Math.max(4, (int) Math.ceil(height / STEP));
        List<Vec> points = new ArrayList<>();
        for (int i = 0; i <= steps; i++) {
            double share = i / (double) steps;
            double off = sway * Math.sin(share * 5.1 + phase) * share;
            points.add(new Vec(off * Math.cos(phase), off * Math.sin(phase), height * share));
        }
        Course course = new Course(points);
        boolean topped = setting.system().topped();
        double measured = Units.fromMm(survey.trunk().diameterMm());
        double tip = topped ? measured * 0.85 : tipDiameter(measured);
        double[] diameters = taper(Survey.TRUNK, course, measured, tip);
        double at = survey.trunk().diameterAtCm() == null
                ? Math.min(
                        Units.fromCm(setting.parameters().survey().estimates().trunkDiameterAtCm()), height / 2)
                : Units.fromCm(survey.trunk().diameterAtCm());
        double drawn = interpolate(course, diameters, at);
        for (int i = 0; i < diameters.length; i++) {
            diameters[i] *= measured / drawn;
        }
        Double measuredGrowth = survey.trunk().lastGrowthCm();
        double grown = topped
                ? 0
                : measuredGrowth == null
                        ? Math.min(Math.min(height * 0.4, aboveOldLimbs(height)), extension(true))
                        : Math.min(height, Units.fromCm(measuredGrowth));
        axes.add(new Axis(
                0,
                Survey.TRUNK,
                Survey.TRUNK,
                AxisKind.TRUNK,
                Role.LEADER,
                -1,
                0,
                course,
                diameters,
                Math.max(1, setting.leaf()),
                grown,
                Set.of(),
                "",
                Provenance.MEASURED,
                null,
                null,
                grown * setting.species().wood().leafPerShootMetre(),
                0,
                0));
    }

    private void addLimb(Survey.LimbMeasure limb, Axis parent) {
        double length = Units.fromCm(limb.lengthCm());
        double at = Math.min(Units.fromCm(limb.atCm()), parent.length());
        Role role = Role.of(limb.role());
        double diameter = Units.fromMm(limb.diameterMm());
        int age = limb.ageY() == null ? estimateAge(limb, length) : Math.max(1, limb.ageY());
        double grown = limb.lastGrowthCm() == null
                ? (age == 1 ? length : Math.min(extension(false), length / 2))
                : Math.min(length, Units.fromCm(limb.lastGrowthCm()));
        double base = Units.fromDegrees(limb.angleDeg());
        boolean upright = role == Role.WATER_SPROUT || role == Role.SUCKER || role == Role.LEADER || age == 1;
        double rise = upright
                ? 0
                : setting.system().tipRiseDeg() + setting.cultivar().habit().angleDeg();
        double tip = limb.tipAngleDeg() == null
                ? Math.max(0, Math.min(Math.PI, base + Units.fromDegrees(rise)))
                : Units.fromDegrees(limb.tipAngleDeg());
        Course course =
                curve(limb.id(), parent.course().at(at), Units.fromDegrees(limb.bearingDeg()), base, tip, length);
        EnumSet<Condition> conditions = EnumSet.noneOf(Condition.class);
        limb.condition().stream()
                .map(Condition::of)
                .filter(c -> c != Condition.SOUND)
                .forEach(conditions::add);
        boolean dead = conditions.contains(Condition.DEAD);
        Species species = setting.species();
        double flowers = dead ? 0 : grown * species.bearing().flowerPerShootMetre() * (age == 1 ? 0.3 : 1);
        axes.add(new Axis(
                axes.size(),
                limb.id(),
                limb.id(),
                AxisKind.LIMB,
                role,
                parent.index(),
                at,
                course,
                taper(limb.id(), course, diameter, tipDiameter(diameter)),
                age,
                grown,
                conditions,
                limb.disease() == null ? "" : limb.disease(),
                Provenance.MEASURED,
                null,
                null,
                dead ? 0 : grown * species.wood().leafPerShootMetre(),
                flowers > 0 ? Math.ceil(grown / Tree.SITE_EVERY) : 0,
                flowers));
    }

    /** Limb age where none was given: as many years as its length takes at the usual extension, and its thickness asks. */
    private int estimateAge(Survey.LimbMeasure limb, double length) {
        double byLength = length / extension(false);
        double byThickness = Units.fromMm(limb.diameterMm()) / 0.008;
        return (int) Math.max(1, Math.min(Math.max(1, setting.leaf()), Math.round((byLength + byThickness) / 2)));
    }

    /** Last season's growth where nobody measured it: the kind's usual, or what is wanted of a tree that fills its space. */
    private double extension(boolean leader) {
        List<Double> wanted = setting.wantedExtensionCm(leader);
        return Units.fromCm(
                setting.isStillBuilding(leader)
                        ? (wanted.get(0) + wanted.get(1)) / 2
                        : setting.species().estimates().extensionCm());
    }

    /** What stands above the highest limb of two years and more: last season's growth is no longer. */
    private double aboveOldLimbs(double height) {
        return height
                - survey.limbs().stream()
                        .filter(limb -> Survey.TRUNK.equals(limb.parent()) && limb.ageY() != null && limb.ageY() >= 2)
                        .mapToDouble(limb -> Math.min(height, Units.fromCm(limb.atCm())))
                        .max()
                        .orElse(0);
    }

    private double tipDiameter(double base) {
        return Math.min(Units.fromMm(setting.parameters().survey().estimates().tipDiameterMm()), base * 0.6);
    }

    private Course curve(String id, Vec origin, double bearing, double base, double tip, double length) {
        SeededRandom random = new SeededRandom(seed, id);
        double phase = random.between(0, 2 * Math.PI);
        double slow = random.between(2.5, 4.5);
        double quick = random.between(8, 12);
        // wires hold a tied limb to its line
        double held = setting.system().tied() ? 0.3 : 1;
        double sway = WANDER * held * Math.min(1, 0.4 + length / 2);
        int steps = Math.max(3, (int) Math.ceil(length / STEP));
        List<Vec> points = new ArrayList<>();
        points.add(origin);
        Vec at = origin;
        for (int i = 0; i < steps; i++) {
            double share = (i + 0.5) / steps;
            double away = Math.min(1, share * 4) * sway;
            double lift = Math.sin(slow * 1.3 * share + phase) + 0.5 * Math.sin(quick * share + 3 * phase);
            double turn = Math.sin(slow * share + 2 * phase) + 0.5 * Math.sin(quick * 1.2 * share + phase);
            double inclination = base + (tip - base) * share + away * 0.7 * lift;
            double heading = bearing + away * turn;
            at = at.plus(Vec.heading(heading, i == 0 ? base : inclination).times(length / steps));
            points.add(at);
        }
        return new Course(points);
    }

    /**
     * Diameters along an axis: its section falls evenly towards the tip and by a step at each measured fork, in
     * proportion to what the fork carries (pipe model of Shinozaki and others, 1964).
     */
    private double[] taper(String id, Course course, double base, double tip) {
        List<Survey.LimbMeasure> forks = onParent.getOrDefault(id, List.of());
        double total = forks.stream()
                .mapToDouble(fork -> Units.section(fork.diameterMm()))
                .sum();
        double atForks = total > 0 ? setting.parameters().survey().estimates().trunkTaper() : 0;
        double end = (tip * tip) / (base * base);
        double[] diameters = new double[course.size()];
        for (int i = 0; i < diameters.length; i++) {
            double distance = course.along(i);
            double beyond = forks.stream()
                    .filter(fork -> Units.fromCm(fork.atCm()) >= distance)
                    .mapToDouble(fork -> Units.section(fork.diameterMm()))
                    .sum();
            double even = 1 - distance / course.length();
            double share = (1 - atForks) * even + (total > 0 ? atForks * beyond / total : 0);
            diameters[i] = base * Math.sqrt(end + (1 - end) * Math.max(0, share));
        }
        return diameters;
    }

    private static double interpolate(Course course, double[] diameters, double distance) {
        for (int i = 1; i < diameters.length; i++) {
            if (course.along(i) >= distance) {
                double share = (distance - course.along(i - 1)) / (course.along(i) - course.along(i - 1));
                return diameters[i - 1] + (diameters[i] - diameters[i - 1]) * share;
            }
        }
        return diameters[diameters.length - 1];
    }

    private Survey.SmallWood woodOf(Axis axis) {
        Survey.LimbMeasure limb = byId.get(axis.id());
        return limb == null ? null : limb.wood();
    }

    /**
     * How far from its origin an axis carries no small wood of its own: the trunk is clean up to its highest limb, and a limb
     * goes bare from its origin outward as it ages, since the middle of the tree is dark.
     */
    private double clearBelow(Axis axis) {
        if (axis.kind() == AxisKind.TRUNK) {
            return onParent.getOrDefault(Survey.TRUNK, List.of()).stream()
                    .mapToDouble(limb -> Units.fromCm(limb.atCm()))
                    .max()
                    .orElse(axis.length() / 2);
        }
        double bare = Math.min(0.24, 0.08 + 0.015 * axis.age());
        return Math.min(0.7, axis.length() * bare);
    }
}
