package umbel.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import umbel.knowledge.Knowledge;
import umbel.light.LightModel;
import umbel.practice.Fault;
import umbel.practice.PracticeTree;
import umbel.survey.Survey;
import umbel.survey.Surveys;
import umbel.text.Speech;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

/** Findings about a tree's outline, balance, age, vigour and crop: each fires on the fault and not on its sound twin. */
class ShapeFindingsTest {

    private static final Knowledge KNOWLEDGE = Knowledge.shipped();
    private static final double REACH = 2.4;

    private static final Map<Fault, String> RULES = Map.ofEntries(
            Map.entry(Fault.BARE_SIDE, "bare-sector"),
            Map.entry(Fault.LOST_CONE, "lost-cone"),
            Map.entry(Fault.OUT_OF_BOX, "out-of-box"),
            Map.entry(Fault.NOT_FILLED, "box-not-filled"),
            Map.entry(Fault.LOP_SIDED, "lop-sided"),
            Map.entry(Fault.OLD_SPURS, "old-wood"),
            Map.entry(Fault.MOVED_OUT, "wood-moved-out"),
            Map.entry(Fault.RANK_GROWTH, "over-vigour"),
            Map.entry(Fault.WEAK_GROWTH, "under-vigour"),
            Map.entry(Fault.HEAVY_BLOOM, "over-crop"),
            Map.entry(Fault.FEW_BUDS, "under-crop"),
            Map.entry(Fault.LOW_LIMB, "will-drop"));

    /** Species, system, leaf, and faults that this kind of tree does not know. */
    private record Kind(String species, String system, int leaf, List<Fault> foreign) {}

    private static final List<Kind> KINDS = List.of(
            new Kind("apple", "central-leader", 14, List.of()),
            new Kind("pear", "vertical-axis", 8, List.of(Fault.MOVED_OUT)),
            new Kind("apple", "tall-spindle", 6, List.of(Fault.MOVED_OUT, Fault.OUT_OF_BOX, Fault.NOT_FILLED)),
            new Kind("peach", "open-centre", 8, List.of(Fault.LOST_CONE, Fault.OLD_SPURS, Fault.BARE_SIDE)),
            new Kind("cherry-sweet", "slender-axe", 7, List.of(Fault.MOVED_OUT)),
            new Kind("plum-european", "central-leader", 14, List.of()),
            new Kind(
                    "pear",
                    "espalier",
                    9,
                    List.of(
                            Fault.BARE_SIDE,
                            Fault.LOST_CONE,
                            Fault.LOW_LIMB,
                            Fault.MOVED_OUT,
                            Fault.RANK_GROWTH,
                            Fault.WEAK_GROWTH)));

    static Stream<Arguments> faultsByKind() {
        return KINDS.stream()
                .flatMap(kind -> RULES.keySet().stream()
                        .filter(fault -> !kind.foreign().contains(fault))
                        .sorted()
                        .map(fault -> Arguments.of(kind, fault)));
    }

    @ParameterizedTest
    @MethodSource("faultsByKind")
    void theRuleFiresOnTheFaultAndNotOnItsTwin(Kind kind, Fault fault) {
        String rule = RULES.get(fault);
        for (long seed = 1; seed <= 4; seed++) {
            Survey sound = PracticeTree.survey(kind.species(), kind.system(), kind.leaf(), seed);
            Survey faulty = PracticeTree.survey(kind.species(), kind.system(), kind.leaf(), seed, fault);
            assertThat(rules(sound)).as("sound twin, seed %d", seed).doesNotContain(rule);
            assertThat(rules(faulty)).as("seed %d", seed).contains(rule);
        }
    }

    @ParameterizedTest
    @MethodSource("faultsByKind")
    void everyFindingNamesItsLineOfKnowledge(Kind kind, Fault fault) {
        for (Finding finding : read(PracticeTree.survey(kind.species(), kind.system(), kind.leaf(), 7, fault))) {
            assertThat(finding.judgedBy()).matches("(school|system|species|survey)\\.[A-Za-z0-9_.]+");
            assertThat(Speech.english().say(finding.reason())).endsWith(".");
            assertThat(finding.value()).isFinite();
        }
    }

