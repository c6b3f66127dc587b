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
import umbel.practice.Fault;
import umbel.practice.PracticeTree;
import umbel.survey.Survey;
import umbel.survey.Surveys;
import umbel.text.Speech;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

/** Every rule fires on the fault it is for, and not on the sound twin. */
class FindingsTest {

    private static final double REACH = 2.4;

    private static final Map<Fault, String> RULES = Map.ofEntries(
            Map.entry(Fault.DEAD_LIMB, "unsound-wood"),
            Map.entry(Fault.BROKEN_LIMB, "unsound-wood"),
            Map.entry(Fault.CANKER, "unsound-wood"),
            Map.entry(Fault.SUCKERS, "root-sucker"),
            Map.entry(Fault.RIVAL_LEADER, "rival-leader"),
            Map.entry(Fault.THICK_LIMB, "limb-too-thick"),
            Map.entry(Fault.TIGHT_CROTCH, "tight-crotch"),
            Map.entry(Fault.CROWDED_ORIGIN, "crowded-origin"),
            Map.entry(Fault.STACKED_LIMBS, "stacked-limbs"),
            Map.entry(Fault.CROSSING_LIMBS, "crossing"),
            Map.entry(Fault.INWARD_LIMB, "inward"),
            Map.entry(Fault.WATER_SPROUTS, "water-sprout"),
            Map.entry(Fault.HANGERS, "hanger"),
            Map.entry(Fault.TOO_TALL, "over-height"),
            Map.entry(Fault.THICKET, "crowding"));

    /** Faults a system does not know: an open centre has no leader to rival, a spindle no permanent scaffolds to crowd. */
    private static final Map<String, List<Fault>> FOREIGN = Map.of(
            "open-centre", List.of(Fault.RIVAL_LEADER),
            "tall-spindle", List.of(Fault.CROWDED_ORIGIN, Fault.CROSSING_LIMBS, Fault.INWARD_LIMB, Fault.STACKED_LIMBS),
            "central-leader", List.of(),
            "modified-central-leader", List.of(Fault.STACKED_LIMBS));

    static Stream<Arguments> faultsBySystem() {
        return Stream.of("central-leader", "modified-central-leader", "tall-spindle", "open-centre")
                .flatMap(system -> RULES.keySet().stream()
                        .filter(fault -> !FOREIGN.get(system).contains(fault))
                        .sorted()
                        .map(fault -> Arguments.of(system, fault)));
    }

    @ParameterizedTest
    @MethodSource("faultsBySystem")
    void theRuleFiresOnTheFaultAndNotOnItsTwin(String system, Fault fault) {
        String rule = RULES.get(fault);
        int leaf = system.equals("central-leader") ? 18 : system.equals("tall-spindle") ? 4 : 7;
        for (long seed = 1; seed <= 6; seed++) {
            List<Finding> faulty = read(PracticeTree.survey(system, leaf, seed, fault));
            List<Finding> sound = read(PracticeTree.survey(system, leaf, seed));
            long more = faulty.stream()
                    .filter(finding -> finding.rule().id().equals(rule))
                    .count();
            long before = sound.stream()
                    .filter(finding -> finding.rule().id().equals(rule))
                    .count();
            assertThat(more).as("%s, seed %d", fault, seed).isGreaterThan(before);
            assertThat(before).as("%s on the sound twin, seed %d", rule, seed).isZero();
        }
    }

    @ParameterizedTest
    @MethodSource("faultsBySystem")
    void everyFindingExplainsItself(String system, Fault fault) {
        for (Finding finding : read(PracticeTree.survey(system, 8, 11, fault))) {
            assertThat(Speech.english().say(finding.reason()))
                    .hasSizeGreaterThan(15)
                    .endsWith(".");
            assertThat(Speech.english().say(finding.measure())).isNotBlank();
            assertThat(finding.confidence()).isBetween(0.0, 1.0);
            assertThat(finding.value()).isFinite();
            assertThat(finding.threshold()).isFinite();
        }
    }

