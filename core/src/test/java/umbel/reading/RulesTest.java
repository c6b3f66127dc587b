package umbel.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import umbel.cut.Operation;
import umbel.knowledge.Knowledge;
import umbel.knowledge.RuleKnowledge;
import umbel.knowledge.SchoolLines;
import umbel.practice.Fault;
import umbel.practice.PracticeTree;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

/** Every rule is told in full, and a new one cannot be forgotten half-way. */
class RulesTest {

    private static final Knowledge KNOWLEDGE = Knowledge.shipped();

    /** A rule somebody has just added and told nothing of. */
    private static final class NewRule extends Rule {

        NewRule(Trait... traits) {
            super("new-rule", Subject.LIMB, Stage.DETAIL, traits);
        }

        @Override
        List<Finding> read(RuleContext context) {
            return List.of();
        }

        @Override
        String judgedBy(RuleContext context, Finding finding) {
            return "school.limbRatio";
        }

        @Override
        List<Operation> remedies(RemedyContext context, Finding finding) {
            return List.of();
        }
    }

    private static List<String> gapsWith(Rule rule, RuleKnowledge told) {
        List<Rule> rules = new ArrayList<>(Rules.all());
        rules.add(rule);
        Map<String, RuleKnowledge> known = new TreeMap<>(KNOWLEDGE.plan().rules());
        if (told != null) {
            known.put(rule.id(), told);
        }
        return Rules.gaps(rules, known).stream()
                .filter(gap -> gap.contains(rule.id()))
                .toList();
    }

    private static RuleKnowledge told(
            double cost, String name, String leaving, String sees, RuleKnowledge.Figure figure) {
        return new RuleKnowledge(cost, null, name, leaving, sees, "It matters.", "Cut it.", figure);
    }

    private static RuleKnowledge.Figure figure() {
        return new RuleKnowledge.Figure(List.of("M50 98 L50 6"), null, null, null);
    }

    @Test
    void nothingIsMissingOfTheRulesThereAre() {
        assertThat(Rules.gaps(Rules.all(), KNOWLEDGE.plan().rules())).isEmpty();
    }

    @Test
    void aNewRuleMeetsAFailureForEveryPartThatWasForgotten() {
        assertThat(gapsWith(new NewRule(), null)).containsExactly("rules.yaml says nothing of new-rule.");
        assertThat(gapsWith(new NewRule(), told(0.3, "", "", "It is seen.", null)))
                .containsExactly(
                        "new-rule has no name in rules.yaml.",
                        "new-rule has no leaving in rules.yaml.",
                        "new-rule has no figure in rules.yaml.");
        assertThat(gapsWith(new NewRule(), told(0, "New", null, null, figure())))
                .containsExactly("new-rule has no sees in rules.yaml.");
        assertThat(gapsWith(new NewRule(Rule.Trait.UNDISPUTED), told(0, "New", null, "It is seen.", figure())))
                .containsExactly("new-rule has no leaving in rules.yaml.");
        assertThat(gapsWith(new NewRule(), told(0.3, "New", "It grows.", "It is seen.", figure())))
                .isEmpty();
    }

    @Test
    void knowledgeOfARuleThatIsNotThereIsNoticed() {
        Map<String, RuleKnowledge> known = new TreeMap<>(KNOWLEDGE.plan().rules());
        known.put("old-rule", known.get("shade"));
        assertThat(Rules.gaps(Rules.all(), known))
                .contains("rules.yaml speaks of old-rule, and there is no such rule.");
        assertThatThrownBy(() -> Rules.of("old-rule")).hasMessageContaining("old-rule");
    }

    @ParameterizedTest
    @EnumSource(Fault.class)
    void everyFindingIsJudgedByALineThatStandsSomewhere(Fault fault) {
        for (String system : List.of("central-leader", "tall-spindle", "open-centre")) {
            Tree tree = TreeBuilder.build(PracticeTree.survey(system, 9, 3, fault), KNOWLEDGE, 1);
            for (Finding finding :
                    TreeReader.read(tree, KNOWLEDGE.school("classic"), 2.4).findings()) {
                String line = finding.judgedBy();
                if (line.startsWith("school.")) {
                    assertThat(SchoolLines.of(KNOWLEDGE.school("classic")))
                            .as(finding.rule().id())
                            .containsKey(line.substring("school.".length()));
                } else {
                    assertThat(line).as(finding.rule().id()).matches("(system|species|survey|holding|reach)(\\..+)?");
                }
            }
        }
    }
}
