package umbel.aftercare;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import umbel.cut.CutTree;
import umbel.cut.Effect;
import umbel.knowledge.AftercareParameters;
import umbel.knowledge.School;
import umbel.light.LightReading;
import umbel.survey.Survey;
import umbel.text.Statement;
import umbel.text.Value;
import umbel.wood.Axis;
import umbel.wood.Condition;
import umbel.wood.Tree;
import umbel.wood.Units;

/**
 * What is done after the last cut of a visit to a tree, by the school, by the diseases on record and by what was cut: wounds left
 * to close or dressed, bark that the cuts bared to the sun, tools cleaned, prunings put where they do no harm. Nothing where
 * nothing was cut. Sources: docs/model/aftercare.md.
 */
public final class Aftercare {

    private final CutTree cut;
    private final List<Effect> effects;
    private final School.Preferences school;
    private final AftercareParameters numbers;
    private final Set<String> diseases = new LinkedHashSet<>();
    private final Set<String> cutDiseases = new LinkedHashSet<>();
    private double mass;
    private double diseasedMass;

    private Aftercare(CutTree cut, List<Effect> effects, double weighs, School school, AftercareParameters numbers) {
        this.cut = cut;
        this.effects = effects;
        this.school = school.preferences();
        this.numbers = numbers;
        Set<Integer> intoDisease = new HashSet<>();
        for (Axis limb : cut.found().limbs()) {
            diseaseOf(limb).ifPresent(disease -> {
                diseases.add(disease);
                if (cut.takenBy(limb) >= 0) {
                    cutDiseases.add(disease);
                    intoDisease.add(cut.takenBy(limb));
                }
            });
        }
        for (int i = 0; i < effects.size(); i++) {
            double each = weighs * effects.get(i).mass();
            mass += each;
            diseasedMass += intoDisease.contains(i) ? each : 0;
        }
    }

    /**
     * The tasks after a visit, in the order they are done.
     *
     * @param effects of the cut tree's operations, in their order
     * @param weighs factor on the weight of what falls, 1 where no prunings were weighed
     * @param before light of the tree as found
     * @param after light of the tree that is left
     */
    public static List<AfterTask> of(
            CutTree cut,
            List<Effect> effects,
            double weighs,
            LightReading before,
            LightReading after,
            School school,
            AftercareParameters numbers) {
        Aftercare aftercare = new Aftercare(cut, effects, weighs, school, numbers);
        List<AfterTask> tasks = new ArrayList<>();
        if (effects.stream().mapToInt(Effect::cuts).sum() == 0) {
            return tasks;
        }
        aftercare.wounds(tasks);
        aftercare.bark(before.meanByLimb(), after.meanByLimb(), tasks);
        aftercare.tools(tasks);
        aftercare.prunings(tasks);
        return tasks;
    }

    /**
     * The tasks after cutting a bush, a row of canes or a vine: tools and prunings. Cuts on canes are small, and what falls is
     * not weighed.
     *
     * @param diseases on record on the plant: what has them goes out with whatever is cut
     */
    public static List<AfterTask> ofCanes(Set<String> diseases, School school) {
        School.Preferences preferences = school.preferences();
        boolean sick = !diseases.isEmpty();
        String when = sick ? "cut" : preferences.cleanEveryTree() ? "plant" : "block";
        List<AfterTask> tasks = new ArrayList<>();
        tasks.add(new AfterTask(
                AfterTask.Kind.TOOLS,
                Statement.of("aftercare.tools-canes")
                        .with("when", Value.choice(when))
                        .with("diseases", named(diseases)),
                true));
        if (sick) {
            tasks.add(new AfterTask(
                    AfterTask.Kind.DISEASED_PRUNINGS,
                    Statement.of("aftercare.canes-diseased").with("diseases", named(diseases)),
                    true));
        }
        tasks.add(new AfterTask(
                AfterTask.Kind.PRUNINGS,
                Statement.of("aftercare.canes")
                        .with("how", Value.choice(preferences.chopPrunings() ? "chop" : "remove")),
                true));
        return tasks;
    }

    /** What is recorded on a limb, if anything. */
    private static Optional<String> diseaseOf(Axis limb) {
        if (!limb.disease().isEmpty()) {
            return Optional.of(limb.disease());
        }
        return limb.is(Condition.DISEASED) ? Optional.of(Survey.UNNAMED_DISEASE) : Optional.empty();
    }