    @Test
    void findingsComeInTheOrderOfTheWork() {
        List<Finding> findings = read(PracticeTree.survey(
                "central-leader",
                22,
                3,
                Fault.SUCKERS,
                Fault.DEAD_LIMB,
                Fault.RIVAL_LEADER,
                Fault.WATER_SPROUTS,
                Fault.THICKET));
        assertThat(findings).isSortedAccordingTo(java.util.Comparator.comparing(Finding::stage));
        assertThat(findings.get(0).rule().id()).isEqualTo("root-sucker");
    }

    @ParameterizedTest
    @CsvSource({"52, true", "48, false"})
    void aLimbOverHalfTheTrunkIsTooThick(double mm, boolean found) {
        // the trunk is 100 mm and hardly thinner below its only fork
        Tree tree = Surveys.apple()
                .trunk(100, 350)
                .scaffold("1", 35, 0, 55, mm, 150)
                .tree();
        assertThat(has(tree, "limb-too-thick")).isEqualTo(found);
    }

    @ParameterizedTest
    @CsvSource({"5, 38, true, 38", "5, 43, false, 0", "9, 36, false, 0", "9, 23, true, 23"})
    void aYoungCrotchUnderFortyDegreesIsTightAndAnOldOneUnderTwentyFive(
            int leaf, double angle, boolean found, double value) {
        Tree tree =
                Surveys.apple().leaf(leaf).scaffold("1", 80, 0, angle, 30, 150).tree();
        assertThat(has(tree, "tight-crotch")).isEqualTo(found);
        if (found) {
            Finding finding = find(tree, "tight-crotch");
            assertThat(finding.value()).isCloseTo(value, within(2.5));
            assertThat(finding.confidence()).isBetween(0.5, 0.75);
        }
    }

    /** The line a finding was judged by is the one that made its threshold. */
    @ParameterizedTest
    @CsvSource({"5, school.crotchAngle_deg, 40", "9, school.heldCrotchAngle_deg, 25"})
    void aCrotchNamesTheLineItWasJudgedBy(int leaf, String line, double threshold) {
        Tree tree = Surveys.apple().leaf(leaf).scaffold("1", 80, 0, 20, 30, 150).tree();
        Finding finding = find(tree, "tight-crotch");
        assertThat(finding.judgedBy()).isEqualTo(line);
        assertThat(finding.threshold()).isEqualTo(threshold);
    }

    @ParameterizedTest
    @CsvSource({"apple, system.reachFactor", "citrus, species.hardness.heightFactor"})
    void aTallKindIsMeasuredByItsOwnHeight(String species, String line) {
        Tree tree = Surveys.apple().kind(species).leaf(12).trunk(150, 900).tree();
        Finding finding = find(tree, "over-height");
        assertThat(finding.judgedBy()).isEqualTo(line);
        double factor = species.equals("citrus") ? 1.3 : 1;
        assertThat(finding.threshold())
                .isCloseTo(REACH * tree.setting().system().reachFactor() * factor, within(1e-9));
    }

    /**
     * A limb near the top of a leader that hardly grows: a twig leaves the leader what it is, and a stout limb it was cut back
     * to carries the trunk on.
     */
    @ParameterizedTest
    @CsvSource({"9, true", "34, false"})
    void onlyAStoutLimbAtItsEndTakesTheLeadFromATrunk(double mm, boolean found) {
        Tree tree = Surveys.apple()
                .as("central-leader")
                .leaf(8)
                .trunk(92, 235)
                .scaffold("1", 110, 0, 57, 48, 175)
                .limb("top", "trunk", "limb", 228, 40, 48, mm, 60, 4, Surveys.bare())
                .tree();
        assertThat(has(tree, "limb-too-thick")).isEqualTo(found);
    }

    /** Two years old and a metre eighty: a water sprout on a scaffold, what an upright wall is made of on its arm. */
    @ParameterizedTest
    @CsvSource({"apple, open-centre, true", "cherry-sweet, upright-wall, false"})
    void uprightsThatASystemIsMadeOfAreNoWaterSprouts(String kind, String system, boolean found) {
        Tree tree = Surveys.apple()
                .kind(kind)
                .as(system)
                .leaf(4)
                .trunk(50, 60)
                .scaffold("arm", 45, 0, 88, 34, 95)
                .limb("up", "arm", "lateral", 40, 0, 5, 15, 180, 2, Surveys.bare())
                .tree();
        assertThat(has(tree, "water-sprout")).isEqualTo(found);
    }

