package umbel.instruction;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.SplittableRandom;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import umbel.assess.AssessRequest;
import umbel.assess.Assessor;
import umbel.cut.CutTree;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.knowledge.Knowledge;
import umbel.plan.PlanRequest;
import umbel.plan.Planner;
import umbel.plan.Step;
import umbel.plan.VisitWorth;
import umbel.plant.SurveyedTree;
import umbel.practice.Fault;
import umbel.practice.PracticeTree;
import umbel.reading.Neighbours;
import umbel.survey.Survey;

/** Instructions of a made-up block of slender trees with faults at random, held against other trees of the same block. */
class BlockInstructionTest {

    private static final Knowledge KNOWLEDGE = Knowledge.shipped();
    private static final int SAMPLED = 6;
    private static final int OTHERS = 6;

    private static List<SampleTree> sample;
    private static List<SampleTree> others;
    private static BlockInstruction found;

    @BeforeAll
    static void grow() {
        List<SampleTree> all = new ArrayList<>();
        for (int i = 0; i < SAMPLED + OTHERS; i++) {
            all.add(tree(i));
        }
        sample = all.subList(0, SAMPLED);
        others = all.subList(SAMPLED, all.size());
        found = BlockInstruction.of(sample, KNOWLEDGE.instruction());
    }

    /** A tree of another kind of trouble: old, tall and left alone. */
    private static SampleTree stranger(int number) {
        return planned(
                "stranger " + number,
                PracticeTree.survey(
                        "tall-spindle", 16, number, Fault.TOO_TALL, Fault.CROWDED_ORIGIN, Fault.STACKED_LIMBS));
    }

    private static SampleTree tree(int number) {
        SplittableRandom random = new SplittableRandom(100 + number);
        Set<Fault> faults = EnumSet.noneOf(Fault.class);
        List<Fault> usual = List.of(
                Fault.THICK_LIMB,
                Fault.STACKED_LIMBS,
                Fault.OUT_OF_BOX,
                Fault.HANGERS,
                Fault.WATER_SPROUTS,
                Fault.RIVAL_LEADER,
                Fault.CROWDED_ORIGIN);
        for (int i = 0; i < 3; i++) {
            faults.add(usual.get(random.nextInt(usual.size())));
        }
        return planned(
                "tree " + number, PracticeTree.survey("tall-spindle", 7, number + 1, faults.toArray(new Fault[0])));
    }

    private static SampleTree planned(String name, Survey survey) {
        Assessor assessor = new Assessor(KNOWLEDGE);
        AssessRequest request = AssessRequest.of(survey);
        SurveyedTree read = SurveyedTree.read(assessor, request, Neighbours.NONE);
        PlanRequest wish = assessor.planRequest(request, read.tree(), List.of(), Set.of());
        List<Operation> planned = Planner.recommended(read.tree(), read.reading(), wish, 1).workOf(0).stream()
                .map(Step::operation)
                .toList();
        return new SampleTree(name, new VisitWorth(read.tree(), read.reading(), wish), planned);
    }

    private static double shareOn(List<SampleTree> trees, List<Sentence> said) {
        double kept = 0;
        double planned = 0;
        for (SampleTree tree : trees) {
            List<Operation> visit = InstructedVisit.of(tree.worth().found(), said, KNOWLEDGE.instruction());
            kept += tree.worth().of(visit).gain();
            planned += tree.plan().gain();
        }
        return kept / planned;
    }

    @Test
    void aFewSentencesKeepMostOfTheGainOnTreesTheyWereNotFoundOn() {
        assertThat(found.sentences()).hasSizeBetween(1, 5);
        double fresh = shareOn(others, found.sentences());
        assertThat(fresh).as("share kept on other trees").isGreaterThan(0.6);
        assertThat(found.share()).as("what is promised is about what comes").isCloseTo(fresh, within(0.3));
    }

    @Test
    void theShareThatIsShownIsNotTheFlatteringOneOfTheSampleItself() {
        assertThat(found.share()).isLessThanOrEqualTo(shareOn(sample, found.sentences()) + 1e-9);
    }

    @Test
    void itNeedsHardlyMoreTimeThanThePlans() {
        assertThat(found.minutes().middle()).isLessThan(1.5 * found.plannedMinutes());
        assertThat(found.minutes().low()).isLessThanOrEqualTo(found.minutes().middle());
    }

    @Test
    void theSameTreesGiveTheSameInstruction() {
        assertThat(BlockInstruction.of(sample, KNOWLEDGE.instruction()).sentences())
                .isEqualTo(found.sentences());
    }

    @Test
    void twelveTreesOfABlockAreEnoughAndTwoStrangersAmongThemAreNot() {
        List<SampleTree> twelve = new ArrayList<>(sample);
        twelve.addAll(others);
        assertThat(BlockInstruction.of(twelve, KNOWLEDGE.instruction()).enough())
                .isTrue();
        List<SampleTree> strangers = new ArrayList<>(sample.subList(0, 4));
        strangers.addAll(List.of(stranger(1), stranger(2)));
        assertThat(BlockInstruction.of(strangers, KNOWLEDGE.instruction()).enough())
                .isFalse();
    }

    @Test
    void aSentenceDoesWhatItSays() {
        SampleTree tree = sample.get(0);
        List<Operation> shortened = InstructedVisit.of(
                        tree.worth().found(),
                        List.of(new Sentence(Sentence.Form.REACH, 50, 0)),
                        KNOWLEDGE.instruction())
                .stream()
                .filter(one -> one.kind() == OperationKind.SHORTEN)
                .toList();
        assertThat(shortened).isNotEmpty();
        CutTree cut = CutTree.of(tree.worth().found(), shortened);
        assertThat(shortened)
                .allSatisfy(one -> assertThat(
                                cut.kept(tree.worth().found().find(one.onLimb()).orElseThrow()))
                        .isCloseTo(0.5, within(0.01)));
    }

    @Test
    void noLimbIsTouchedTwiceAndEveryOperationCanBeDone() {
        List<Sentence> all = List.of(
                new Sentence(Sentence.Form.SECOND_LEADER, 0, 0),
                new Sentence(Sentence.Form.UPRIGHTS, 30, 0),
                new Sentence(Sentence.Form.STEEP_OFF, 45, 0),
                new Sentence(Sentence.Form.THICK, 18, 2),
                new Sentence(Sentence.Form.THICK_TOP, 10, 2),
                new Sentence(Sentence.Form.HANGING, 105, 0),
                new Sentence(Sentence.Form.CLOSE, 40, 2),
                new Sentence(Sentence.Form.STEEP_BENT, 60, 0),
                new Sentence(Sentence.Form.REACH, 60, 0),
                new Sentence(Sentence.Form.SHOOTS, 2, 0),
                new Sentence(Sentence.Form.HEIGHT, 225, 0));
        for (SampleTree tree : sample) {
            List<Operation> visit = InstructedVisit.of(tree.worth().found(), all, KNOWLEDGE.instruction());
            assertThat(visit.stream()
                            .filter(one -> one.target().isLimb())
                            .map(Operation::onLimb)
                            .toList())
                    .doesNotHaveDuplicates();
            assertThat(CutTree.of(tree.worth().found(), visit).left().axes()).isNotEmpty();
        }
    }

    @Test
    void oneTreeAloneTellsNothingOfOthers() {
        BlockInstruction alone = BlockInstruction.of(sample.subList(0, 1), KNOWLEDGE.instruction());
        assertThat(alone.share()).isNaN();
        assertThat(alone.enough()).isFalse();
    }
}
