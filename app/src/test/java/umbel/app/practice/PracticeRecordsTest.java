package umbel.app.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;
import umbel.assess.Mark;
import umbel.knowledge.Knowledge;

/** How people get on, and how alike two of them decide on the same tree. */
class PracticeRecordsTest {

    private static final Instant NOW = Instant.parse("2027-01-20T10:00:00Z");
    private static final LocalDate TODAY = LocalDate.of(2027, 1, 20);
    private static final String TREE = "apple_tall-spindle_7_3_8";

    private final PracticeResultRepository results = mock(PracticeResultRepository.class);
    private final PracticeService practice = mock(PracticeService.class);
    private final PracticeTrees trees = mock(PracticeTrees.class);
    private final PracticeRecords records =
            new PracticeRecords(results, practice, trees, Knowledge.shipped(), Clock.fixed(NOW, ZoneOffset.UTC));

    @BeforeEach
    void aTreeOfThreeLimbs() {
        when(trees.limbsOf(TREE)).thenReturn(List.of("1", "2", "3"));
        when(trees.title(any())).thenReturn("Apple, tall spindle, 7");
        when(practice.ruleName(any())).thenAnswer(asked -> "name of " + asked.getArgument(0));
    }

    private static PracticeResult done(
            String who, String tree, int daysAgo, double mark, Map<String, Boolean> skills, String... off) {
        return new PracticeResult(
                who,
                tree,
                TODAY.minusDays(daysAgo),
                mark,
                mark >= 0.7,
                skills,
                Stream.of(off).map(PracticeRecordsTest::remove).toList(),
                NOW);
    }

    private static Mark remove(String limb) {
        return new Mark("remove", limb, null, null, null, null, null);
    }

    /** Both take limb 1, one also limb 2: they agree on two limbs of three, chance gives a half, so a third beyond it. */
    @Test
    void twoPeopleOnOneTreeAreComparedByTheirFirstAnswers() {
        when(results.findAllByOrderById())
                .thenReturn(List.of(
                        done("ana", TREE, 3, 0.9, Map.of(), "1"),
                        done("ben", TREE, 2, 0.5, Map.of(), "1", "2"),
                        done("ben", TREE, 1, 0.9, Map.of(), "1"),
                        done("ana", "pear_vertical-axis_6_1_8", 1, 0.3, Map.of())));
        PracticeAnswers.PracticeCrew crew = records.crew();
        assertThat(crew.people())
                .extracting(
                        PracticeAnswers.PracticePerson::name,
                        PracticeAnswers.PracticePerson::exercises,
                        PracticeAnswers.PracticePerson::passed,
                        PracticeAnswers.PracticePerson::mean)
                .containsExactly(tuple("ana", 2, 1, 0.6), tuple("ben", 2, 1, 0.7));
        assertThat(crew.common()).singleElement().satisfies(common -> {
            assertThat(common.kappa()).isEqualTo(0.33);
            assertThat(common.agree()).isEqualTo("little");
            assertThat(common.splits())
                    .extracting(PracticeAnswers.PracticeSplit::limb, PracticeAnswers.PracticeSplit::fates)
                    .containsExactly(tuple("2", Map.of("off", 1, "left", 1)));
        });
    }

    @Test
    void aSkillPutRightRestsAndOneMissedIsDueNow() {
        when(results.findByWhoOrderById("ana"))
                .thenReturn(List.of(
                        done("ana", TREE, 2, 0.9, Map.of("root-sucker", true, "crossing", true)),
                        done("ana", TREE, 1, 0.9, Map.of("root-sucker", true, "crossing", false))));
        PracticeAnswers.PracticeProgress progress = records.progress("ana");
        assertThat(progress.exercises()).isEqualTo(2);
        assertThat(progress.skills())
                .extracting(
                        PracticeAnswers.PracticeSkill::rule,
                        PracticeAnswers.PracticeSkill::box,
                        PracticeAnswers.PracticeSkill::dueNow,
                        PracticeAnswers.PracticeSkill::due,
                        PracticeAnswers.PracticeSkill::fault)
                .containsExactly(
                        tuple("crossing", 0, true, "2027-01-19", "crossing-limbs"),
                        tuple("root-sucker", 2, false, "2027-01-22", "suckers"));
    }

    /** Of two faults of one rule both must be put right; what the cuts brought is no skill. */
    @Test
    void whatIsWrittenDown() {
        records.write(
                "ana",
                TREE,
                verdict(
                        fault("hanger", "cleared"),
                        fault("hanger", "left"),
                        fault("root-sucker", "cleared"),
                        fault("lop-sided", "brought")),
                List.of(remove("1")));
        ArgumentCaptor<PracticeResult> saved = ArgumentCaptor.forClass(PracticeResult.class);
        verify(results).save(saved.capture());
        assertThat(saved.getValue().skills()).isEqualTo(Map.of("hanger", false, "root-sucker", true));
        assertThat(saved.getValue().marks()).containsExactly(remove("1"));
        assertThat(saved.getValue().doneOn()).isEqualTo(TODAY);
    }

    @Test
    void theSameAnswerSentAgainIsWrittenOnce() {
        when(results.findFirstByWhoAndExerciseOrderByIdDesc("ana", TREE))
                .thenReturn(Optional.of(done("ana", TREE, 0, 0.8, Map.of(), "1")));
        records.write("ana", TREE, verdict(fault("hanger", "cleared")), List.of(remove("1")));
        verify(results, never()).save(any());
        records.write("ana", TREE, verdict(fault("hanger", "cleared")), List.of(remove("2")));
        verify(results).save(any());
    }

    private static PracticeAnswers.PracticeFault fault(String rule, String fate) {
        return new PracticeAnswers.PracticeFault(rule, rule, List.of("1"), "", fate, false);
    }

    private static PracticeAnswers.PracticeVerdict verdict(PracticeAnswers.PracticeFault... faults) {
        PracticeAnswers.PracticeYears years = new PracticeAnswers.PracticeYears(List.of(), 0, 0);
        return new PracticeAnswers.PracticeVerdict(
                0.8,
                0.7,
                true,
                true,
                "Classic",
                null,
                List.of(faults),
                List.of(),
                List.of(),
                List.of(),
                1,
                1,
                years,
                years,
                years);
    }
}