    /** Thirteen millimetres on a thin top are not too thick, thirty low down are. */
    @ParameterizedTest
    @CsvSource({"260, 13, false", "60, 50, true"})
    void thinWoodHighUpIsNotTooThick(double at, double diameter, boolean found) {
        Tree tree = Surveys.apple()
                .as("tall-spindle")
                .leaf(5)
                .trunk(50, 320)
                .limb("1", "trunk", "limb", at, 0, 80, diameter, 60, 3, Surveys.bare())
                .tree();
        assertThat(has(tree, "limb-too-thick")).isEqualTo(found);
    }

    @Test
    void aCrotchThatSplitsIsCertain() {
        Tree tree = Surveys.apple()
                .scaffold("1", 80, 0, 36, 30, 150)
                .noted("splitting", null)
                .tree();
        assertThat(find(tree, "tight-crotch").severity()).isEqualTo(Severity.ACT);
        assertThat(find(tree, "tight-crotch").confidence()).isGreaterThan(0.95);
    }

    @ParameterizedTest
    @CsvSource({"6, 50, true", "12, 50, false", "6, 75, false"})
    void scaffoldsWantAHandOrASixthOfATurnBetweenThem(double gap, double turn, boolean found) {
        Tree tree = Surveys.apple()
                .scaffold("1", 80, 0, 55, 35, 150)
                .scaffold("2", 80 + gap, turn, 55, 35, 150)
                .tree();
        assertThat(has(tree, "crowded-origin")).isEqualTo(found);
    }

    @Test
    void theWorseOfTwoCrowdedLimbsIsNamedFirst() {
        Tree tree = Surveys.apple()
                .scaffold("good", 80, 0, 53, 35, 150)
                .scaffold("steep", 84, 40, 42, 35, 150)
                .tree();
        assertThat(find(tree, "crowded-origin").paths()).containsExactly("steep", "good");
    }

    @ParameterizedTest
    @CsvSource({"8, true", "10, false"})
    void whatStartsBelowTheUnionIsRootstock(double at, boolean found) {
        Tree tree = Surveys.apple()
                .union(9.0)
                .scaffold("1", 80, 0, 55, 35, 150)
                .limb("x", "trunk", "unknown", at, 90, 15, 8, 60, 1, null)
                .tree();
        assertThat(has(tree, "root-sucker")).isEqualTo(found);
    }

    @ParameterizedTest
    @CsvSource({"20, 0.85, true", "38, 0.85, false", "20, 0.55, false"})
    void aRivalIsUprightAndNearlyAsThickAsTheLeader(double angle, double ratio, boolean found) {
        Tree plain = Surveys.apple()
                .trunk(100, 350)
                .scaffold("1", 80, 0, 55, 35, 150)
                .tree();
        double leader = plain.trunk().diameterAt(2.0) * 1000;
        Tree tree = Surveys.apple()
                .trunk(100, 350)
                .scaffold("1", 80, 0, 55, 35, 150)
                .limb("r", "trunk", "leader", 200, 90, angle, leader * ratio, 145, 4, Surveys.bare())
                .tree();
        assertThat(has(tree, "rival-leader")).isEqualTo(found);
    }

    @Test
    void aShortUprightIsNoRival() {
        Tree tree = Surveys.apple()
                .trunk(100, 350)
                .limb("r", "trunk", "leader", 120, 90, 15, 60, 90, 4, Surveys.bare())
                .tree();
        assertThat(has(tree, "rival-leader")).as("its top is at 2.1 m of 3.5 m").isFalse();
    }

    @ParameterizedTest
    @CsvSource({"480, 2.4, true", "420, 2.4, false", "420, 2.0, true"})
    void heightIsJudgedByReach(double height, double reach, boolean found) {
        Tree tree = Surveys.apple()
                .trunk(120, height)
                .scaffold("1", 80, 0, 55, 35, 150)
                .tree();
        List<Finding> findings = TreeReader.read(tree, Knowledge.shipped().school("classic"), reach)
                .findings();
        assertThat(findings.stream().anyMatch(finding -> finding.rule().id().equals("over-height")))
                .isEqualTo(found);
    }