    @Test
    void fourLimbsOnOneSideLeaveABareSectorWithItsMiddleNamed() {
        Tree tree = Surveys.apple()
                .scaffold("1", 70, 0, 55, 40, 160)
                .scaffold("2", 85, 45, 55, 40, 160)
                .scaffold("3", 100, 90, 55, 40, 160)
                .scaffold("4", 115, 135, 55, 40, 160)
                .tree();
        Finding bare = find(tree, "bare-sector");
        assertThat(bare.value()).as("from 135 round to 360").isCloseTo(225, within(6.0));
        assertThat(bare.threshold()).isCloseTo(135, within(1e-9));
        assertThat(Speech.english().say(bare.reason())).contains("west");
    }

    @ParameterizedTest
    @CsvSource({"120, 240, false", "120, 190, true"})
    void threeLimbsAreJudgedByTheirOwnLine(double second, double third, boolean found) {
        Tree tree = Surveys.apple()
                .scaffold("1", 70, 0, 55, 40, 160)
                .scaffold("2", 85, second, 55, 40, 160)
                .scaffold("3", 100, third, 55, 40, 160)
                .tree();
        assertThat(has(tree, "bare-sector")).isEqualTo(found);
    }

    @Test
    void anUpperTierAsLongAsTheLowerLosesTheCone() {
        Surveys tree = Surveys.apple()
                .trunk(100, 350)
                .scaffold("1", 70, 0, 60, 40, 120)
                .scaffold("2", 85, 180, 60, 40, 120)
                .scaffold("3", 200, 90, 60, 35, 150)
                .scaffold("4", 215, 270, 60, 35, 150);
        Finding lost = find(tree.tree(), "lost-cone");
        assertThat(lost.value()).as("150 cm against 120 cm at one angle").isCloseTo(1.25, within(0.06));
        assertThat(lost.paths()).containsExactlyInAnyOrder("3", "4");
        assertThat(has(tree.as("open-centre").tree(), "lost-cone"))
                .as("an open centre has no cone to lose")
                .isFalse();
    }

    @Test
    void aLimbIntoTheAisleIsToldByHowMuch() {
        Tree tree = Surveys.apple()
                .as("tall-spindle")
                .trunk(48, 295)
                .spacing(1.0, 3.5)
                .limb("long", "trunk", "limb", 90, 90, 90, 16, 120, 3, Surveys.bare())
                .limb("short", "trunk", "limb", 110, 90, 90, 14, 50, 3, Surveys.bare())
                .tree();
        Finding out = find(tree, "out-of-box");
        assertThat(out.paths()).containsExactly("long");
        assertThat(out.threshold()).as("(3.5 - 2.0) / 2 + 0.2").isCloseTo(0.95, within(1e-9));
        assertThat(out.value()).isCloseTo(1.2, within(0.05));
        assertThat(Speech.english().say(out.reason())).contains("aisle");
    }

    @Test
    void aTreeAllOnOneSideLeansFully() {
        Tree tree = Surveys.apple()
                .scaffold("1", 70, 80, 60, 60, 200)
                .scaffold("2", 90, 100, 60, 60, 200)
                .tree();
        Finding lean = find(tree, "lop-sided");
        assertThat(lean.value()).isCloseTo(Math.cos(Math.toRadians(10)), within(0.04));
        assertThat(Speech.english().say(lean.reason())).contains("east");
    }

    @Test
    void vigourIsJudgedByTheAgeOfTheTree() {
        // 50 cm is what a young tree that fills its space should grow, and too much for one that bears
        assertThat(has(grown(4, 50), "over-vigour")).isFalse();
        assertThat(has(grown(14, 50), "over-vigour")).isTrue();
        assertThat(has(grown(14, 30), "under-vigour")).isFalse();
        assertThat(has(grown(4, 30), "under-vigour")).isTrue();
    }

    @Test
    void growthThatNobodyMeasuredIsNotJudged() {
        Tree tree = Surveys.apple().leaf(14).scaffold("1", 70, 0, 60, 60, 200).tree();
        assertThat(rules(tree)).doesNotContain("over-vigour", "under-vigour");
    }

