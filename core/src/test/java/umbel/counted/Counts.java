package umbel.counted;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import tools.jackson.databind.json.JsonMapper;
import umbel.growth.Moment;
import umbel.knowledge.Knowledge;

/** Counted plants for tests, written as other software would post them. */
public final class Counts {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private Counts() {}

    /** A plant of a document whose quotes are single. */
    public static CountSurvey survey(String document) {
        return CountReader.read(JSON.readTree(document.replace('\'', '"')));
    }

    /** A bush of a kind in a leaf, with so many canes of each age from one on. */
    static CountSurvey bush(String kind, int leaf, int... byAge) {
        return bush(kind, leaf, "", byAge);
    }

    /** The same, with more canes. */
    static CountSurvey bush(String kind, int leaf, String more, int... byAge) {
        List<String> canes = new ArrayList<>();
        for (int age = 1; age <= byAge.length; age++) {
            for (int i = 0; i < byAge[age - 1]; i++) {
                canes.add(String.format(Locale.ROOT, "{'id':'a%d-%d','age_y':%d}", age, i, age));
            }
        }
        if (!more.isEmpty()) {
            canes.add(more);
        }
        return survey("{'format':'umbel-count/1','plant':{'kind':'" + kind + "','leaf':" + leaf + "},'canes':["
                + String.join(",", canes) + "]}");
    }

    static Counted read(CountSurvey survey) {
        return Counted.of(survey, Knowledge.shipped());
    }

    static CountPlan plan(CountSurvey survey, String name) {
        return read(survey).plans(Moment.DORMANT).stream()
                .filter(plan -> plan.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    static CountPlan recommended(CountSurvey survey) {
        return plan(survey, "recommended");
    }

    /** What is done, a word for each step: the operation and its target. */
    static List<String> done(CountPlan plan) {
        return plan.steps().stream()
                .map(step ->
                        step.operation().kind().word() + " " + step.operation().target())
                .toList();
    }

    static CountOperation only(CountPlan plan, CountOperation.Kind kind) {
        return plan.steps().stream()
                .map(CountStep::operation)
                .filter(operation -> operation.kind() == kind)
                .findFirst()
                .orElseThrow(() -> new AssertionError("No " + kind + " in " + done(plan)));
    }
}
