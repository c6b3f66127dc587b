package umbel.reading;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import umbel.cut.Operation;
import umbel.knowledge.RuleKnowledge;
import umbel.text.Statement;

/** The rules there are, in the order they are read; the only list of them. */
public final class Rules {

    private static final List<Rule> ALL = List.of(
            new RootSucker(),
            new ScionRooted(),
            new UnsoundWood(),
            new RivalLeader(),
            new LimbTooThick(),
            new TightCrotch(),
            new CrowdedOrigin(),
            new StackedLimbs(),
            new BareSector(),
            new Crossing(),
            new Inward(),
            new OverHeight(),
            new SunnySideHigh(),
            new LostCone(),
            new OutOfBox(),
            new LopSided(),
            new WillDrop(),
            new Shade(),
            new WaterSprout(),
            new Hanger(),
            new OldWood(),
            new WoodMovedOut(),
            new BlindWood(),
            new Crowding(),
            new OverCrop(),
            new UnderCrop(),
            new OverVigour(),
            new UnderVigour(),
            new BoxNotFilled());

    private static final Map<String, Rule> BY_ID =
            ALL.stream().collect(Collectors.toMap(Rule::id, Function.identity()));

    private Rules() {}

    /** Every rule, in the order they are read. */
    public static List<Rule> all() {
        return ALL;
    }

    /**
     * A rule by its id.
     *
     * @throws IllegalArgumentException where there is none
     */
    public static Rule of(String id) {
        Rule rule = BY_ID.get(id);
        if (rule == null) {
            throw new IllegalArgumentException("There is no rule '" + id + "'.");
        }
        return rule;
    }

    /**
     * What is missing between rules and what is known of them: a rule without knowledge, knowledge without a rule, a rule
     * that is not told, or one that is cut for and does not say what comes of leaving it.
     *
     * @param known by id, as {@code knowledge/rules.yaml} has it
     * @return a sentence for each gap; empty where all is there
     */
    static List<String> gaps(List<Rule> rules, Map<String, RuleKnowledge> known) {
        List<String> gaps = new ArrayList<>();
        Set<String> ids = new HashSet<>();
        for (Rule rule : rules) {
            if (!ids.add(rule.id())) {
                gaps.add("Two rules are called " + rule.id() + ".");
            }
            RuleKnowledge told = known.get(rule.id());
            if (told == null) {
                gaps.add("rules.yaml says nothing of " + rule.id() + ".");
                continue;
            }
            tell(gaps, rule, "name", told.name());
            tell(gaps, rule, "sees", told.sees());
            tell(gaps, rule, "why", told.why());
            tell(gaps, rule, "does", told.does());
            if (told.cost() > 0 || rule.isUndisputed() || rule.isAnsweredInParts()) {
                tell(gaps, rule, "leaving", told.leaving());
            }
            if (told.figure() == null || told.figure().wood().isEmpty()) {
                gaps.add(rule.id() + " has no figure in rules.yaml.");
            }
        }
        known.keySet().stream()
                .filter(id -> !ids.contains(id))
                .forEach(id -> gaps.add("rules.yaml speaks of " + id + ", and there is no such rule."));
        return gaps;
    }

    private static void tell(List<String> gaps, Rule rule, String part, String text) {
        if (text == null || text.isBlank()) {
            gaps.add(rule.id() + " has no " + part + " in rules.yaml.");
        }
    }

    /** The operations weighed against each other for a finding, the usual one first; empty where no cut answers it. */
    public static List<Operation> remedies(RemedyContext context, Finding finding) {
        return finding.rule().remedies(context, finding);
    }

    /** Whether the first remedy of a finding is done without being weighed. */
    public static boolean isUndisputed(Finding finding) {
        return finding.rule().isUndisputed(finding);
    }

    /** Why nothing is done about a finding now that will be later; empty where there is no such reason. */
    public static Optional<Statement> reasonToWait(RemedyContext context, Finding finding) {
        return finding.rule().reasonToWait(context, finding);
    }

    /** Whether two findings, made on two looks at a tree, are of the same thing. */
    public static boolean isSame(Finding one, Finding other) {
        return one.rule() == other.rule() && one.rule().isSame(one, other);
    }
}