    @ParameterizedTest
    @CsvSource({"dwarfing, 48, false", "dwarfing, 60, true", "seedling, 60, false"})
    void aScionIsSuspectedOfRootsWhereATreeOutgrowsItsRow(String stock, double trunkMm, boolean found) {
        Survey survey = Surveys.apple()
                .as("tall-spindle")
                .trunk(trunkMm, 300)
                .stock(stock)
                .limb("1", "trunk", "limb", 90, 90, 90, 16, 60, 3, Surveys.spurs(20, 2))
                .survey();
        Tree tree = TreeBuilder.build(survey, KNOWLEDGE, 1);
        double median = Math.PI / 4 * 0.048 * 0.048;
        List<Finding> findings = TreeReader.read(
                        tree, KNOWLEDGE.school("classic"), REACH, new Neighbours(median, null, 0))
                .findings();
        assertThat(findings.stream().anyMatch(one -> one.rule().id().equals("scion-rooted")))
                .isEqualTo(found);
    }

    @Test
    void woodThatRoseSinceTheLastSurveyIsSeen() {
        Tree tree = Surveys.apple()
                .leaf(20)
                .limb("1", "trunk", "scaffold", 120, 90, 50, 60, 220, 12, Surveys.spurs(60, 3))
                .limb("2", "trunk", "scaffold", 140, 270, 50, 60, 220, 12, Surveys.spurs(60, 3))
                .tree();
        FruitingCentre now = FruitingCentre.of(tree, LightModel.read(tree));
        FruitingCentre lower = new FruitingCentre(now.height() - 0.6, now.out(), now.alongLimbs());
        assertThat(moved(tree, new Neighbours(null, lower, 2)))
                .as("30 cm a year")
                .isTrue();
        assertThat(moved(tree, new Neighbours(null, lower, 6)))
                .as("10 cm a year")
                .isFalse();
    }

    @Test
    void theSchoolsLineIsFollowedAndNamed() {
        Map<String, Object> strict = Map.of("dropClearance_cm", 120.0);
        Tree tree = Surveys.apple()
                .limb("1", "trunk", "limb", 75, 90, 88, 30, 120, 5, Surveys.spurs(30, 2))
                .scaffold("2", 100, 270, 55, 40, 160)
                .tree();
        assertThat(has(tree, "will-drop")).isFalse();
        Finding finding = TreeReader.read(tree, KNOWLEDGE.school("classic", strict), REACH).findings().stream()
                .filter(one -> one.rule().id().equals("will-drop"))
                .findFirst()
                .orElseThrow();
        assertThat(finding.threshold()).isEqualTo(120);
        assertThat(finding.judgedBy()).isEqualTo("school.dropClearance_cm");
    }

    private static boolean moved(Tree tree, Neighbours neighbours) {
        return TreeReader.read(tree, KNOWLEDGE.school("classic"), REACH, neighbours).findings().stream()
                .anyMatch(one -> one.rule().id().equals("wood-moved-out"));
    }

    private static Tree grown(int leaf, double cm) {
        Surveys tree = Surveys.apple().leaf(leaf);
        for (int i = 0; i < 4; i++) {
            tree.scaffold(String.valueOf(i + 1), 70 + 14 * i, 90 * i, 55, 40, 180)
                    .lastGrowth(cm);
        }
        return tree.tree();
    }

    private static List<String> rules(Survey survey) {
        return rules(TreeBuilder.build(survey, KNOWLEDGE, 1));
    }

    private static List<String> rules(Tree tree) {
        return TreeReader.read(tree, KNOWLEDGE.school("classic"), REACH).findings().stream()
                .map(finding -> finding.rule().id())
                .toList();
    }

    private static List<Finding> read(Survey survey) {
        return TreeReader.read(TreeBuilder.build(survey, KNOWLEDGE, 1), KNOWLEDGE.school("classic"), REACH)
                .findings();
    }

    private static boolean has(Tree tree, String rule) {
        return rules(tree).contains(rule);
    }

    private static Finding find(Tree tree, String rule) {
        return TreeReader.read(tree, KNOWLEDGE.school("classic"), REACH).findings().stream()
                .filter(one -> one.rule().id().equals(rule))
                .findFirst()
                .orElseThrow();
    }
}
