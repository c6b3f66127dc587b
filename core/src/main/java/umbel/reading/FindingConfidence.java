package umbel.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import umbel.compute.Cancellation;
import umbel.knowledge.Knowledge;
import umbel.knowledge.School;
import umbel.knowledge.SurveyParameters;
import umbel.light.LightModel;
import umbel.light.LightReading;
import umbel.survey.Survey;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

/**
 * How sure each finding is: the survey is read again many times with plausible measuring errors drawn, and a finding is as
 * sure as it comes back often. Where it wavers, the measurement whose error goes with it most is the one to take next.
 *
 * <p>Errors are independent and normal, with the one sigma a limb states for its measures, else that of a quick survey by hand;
 * counts and flower buds err in proportion, light follows from the tree built anew. Re-readings use a coarse grid and few
 * directions; the mean error of that on the undisturbed tree is taken off. The same survey and seed give the same answer.
 *
 * <p>Cost: as many builds and glances as draws, in parallel.
 */
public final class FindingConfidence {

    private static final double DOUBTFUL_FROM = 0.12;
    /** With sixty draws chance alone correlates to ±0.13 (one sigma); a link must stand well clear of that. */
    private static final double LEAST_LINK = 0.33;

    private static final int MOST_MEASURES = 2;
    private static final Survey.MeasureError BY_HAND = new Survey.MeasureError(null, null, null, null, null);
    private static final int SITES_LOOKED_AT = 700;

    private FindingConfidence() {}

    /**
     * A measurement that would settle doubt.
     *
     * @param limb limb to measure, or {@code trunk}
     * @param what angle, bearing, diameter, length, height or counts
     * @param why the findings it would settle
     */
    public record Measure(String limb, String what, Statement why) {}

    /**
     * What re-reading told.
     *
     * @param findings the findings of the reading, each as sure as it came back
     * @param measureNext at most two measurements, the most telling first
     */
    public record Answer(List<Finding> findings, List<Measure> measureNext) {}

    /** One draw: what was found, and the error of each measurement in sigmas. */
    private record Draw(Map<String, Boolean> found, Map<String, Double> errors) {}

    /**
     * Reads a survey again with errors drawn.
     *
     * @param reading the undisturbed reading
     * @param seed of the small wood's arrangement
     */
    public static Answer of(
            Survey survey,
            Knowledge knowledge,
            long seed,
            School school,
            double reach,
            Neighbours neighbours,
            List<Finding> reading) {
        SurveyParameters.Redraws settings = knowledge.parameters().survey().redraws();
        double offset = offset(TreeBuilder.build(survey, knowledge, seed));
        List<Draw> draws = IntStream.range(0, settings.draws())
                .parallel()
                .boxed()
                .map(Cancellation.carried((Integer i) ->
                        draw(survey, knowledge, seed, school, reach, neighbours, offset, settings.seed() + i)))
                .toList();
        List<Finding> sure = new ArrayList<>();
        for (Finding finding : reading) {
            sure.add(finding.withConfidence(share(draws, key(finding))));
        }
        return new Answer(sure, measureNext(sure, draws));
    }

    /** What the coarse grid of the re-readings gets wrong on this tree, as a mean. */
    private static double offset(Tree tree) {
        return LightModel.read(tree).mean()
                - LightModel.readCoarse(tree, stride(tree)).mean();
    }

    private static int stride(Tree tree) {
        return Math.max(1, tree.axes().size() / SITES_LOOKED_AT);
    }

    private static double share(List<Draw> draws, String key) {
        long there =
                draws.stream().filter(draw -> draw.found().containsKey(key)).count();
        // as if seen twice more, once with and once without: sixty readings cannot make a thing certain
        return (there + 1.0) / (draws.size() + 2.0);
    }

    private static String key(Finding finding) {
        return finding.rule().id()
                + (finding.targets().isEmpty() || finding.rule().subject() == Subject.TREE
                        ? ""
                        : " " + finding.first().path());
    }

    private static Draw draw(
            Survey survey,
            Knowledge knowledge,
            long seed,
            School school,
            double reach,
            Neighbours neighbours,
            double offset,
            long drawSeed) {
        Map<String, Double> errors = new LinkedHashMap<>();
        Survey disturbed = new Disturbed(survey, knowledge.parameters().survey().errors(), drawSeed, errors).survey();
        Tree tree = neighbours.applied(TreeBuilder.build(disturbed, knowledge, seed));
        LightReading coarse = LightModel.readCoarse(tree, stride(tree));
        double[] shifted = coarse.light();
        for (int s = 0; s < shifted.length; s++) {
            shifted[s] = Math.max(0, Math.min(1, shifted[s] + offset));
        }
        LightReading light =
                new LightReading(coarse.sites(), shifted, coarse.leaf(), coarse.leafIndex(), coarse.interception());
        Map<String, Boolean> found = new HashMap<>();
        for (Finding finding : TreeReader.findings(tree, school, light, reach, neighbours)) {
            found.put(key(finding), true);
        }
        return new Draw(found, errors);
    }

