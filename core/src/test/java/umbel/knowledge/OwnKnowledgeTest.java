package umbel.knowledge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import umbel.survey.Survey;
import umbel.survey.Surveys;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

/** What a grower or adviser adds in a folder of his own, without programming; and how a faulty file is refused. */
class OwnKnowledgeTest {

    @TempDir
    Path own;

    private void write(String name, String text) throws IOException {
        Path file = own.resolve(name);
        Files.createDirectories(file.getParent());
        Files.writeString(file, text);
    }

    private BrokenKnowledge refused() {
        BrokenKnowledge refused = catchThrowableOfType(BrokenKnowledge.class, () -> Knowledge.with(own));
        assertThat(refused).isNotNull();
        return refused;
    }

    @Test
    void anEmptyFolderChangesNothing() {
        Knowledge knowledge = Knowledge.with(own);
        assertThat(knowledge.allSpecies()).hasSameSizeAs(Knowledge.shipped().allSpecies());
        assertThat(Knowledge.with(own.resolve("none")).cultivars()).isEmpty();
    }

    @Test
    void aSpeciesBuiltOnAnotherIsReadLikeAnyOther() throws IOException {
        write("species/medlar.yaml", """
                # Medlar: fruit at the tips of short shoots.
                id: medlar
                base: quince
                name: Medlar
                names: { one: medlar, many: medlars }
                load: { fruitMass_g: 30 }
                """);
        Knowledge knowledge = Knowledge.with(own);
        assertThat(knowledge.species("medlar").load().fruitMassG()).isEqualTo(30);
        assertThat(knowledge.species("medlar").bearing())
                .isEqualTo(knowledge.species("quince").bearing());
        Survey survey = Surveys.apple()
                .kind("medlar")
                .as("open-centre")
                .scaffold("1", 80, 0, 55, 30, 120)
                .survey();
        assertThat(TreeBuilder.build(survey, knowledge, 1).setting().cultivar().fruitMass())
                .isEqualTo(0.03);
    }

    @Test
    void aSystemAndASchoolOfOnesOwn() throws IOException {
        write("systems/low-fan.yaml", """
                id: low-fan
                base: fan
                name: Low fan
                shape: { height_m: 1.6 }
                """);
        write("schools/valley.yaml", """
                id: valley
                base: gentle
                name: Valley school
                why: As the old hands of the valley do it.
                thresholds: { limbRatio: 0.58 }
                """);
        Knowledge knowledge = Knowledge.with(own);
        assertThat(knowledge.system("low-fan").shape().height()).isEqualTo(1.6);
        assertThat(knowledge.system("low-fan").isPlane()).isTrue();
        assertThat(knowledge.school("valley").thresholds().limbRatio()).isEqualTo(0.58);
        assertThat(knowledge.school("valley").thresholds().crotchAngleDeg())
                .isEqualTo(knowledge.school("gentle").thresholds().crotchAngleDeg());
    }

    @Test
    void aNamedCultivarAndStockFillInWhatTheSurveyLeavesOut() throws IOException {
        write("cultivars.yaml", """
                cultivars:
                  - { name: Thorn Late, species: apple, habit: tip, set: heavy, vigour: heavy, fruitMass_g: 240 }
                """);
        write("rootstocks.yaml", "rootstocks: [{ name: Dell 3, class: very-dwarfing }]\n");
        Knowledge knowledge = Knowledge.with(own);
        Survey plain = Surveys.apple().scaffold("1", 80, 0, 55, 30, 120).survey();
        Survey named = new Survey(
                plain.format(),
                new Survey.TreeFacts(
                        "",
                        "apple",
                        8,
                        "central-leader",
                        new Survey.Cultivar("thorn late", null, null, null),
                        new Survey.Rootstock("Dell 3", null),
                        null,
                        null),
                plain.site(),
                plain.surveyedOn(),
                plain.trunk(),
                plain.limbs());
        Tree tree = TreeBuilder.build(named, knowledge, 1);
        assertThat(tree.setting().cultivar().habit())
                .isEqualTo(knowledge.parameters().cultivar().habits().get("tip"));
        assertThat(tree.setting().cultivar().stock()).isEqualTo("very-dwarfing");
        assertThat(tree.setting().cultivar().fruitMass()).isEqualTo(0.24);
        assertThat(tree.setting().estimated()).doesNotContain("tree.cultivar.habit", "tree.rootstock.class");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "names: { one: medlar, many: medlars } | names: { one: medlar } | line 4 | names.many",
                "woodShare: 0.3 | woodShare: 3 | line 5 | at most",
                "woodShare: 0.3 | woodShare: much | line 5 | Wrong kind",
                "woodShare: 0.3 | woodshare: 0.3 | line 5 | no such field",
                "base: quince | base: pomegranate | line 2 | pomegranate",
                "id: medlar | id: meddler | line 1 | file's name",
                "hardness: { woodShare: 0.3 } | hardness: { woodShare: 0.3 | line | "
            })
    void aFaultyFileIsRefusedWithItsLineAndReason(String good, String bad, String line, String reason)
            throws IOException {
        String sound = """
                id: medlar
                base: quince
                name: Medlar
                names: { one: medlar, many: medlars }
                hardness: { woodShare: 0.3 }
                """;
        // without a base to fill it in, a missing line is missing
        String text = good.startsWith("names")
                ? sound.replace("names: { one: medlar, many: medlars }", "names: { one: 7, many: medlars }")
                : sound.replace(good, bad);
        write("species/medlar.yaml", text);
        BrokenKnowledge refused = refused();
        assertThat(refused).hasMessageContaining("medlar.yaml").hasMessageContaining(line);
        if (reason != null && !good.startsWith("names")) {
            assertThat(refused).hasMessageContaining(reason);
        }
    }

    @Test
    void aFileThatBuildsOnItselfIsRefused() throws IOException {
        write("systems/a.yaml", "id: a\nbase: b\n");
        write("systems/b.yaml", "id: b\nbase: a\n");
        assertThat(refused()).hasMessageContaining("builds on itself");
    }

    @Test
    void aCultivarOfAnUnknownHabitIsRefused() throws IOException {
        write("cultivars.yaml", "cultivars:\n  - { name: X, species: apple, habit: round }\n");
        assertThat(refused()).hasMessageContaining("cultivars.yaml, line 2").hasMessageContaining("habit");
    }

    @Test
    void everyLineOfASchoolCanBeSetOtherwise() {
        Knowledge knowledge = Knowledge.shipped();
        SchoolLines.of(knowledge.school("classic")).forEach((line, value) -> {
            Object other = value instanceof Boolean yes ? (Object) !yes : (Object) (((Double) value) * 0.97);
            School changed = knowledge.school("classic", Map.of(line, other));
            assertThat(SchoolLines.of(changed)).as(line).containsEntry(line, other);
        });
    }

    @Test
    void aLineThatASchoolDoesNotHaveOrCannotHoldIsRefused() {
        Knowledge knowledge = Knowledge.shipped();
        assertThat(catchThrowableOfType(NotSupported.class, () -> knowledge.school("classic", Map.of("mood", 1.0))))
                .hasMessageContaining("mood");
        NotSupported tooMuch =
                catchThrowableOfType(NotSupported.class, () -> knowledge.school("classic", Map.of("limbRatio", 40.0)));
        assertThat(tooMuch.field()).contains("limbRatio");
        assertThat(tooMuch).hasMessageContaining("1.5");
    }
}