    @Test
    void theDistanceBetweenCrossingLimbsIsMeasured() {
        // both leave the trunk at one metre or so and run level; the third crosses from one to the other
        Tree tree = Surveys.apple()
                .scaffold("1", 100, 90, 90, 30, 200)
                .limb("2", "trunk", "scaffold", 100, 45, 90, 30, 200, 8, Surveys.bare())
                .limb("3", "2", "lateral", 40, 135, 90, 10, 70, 4, Surveys.bare())
                .tree();
        Finding finding = find(tree, "crossing");
        assertThat(finding.paths()).containsExactlyInAnyOrder("3", "1");
        assertThat(finding.value()).isLessThan(3);
    }

    @Test
    void anUprightYearsGrowthIsAWaterSproutAndAFlatOneIsNot() {
        Tree upright = Surveys.apple()
                .scaffold("1", 80, 0, 60, 35, 180)
                .limb("w", "1", "unknown", 60, 0, 8, 12, 95, 1, null)
                .tree();
        Tree flat = Surveys.apple()
                .scaffold("1", 80, 0, 60, 35, 180)
                .limb("w", "1", "unknown", 60, 50, 70, 12, 95, 1, null)
                .tree();
        Tree small = Surveys.apple()
                .scaffold("1", 80, 0, 60, 35, 180)
                .limb("w", "1", "unknown", 60, 0, 8, 7, 40, 1, null)
                .tree();
        assertThat(has(upright, "water-sprout")).isTrue();
        assertThat(has(flat, "water-sprout")).isFalse();
        assertThat(has(small, "water-sprout")).isFalse();
    }

    @Test
    void aTiedDownFeatherIsNoHangerInASpindleButIsOneInAFrameTree() {
        Tree spindle = Surveys.apple()
                .as("tall-spindle")
                .trunk(48, 295)
                .scaffold("1", 120, 0, 108, 14, 60)
                .tree();
        Tree frame = Surveys.apple().scaffold("1", 120, 0, 108, 14, 60).tree();
        assertThat(has(spindle, "hanger")).isFalse();
        assertThat(has(frame, "hanger")).isTrue();
    }

    @Test
    void aStricterSchoolFindsMore() {
        Survey survey = PracticeTree.survey("tall-spindle", 6, 4);
        Tree tree = TreeBuilder.build(survey, Knowledge.shipped(), 1);
        List<Finding> strict = TreeReader.read(tree, Knowledge.shipped().school("intensive-wall"), REACH)
                .findings();
        List<Finding> gentle = TreeReader.read(tree, Knowledge.shipped().school("gentle"), REACH)
                .findings();
        assertThat(strict.stream().filter(finding -> finding.rule().id().equals("shade")))
                .hasSize(1);
        assertThat(gentle.stream().filter(finding -> finding.rule().id().equals("shade")))
                .isEmpty();
    }

    @Test
    void conditionsAreToldWithTheirDisease() {
        Tree tree = Surveys.apple()
                .scaffold("1", 80, 0, 55, 35, 150)
                .noted("diseased", "fire blight")
                .tree();
        assertThat(Speech.english().say(find(tree, "unsound-wood").reason()))
                .contains("diseased")
                .contains("fire blight");
    }

    private static List<Finding> read(Survey survey) {
        return read(TreeBuilder.build(survey, Knowledge.shipped(), 1));
    }

    private static List<Finding> read(Tree tree) {
        return TreeReader.read(tree, Knowledge.shipped().school("classic"), REACH)
                .findings();
    }

    private static boolean has(Tree tree, String rule) {
        return read(tree).stream().anyMatch(finding -> finding.rule().id().equals(rule));
    }

    private static Finding find(Tree tree, String rule) {
        return read(tree).stream()
                .filter(finding -> finding.rule().id().equals(rule))
                .findFirst()
                .orElseThrow();
    }
}