    /** Of each doubtful finding, the share of its coming and going that one measurement's error explains; summed. */
    private static List<Measure> measureNext(List<Finding> findings, List<Draw> draws) {
        Map<String, Double> worth = new LinkedHashMap<>();
        Map<String, List<Finding>> settles = new LinkedHashMap<>();
        for (Finding finding : findings) {
            double doubt = Math.min(finding.confidence(), 1 - finding.confidence());
            if (doubt < DOUBTFUL_FROM) {
                continue;
            }
            double weight = doubt * (finding.severity() == Severity.ACT ? 2 : 1);
            String best = null;
            double bestLink = LEAST_LINK;
            for (String measure : draws.get(0).errors().keySet()) {
                if (!concerns(measure, finding)) {
                    continue;
                }
                double link = Math.abs(correlation(draws, measure, key(finding)));
                worth.merge(measure, weight * link * link, Double::sum);
                if (link > bestLink) {
                    bestLink = link;
                    best = measure;
                }
            }
            if (best != null) {
                settles.computeIfAbsent(best, key -> new ArrayList<>()).add(finding);
            }
        }
        return worth.entrySet().stream()
                .filter(entry -> settles.containsKey(entry.getKey()))
                .sorted(Map.Entry.<String, Double>comparingByValue()
                        .reversed()
                        .thenComparing(Map.Entry.comparingByKey(Comparator.naturalOrder())))
                .limit(MOST_MEASURES)
                .map(entry -> measure(entry.getKey(), settles.get(entry.getKey())))
                .toList();
    }

    /** Whether a measurement can bear on a finding: one of its limbs or of the trunk, or any where the whole tree is meant. */
    private static boolean concerns(String measure, Finding finding) {
        String limb = measure.substring(0, measure.indexOf(' '));
        return limb.equals(Survey.TRUNK)
                || finding.targets().isEmpty()
                || finding.targets().stream().anyMatch(target -> target.limb().equals(limb));
    }

    private static Measure measure(String key, List<Finding> settles) {
        String limb = key.substring(0, key.indexOf(' '));
        String what = key.substring(key.indexOf(' ') + 1);
        Finding first = settles.get(0);
        return new Measure(
                limb,
                what,
                Statement.of("doubt")
                        .with("rule", new Value.Term("rule." + first.rule().id()))
                        .with("known", Value.choice(first.targets().isEmpty() ? "no" : "yes"))
                        .with(
                                "limb",
                                Value.limb(
                                        first.targets().isEmpty()
                                                ? ""
                                                : first.first().limb()))
                        .with("sure", Value.share(first.confidence()))
                        .with("count", Value.count(settles.size())));
    }

    private static double correlation(List<Draw> draws, String measure, String key) {
        int n = draws.size();
        double mean = 0;
        double errorMean = 0;
        for (Draw draw : draws) {
            mean += draw.found().containsKey(key) ? 1 : 0;
            errorMean += draw.errors().get(measure);
        }
        mean /= n;
        errorMean /= n;
        double both = 0;
        double ofFound = 0;
        double ofError = 0;
        for (Draw draw : draws) {
            double a = (draw.found().containsKey(key) ? 1 : 0) - mean;
            double b = draw.errors().get(measure) - errorMean;
            both += a * b;
            ofFound += a * a;
            ofError += b * b;
        }
        return ofFound <= 0 || ofError <= 0 ? 0 : both / Math.sqrt(ofFound * ofError);
    }

    /** A survey with errors drawn into it, still a survey the builder accepts. */
    private static final class Disturbed {

        private final Survey survey;
        private final SurveyParameters.Errors sigma;
        private final long seed;
        private final Map<String, Double> errors;
        private final Map<String, Double> lengths = new HashMap<>();

        Disturbed(Survey survey, SurveyParameters.Errors sigma, long seed, Map<String, Double> errors) {
            this.survey = survey;
            this.sigma = sigma;
            this.seed = seed;
            this.errors = errors;
        }

