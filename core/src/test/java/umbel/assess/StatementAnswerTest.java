package umbel.assess;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import umbel.knowledge.Knowledge;
import umbel.practice.Fault;
import umbel.practice.PracticeTree;
import umbel.text.Catalogue;
import umbel.text.Speech;
import umbel.text.Statement;
import umbel.text.UnitSystem;
import umbel.text.Value;

class StatementAnswerTest {

    /** Fields of an answer that a person reads. */
    private static final Set<String> TEXTS = Set.of(
            "measure",
            "reason",
            "title",
            "place",
            "numbers",
            "answer",
            "skipped",
            "cautions",
            "why",
            "purpose",
            "summer",
            "thirdYear",
            "reasons",
            "instead");

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final Assessor ASSESSOR = new Assessor(Knowledge.shipped());

    @Test
    void everyTextOfAnAnswerStatesItsCode() {
        JsonNode answer = JSON.valueToTree(assess(ASSESSOR));
        List<String> codes = new ArrayList<>();
        collect("", answer, codes);
        assertThat(codes).hasSizeGreaterThan(50);
        Catalogue english = Catalogue.of("en");
        Catalogue spanish = Catalogue.of("es");
        assertThat(codes).allSatisfy(code -> {
            assertThat(english.message(code)).isNotBlank();
            assertThat(spanish.message(code)).isNotBlank();
        });
    }

    @Test
    void theStatementsAreTheSameInEveryLanguageAndUnit() {
        Assessment.StepAnswer english = firstStep(ASSESSOR);
        Assessment.StepAnswer spanish = firstStep(ASSESSOR.in(Speech.of("es", UnitSystem.US)));
        assertThat(spanish.title()).isNotEqualTo(english.title());
        assertThat(spanish.statements()).isEqualTo(english.statements());
    }

    @Test
    void aStepsNumbersAreThoseOfItsFields() {
        Assessment answer = assess(ASSESSOR);
        List<Assessment.StepAnswer> cuts = answer.plans().get(0).steps().stream()
                .filter(step -> step.cutDiameterMm() > 0)
                .toList();
        assertThat(cuts).isNotEmpty().allSatisfy(step -> {
            StatementAnswer.ValueAnswer diameter =
                    step.statements().get("numbers").get(0).values().get("diameter");
            assertThat(diameter.unit()).isEqualTo("mm");
            assertThat(diameter.value()).isCloseTo(step.cutDiameterMm(), within(0.051));
        });
        assertThat(answer.plans().get(0).steps())
                .allSatisfy(
                        step -> assertThat(step.statements().get("cautions")).hasSameSizeAs(step.cautions()));
    }

    static List<Map.Entry<Value, StatementAnswer.ValueAnswer>> values() {
        return List.of(
                Map.entry(Value.length(1.25), measure("length", 125, "cm")),
                Map.entry(Value.reach(2.4), measure("reach", 2.4, "m")),
                Map.entry(Value.thickness(0.0294), measure("thickness", 29.4, "mm")),
                Map.entry(new Value.Section(0.0012), measure("section", 12, "cm2")),
                Map.entry(new Value.PerLength(11), measure("per-length", 11, "per-m")),
                Map.entry(new Value.Angle(Math.PI / 3), measure("angle", 60, "deg")),
                Map.entry(Value.share(0.333), measure("share", 0.333, null)),
                Map.entry(new Value.Mass(3.1), measure("mass", 3.1, "kg")),
                Map.entry(new Value.Force(12.5), measure("force", 12.5, "N")),
                Map.entry(new Value.Minutes(0.75), measure("minutes", 0.75, "min")),
                Map.entry(Value.count(4), measure("count", 4, null)),
                Map.entry(Value.number(1.27, 1), measure("number", 1.3, null)),
                Map.entry(new Value.Bearing(Math.PI / 2), measure("bearing", 90, "deg")),
                Map.entry(Value.choice("up"), word("choice", "up")),
                Map.entry(new Value.Term("tool.saw"), word("term", "tool.saw")),
                Map.entry(new Value.Words("Apple"), word("words", "Apple")),
                Map.entry(new Value.Name("Old Gate"), word("name", "Old Gate")),
                Map.entry(new Value.Day(LocalDate.of(2027, 2, 10)), word("day", "2027-02-10")),
                Map.entry(
                        Value.limbs(List.of("trunk", "4")),
                        new StatementAnswer.ValueAnswer("limbs", null, null, List.of("trunk", "4"), null, null)),
                Map.entry(
                        new Value.Several(List.of(Statement.of("a").with("n", Value.count(1)))),
                        new StatementAnswer.ValueAnswer(
                                "statements",
                                null,
                                null,
                                null,
                                null,
                                List.of(new StatementAnswer("a", Map.of("n", measure("count", 1, null)))))));
    }

    @ParameterizedTest
    @MethodSource("values")
    void aValueKeepsItsKindAndUnit(Map.Entry<Value, StatementAnswer.ValueAnswer> one) {
        assertThat(StatementAnswer.ValueAnswer.of(one.getKey())).isEqualTo(one.getValue());
    }

    private static StatementAnswer.ValueAnswer measure(String kind, double value, String unit) {
        return new StatementAnswer.ValueAnswer(kind, value, unit, null, null, null);
    }

    private static StatementAnswer.ValueAnswer word(String kind, String word) {
        return new StatementAnswer.ValueAnswer(kind, null, null, null, word, null);
    }

    /** Looks at every object with statements: each text of it must be stated, and nothing else. */
    private static void collect(String path, JsonNode node, List<String> codes) {
        if (node.isObject() && node.has("statements") && node.get("statements").isObject()) {
            JsonNode statements = node.get("statements");
            for (String field : TEXTS) {
                JsonNode text = node.get(field);
                boolean there = text != null
                        && (text.isString() && !text.asString().isBlank() || text.isArray() && !text.isEmpty());
                if (there) {
                    assertThat(statements.has(field)).as(path + "." + field).isTrue();
                }
            }
            statements.properties().forEach(entry -> {
                assertThat(node.has(entry.getKey()))
                        .as(path + "." + entry.getKey())
                        .isTrue();
                entry.getValue().forEach(one -> codes.add(one.get("code").asString()));
            });
        }
        if (node.isObject()) {
            node.properties().forEach(entry -> {
                if (!entry.getKey().equals("statements")) {
                    collect(path + "." + entry.getKey(), entry.getValue(), codes);
                }
            });
        }
        if (node.isArray()) {
            node.forEach(one -> collect(path + "[]", one, codes));
        }
    }

    private static Assessment.StepAnswer firstStep(Assessor assessor) {
        return assess(assessor).plans().get(0).steps().get(0);
    }

    private static Assessment assess(Assessor assessor) {
        return assessor.assess(AssessRequest.of(
                PracticeTree.survey("central-leader", 14, 3, Fault.RIVAL_LEADER, Fault.CANKER, Fault.WATER_SPROUTS)));
    }
}
