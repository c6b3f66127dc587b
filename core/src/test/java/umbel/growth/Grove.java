package umbel.growth;

import java.util.ArrayList;
import java.util.List;
import umbel.knowledge.Knowledge;
import umbel.practice.PracticeTree;
import umbel.survey.Survey;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

/** Invented trees of several kinds, systems, ages and vigours, on which the sayings of the parameters are tried. */
final class Grove {

    private static final String[] VIGOURS = {"low", "moderate", "high"};

    /** Where the seeds begin; other trees with {@code -Dumbel.laws.first=240}. */
    private static final int FIRST = Integer.getInteger("umbel.laws.first", 40);

    private Grove() {}

    /** A tree by its kind, with a name for reports. */
    record Specimen(String name, String species, boolean young, Survey survey, long seed) {

        Tree tree() {
            return TreeBuilder.build(survey, Knowledge.shipped(), seed);
        }

        TreeState stand() {
            return InitialState.of(tree(), seed);
        }

        Specimen onStock(String stock) {
            Survey.TreeFacts facts = survey.tree();
            Survey other = new Survey(
                    survey.format(),
                    new Survey.TreeFacts(
                            facts.label(),
                            facts.species(),
                            facts.leaf(),
                            facts.system(),
                            facts.cultivar(),
                            new Survey.Rootstock("", stock),
                            facts.spacing(),
                            facts.rowBearingDeg()),
                    survey.site(),
                    survey.surveyedOn(),
                    survey.trunk(),
                    survey.limbs());
            return new Specimen(name, species, young, other, seed);
        }
    }

    /** Bearing trees of apple, peach and sweet cherry in two systems each. */
    static List<Specimen> bearing(int seeds) {
        List<Specimen> grove = new ArrayList<>();
        add(grove, "apple", "central-leader", 8, false, seeds);
        add(grove, "apple", "tall-spindle", 5, false, seeds);
        add(grove, "peach", "open-centre", 6, false, seeds);
        add(grove, "peach", "two-leader-wall", 5, false, seeds);
        add(grove, "cherry-sweet", "slender-axe", 6, false, seeds);
        add(grove, "cherry-sweet", "open-centre", 8, false, seeds);
        return grove;
    }

    /** Trees still filling their space. */
    static List<Specimen> young(int seeds) {
        List<Specimen> grove = new ArrayList<>();
        add(grove, "apple", "central-leader", 3, true, seeds);
        add(grove, "apple", "vertical-axis", 3, true, seeds);
        add(grove, "peach", "open-centre", 3, true, seeds);
        add(grove, "cherry-sweet", "slender-axe", 3, true, seeds);
        add(grove, "cherry-sweet", "central-leader", 3, true, seeds);
        return grove;
    }

    private static void add(List<Specimen> grove, String species, String system, int leaf, boolean young, int seeds) {
        for (int seed = 1; seed <= seeds; seed++) {
            Survey survey = PracticeTree.survey(species, system, leaf, FIRST + seed);
            Survey.TreeFacts facts = survey.tree();
            Survey.Cultivar cultivar = new Survey.Cultivar("", "standard", "moderate", VIGOURS[seed % 3]);
            Survey varied = new Survey(
                    survey.format(),
                    new Survey.TreeFacts(
                            facts.label(),
                            facts.species(),
                            facts.leaf(),
                            facts.system(),
                            cultivar,
                            facts.rootstock(),
                            facts.spacing(),
                            facts.rowBearingDeg()),
                    survey.site(),
                    survey.surveyedOn(),
                    survey.trunk(),
                    survey.limbs());
            grove.add(new Specimen(species + " " + system + " " + leaf + " #" + seed, species, young, varied, seed));
        }
    }
}