    private void wounds(List<AfterTask> tasks) {
        double least = Units.fromMm(numbers.woundDiameter());
        List<Double> large = new ArrayList<>();
        for (int i = 0; i < effects.size(); i++) {
            // shoots of a group are thin, and only the thickest of them is known
            boolean wound =
                    effects.get(i).cuts() > 0 && !cut.operations().get(i).onGroup();
            if (wound && effects.get(i).diameter() >= least) {
                large.add(effects.get(i).diameter());
            }
        }
        if (large.isEmpty()) {
            return;
        }
        boolean feared = diseases.stream().anyMatch(numbers.dressedAgainst()::contains);
        boolean dressed = school.dressWounds() || feared;
        tasks.add(new AfterTask(
                AfterTask.Kind.WOUNDS,
                Statement.of("aftercare.wounds")
                        .with("how", Value.choice(dressed ? "dress" : "leave"))
                        .with("feared", Value.choice(feared ? "yes" : "no"))
                        .with("count", Value.count(large.size()))
                        .with("least", Value.thickness(least))
                        .with("thickest", Value.thickness(Collections.max(large))),
                dressed));
    }

    /** Limbs that stood in shade and are bared by these cuts, thick and level enough to burn on their sunny side. */
    private void bark(Map<String, Double> before, Map<String, Double> after, List<AfterTask> tasks) {
        Tree left = cut.left();
        List<String> bared = left.limbs().stream()
                .filter(Axis::isFrame)
                .filter(limb -> limb.baseDiameter() >= Units.fromMm(numbers.baredDiameter()))
                .filter(limb -> limb.baseInclination() >= Math.toRadians(numbers.baredInclination()))
                .map(Axis::id)
                .filter(id -> before.containsKey(id) && after.containsKey(id))
                .filter(id -> after.get(id) - before.get(id) >= numbers.baredLight())
                .toList();
        if (bared.isEmpty()) {
            return;
        }
        boolean south = left.setting().place().latitude() >= 0;
        tasks.add(new AfterTask(
                AfterTask.Kind.BARK,
                Statement.of("aftercare.bark")
                        .with("how", Value.choice(school.paintBared() ? "paint" : "leave"))
                        .with("limbs", Value.limbs(bared))
                        .with("side", new Value.Term(south ? "compass.s" : "compass.n")),
                true));
    }

    private void tools(List<AfterTask> tasks) {
        List<String> travelling = cut.found().setting().species().disease().transmissible();
        boolean onRecord = diseases.stream()
                .anyMatch(disease -> travelling.contains(disease) || disease.equals(Survey.UNNAMED_DISEASE));
        String when = !cutDiseases.isEmpty() ? "cut" : onRecord || school.cleanEveryTree() ? "tree" : "block";
        tasks.add(new AfterTask(
                AfterTask.Kind.TOOLS,
                Statement.of("aftercare.tools").with("when", Value.choice(when)).with("diseases", named(cutDiseases)),
                true));
    }

    private void prunings(List<AfterTask> tasks) {
        if (diseasedMass > 0) {
            tasks.add(new AfterTask(
                    AfterTask.Kind.DISEASED_PRUNINGS,
                    Statement.of("aftercare.prunings-diseased")
                            .with("mass", about(diseasedMass))
                            .with("diseases", named(cutDiseases)),
                    true));
        }
        double sound = mass - diseasedMass;
        if (sound > 0) {
            tasks.add(new AfterTask(
                    AfterTask.Kind.PRUNINGS,
                    Statement.of("aftercare.prunings")
                            .with("how", Value.choice(school.chopPrunings() ? "chop" : "remove"))
                            .with("mass", about(sound)),
                    true));
        }
    }

    /** A mass as it is told: whole kilograms, tenths under one. */
    private static Value about(double kilograms) {
        return new Value.Mass(Units.round(kilograms, kilograms < 1 ? 1 : 0));
    }

    private static Value named(Set<String> diseases) {
        return new Value.Several(diseases.stream()
                .map(disease -> Statement.of("aftercare.disease").with("name", new Value.Words(disease)))
                .toList());
    }
}
