package umbel.planting;

import java.util.ArrayList;
import java.util.List;
import umbel.format.FieldError;
import umbel.knowledge.Knowledge;
import umbel.knowledge.PlantingParameters;
import umbel.survey.InvalidSurvey;
import umbel.text.Statement;
import umbel.text.Value;

/** Checks what is wished for a household, and completes what was left out. */
public final class HouseholdCheck extends RequestCheck {

    private static final int MOST_LINES = 24;
    private static final int MOST_TREES = 200;

    private final Knowledge knowledge;

    private HouseholdCheck(Knowledge knowledge) {
        this.knowledge = knowledge;
    }

    /**
     * The wish with its defaults.
     *
     * @throws InvalidSurvey naming each faulty field, as {@code trees[0].species}
     */
    public static Household complete(Household sent, Knowledge knowledge) {
        HouseholdCheck check = new HouseholdCheck(knowledge);
        Household whole = check.whole(sent);
        check.refuseFaulty();
        return whole;
    }

    private Household whole(Household sent) {
        if (sent == null || sent.trees() == null || sent.trees().isEmpty()) {
            throw new InvalidSurvey(List.of(FieldError.of("trees", "problem.household-trees-missing")));
        }
        if (sent.trees().size() > MOST_LINES) {
            throw new InvalidSurvey(List.of(new FieldError(
                    "trees", Statement.of("problem.household-too-many").with("most", Value.count(MOST_LINES)))));
        }
        PlantingParameters numbers = knowledge.planting();
        List<Household.WishedTree> trees = new ArrayList<>();
        for (int i = 0; i < sent.trees().size(); i++) {
            trees.add(tree("trees[" + i + "]", sent.trees().get(i)));
        }
        return new Household(
                within("latitude_deg", sent.latitudeDeg(), numbers.usual().latitudeDeg(), -66, 66),
                (int) within("people", whole(sent.people()), numbers.household().people(), 1, 500),
                within(
                        "kgPerPersonMonth",
                        sent.kgPerPersonMonth(),
                        numbers.household().kgPerPersonMonth(),
                        0.1,
                        200),
                sent.fence() == null ? null : fence(sent.fence()),
                trees,
                sent.seed() == null ? numbers.usual().seed() : sent.seed());
    }

    private Household.WishedFence fence(Household.WishedFence sent) {
        if (sent.length() == null) {
            errors.add(FieldError.of("fence.length_m", "problem.fence-length-missing"));
        }
        return new Household.WishedFence(
                within("fence.length_m", sent.length(), 1, 0.5, 10_000),
                within(
                        "fence.height_m",
                        sent.height(),
                        knowledge.planting().household().fenceHeight(),
                        0.3,
                        20));
    }

    private Household.WishedTree tree(String at, Household.WishedTree sent) {
        if (sent == null) {
            errors.add(FieldError.of(at, "problem.household-trees-missing"));
            return null;
        }
        List<String> species =
                knowledge.allSpecies().stream().map(one -> one.id()).toList();
        if (!known(at + ".species", sent.species(), species)) {
            return null;
        }
        List<String> systems = knowledge.species(sent.species()).systems();
        String system = sent.system() == null ? systems.get(0) : sent.system();
        known(at + ".system", system, systems);
        return new Household.WishedTree(
                sent.species(), system, when(at + ".ripens", sent.ripens()), when(at + ".blooms", sent.blooms()), (int)
                        within(at + ".count", whole(sent.count()), 1, 1, MOST_TREES));
    }

    private String when(String field, String word) {
        String told = word == null ? Household.When.MIDDLE.word() : word;
        known(field, told, Household.When.words());
        return told;
    }
}