        Survey survey() {
            Survey.TrunkMeasure trunk = survey.trunk();
            double diameter = inProportion(Survey.TRUNK, "diameter", trunk.diameterMm(), sigma.diameterShare());
            double height = inProportion(Survey.TRUNK, "height", trunk.heightCm(), sigma.lengthShare() / 2);
            double lowest = Math.max(
                    trunk.unionAtCm() == null ? 0 : trunk.unionAtCm() + 1,
                    trunk.diameterAtCm() == null ? 0 : trunk.diameterAtCm() + 1);
            double top = Math.max(height, lowest);
            lengths.put(Survey.TRUNK, top);
            for (Survey.LimbMeasure limb : survey.limbs()) {
                double share = shareOf(of(limb).lengthCm(), limb.lengthCm(), sigma.lengthShare());
                lengths.put(limb.id(), inProportion(limb.id(), "length", limb.lengthCm(), share));
            }
            List<Survey.LimbMeasure> limbs =
                    survey.limbs().stream().map(this::limb).toList();
            return new Survey(
                    survey.format(),
                    survey.tree(),
                    survey.site(),
                    survey.surveyedOn(),
                    new Survey.TrunkMeasure(
                            diameter, trunk.diameterAtCm(), top, trunk.unionAtCm(), trunk.lastGrowthCm()),
                    limbs);
        }

        private Survey.LimbMeasure limb(Survey.LimbMeasure limb) {
            String id = limb.id();
            Survey.MeasureError own = of(limb);
            double angle = orElse(own.angleDeg(), sigma.angleDeg());
            double height = orElse(own.atCm(), sigma.heightCm() / 2);
            double bearing = orElse(own.bearingDeg(), sigma.bearingDeg());
            double turn = by(id, "angle", error -> error * angle);
            double at = limb.atCm() + by(id, "height", error -> error * height);
            double length = lengths.get(id);
            // a sucker stays below the union: from where it comes is seen, not measured
            boolean low = survey.trunk().unionAtCm() != null
                    && limb.atCm() < survey.trunk().unionAtCm();
            double most = lengths.get(limb.parent());
            return limb.placed(
                            low ? Math.min(limb.atCm(), most) : Math.max(0, Math.min(most, at)),
                            (limb.bearingDeg() + by(id, "bearing", error -> error * bearing) + 720) % 360,
                            within(limb.angleDeg() + turn),
                            limb.tipAngleDeg() == null ? null : within(limb.tipAngleDeg() + turn))
                    .sized(
                            inProportion(
                                    id,
                                    "diameter",
                                    limb.diameterMm(),
                                    shareOf(own.diameterMm(), limb.diameterMm(), sigma.diameterShare())),
                            length,
                            limb.ageY(),
                            limb.lastGrowthCm() == null
                                    ? null
                                    : Math.min(
                                            length,
                                            inProportion(id, "last growth", limb.lastGrowthCm(), sigma.lengthShare())))
                    .bearing(wood(id, limb.wood()));
        }

        private static Survey.MeasureError of(Survey.LimbMeasure limb) {
            return limb.error() == null ? BY_HAND : limb.error();
        }

        private static double orElse(Double own, double usual) {
            return own == null ? usual : own;
        }

        private static double shareOf(Double own, double measure, double usual) {
            return own == null ? usual : own / measure;
        }

        private Survey.SmallWood wood(String id, Survey.SmallWood wood) {
            if (wood == null) {
                return null;
            }
            double factor = 1 + by(id, "counts", error -> error * sigma.countShare());
            return new Survey.SmallWood(
                    wood.shoots() == null
                            ? null
                            : wood.shoots().stream()
                                    .map(one -> new Survey.ShootCount(
                                            one.shootClass(),
                                            one.attitude(),
                                            counted(one.count(), factor),
                                            one.lengthCm()))
                                    .toList(),
                    wood.spurs() == null
                            ? null
                            : new Survey.SpurCount(
                                    counted(wood.spurs().count(), factor),
                                    wood.spurs().ageY()),
                    wood.flowerBuds() == null ? null : counted(wood.flowerBuds(), factor));
        }

        private static int counted(int count, double factor) {
            return (int) Math.max(0, Math.round(count * factor));
        }

        private static double within(double angle) {
            return Math.max(0, Math.min(180, angle));
        }

        private double inProportion(String limb, String what, double value, double share) {
            return value * Math.max(0.3, 1 + by(limb, what, error -> error * share));
        }

        /** Draws an error for one measurement, keyed by what it is for, so that limbs do not disturb each other. */
        private double by(String limb, String what, DoubleUnaryOperator scaled) {
            String key = limb + " " + what;
            long hash = 1125899906842597L;
            for (int i = 0; i < key.length(); i++) {
                hash = 31 * hash + key.charAt(i);
            }
            SplittableRandom random = new SplittableRandom(seed * 0x9E3779B97F4A7C15L ^ hash);
            double error =
                    Math.sqrt(-2 * Math.log(1 - random.nextDouble())) * Math.cos(2 * Math.PI * random.nextDouble());
            double held = Math.max(-2.5, Math.min(2.5, error));
            errors.put(key, held);
            return scaled.applyAsDouble(held);
        }
    }
}
