package umbel.season;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import umbel.cut.CutTree;
import umbel.cut.Effect;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.cut.Target;
import umbel.survey.Surveys;
import umbel.wood.Tree;

class FollowUpsTest {

    private static final LocalDate WINTER = LocalDate.of(2027, 2, 10);
    private static final Phenology YEAR = new Phenology(
            LocalDate.of(2027, 1, 1),
            LocalDate.of(2026, 11, 20),
            on(LocalDate.of(2027, 3, 30)),
            LocalDate.of(2027, 4, 28),
            on(LocalDate.of(2027, 4, 28)),
            on(LocalDate.of(2027, 5, 8)),
            LocalDate.of(2027, 6, 17),
            LocalDate.of(2027, 7, 31),
            LocalDate.of(2027, 9, 20),
            LocalDate.of(2027, 9, 20));

    private static Phenology.Estimate on(LocalDate date) {
        return new Phenology.Estimate(date, date, date);
    }

    private static Tree tree() {
        return Surveys.apple()
                .limb("1", "trunk", "scaffold", 80, 90, 60, 60, 250, 9, Surveys.spurs(30, 4))
                .limb("2", "trunk", "scaffold", 95, 210, 60, 20, 150, 3, Surveys.shoots("pencil", "up", 5, 40))
                .tree();
    }

    private static List<FollowUp> after(LocalDate day, boolean overCrop, Operation... operations) {
        return after(tree(), day, overCrop, operations);
    }

    private static List<FollowUp> after(Tree tree, LocalDate day, boolean overCrop, Operation... operations) {
        CutTree cut = CutTree.of(tree, List.of(operations));
        List<Effect> effects = Effect.ofAll(cut, 2.4);
        List<FollowUps.Done> done = new ArrayList<>();
        for (int i = 0; i < operations.length; i++) {
            done.add(new FollowUps.Done(operations[i], effects.get(i)));
        }
        return FollowUps.of(tree, done, day, YEAR, overCrop);
    }

    private static List<String> kinds(List<FollowUp> all) {
        return all.stream().map(FollowUp::kind).toList();
    }

    @Test
    void aLargeWinterCutIsComeBackToForItsSproutsByTheYearsOwnPetalFall() {
        List<FollowUp> all = after(WINTER, false, Operation.remove(Target.parse("1")));
        assertThat(kinds(all)).containsExactly("rub-sprouts", "scout");
        assertThat(all.get(0).from()).isEqualTo(LocalDate.of(2027, 6, 2));
        assertThat(all.get(1).from()).isEqualTo(LocalDate.of(2027, 8, 23));
    }

    @Test
    void bentLimbsAreCheckedAndUntied() {
        List<FollowUp> all = after(WINTER, false, Operation.bend(Target.parse("2"), Math.toRadians(80)));
        assertThat(kinds(all)).containsExactly("check-ties", "take-off-ties", "scout");
        assertThat(all.get(0).from()).isEqualTo(LocalDate.of(2027, 2, 24));
        assertThat(all.get(1).from()).as("twenty weeks to set").isEqualTo(LocalDate.of(2027, 6, 30));
    }

    @Test
    void aStubOfAnOldScaffoldAsksForItsNextStageNextWinter() {
        List<FollowUp> all = after(WINTER, false, Operation.cutAt(OperationKind.RENEW_STUB, Target.parse("1"), 0.3));
        assertThat(kinds(all)).contains("next-stage");
        assertThat(all.get(all.size() - 1).from()).isEqualTo(LocalDate.of(2028, 1, 31));
    }

    @Test
    void fruitIsThinnedOnlyWhereMoreIsExpectedThanTheTreeCanFinish() {
        assertThat(kinds(after(WINTER, true, Operation.remove(Target.parse("2/shoots/up")))))
                .contains("thin-fruit");
        assertThat(kinds(after(WINTER, false, Operation.remove(Target.parse("2/shoots/up")))))
                .doesNotContain("thin-fruit");
    }

    @Test
    void shortSpurringInLeafIsRepeatedWhileThereIsTime() {
        Operation shortened = Operation.cutAt(OperationKind.SHORT_SPUR, Target.parse("2/shoots/up"), 0.1);
        assertThat(kinds(after(LocalDate.of(2027, 6, 25), false, shortened))).contains("short-spur-again");
        assertThat(kinds(after(LocalDate.of(2027, 7, 20), false, shortened))).doesNotContain("short-spur-again");
        assertThat(kinds(after(WINTER, false, shortened))).doesNotContain("short-spur-again");
    }

    @Test
    void kindsThatAreCutSeveralTimesComeBackWhileTheyGrow() {
        Tree companion = Surveys.apple()
                .kind("companion")
                .as("multi-leader-bush")
                .scaffold("1", 30, 0, 40, 30, 120)
                .tree();
        Operation cut = Operation.remove(Target.parse("1"));
        LocalDate june = LocalDate.of(2027, 6, 10);
        assertThat(after(companion, june, false, cut))
                .filteredOn(one -> one.kind().equals("cut-again"))
                .singleElement()
                .satisfies(one -> assertThat(one.from()).isEqualTo(june.plusDays(30)));
        assertThat(kinds(after(companion, LocalDate.of(2027, 10, 20), false, cut)))
                .doesNotContain("cut-again");
        assertThat(kinds(after(june, false, cut))).as("an apple is not").doesNotContain("cut-again");
    }

    @Test
    void nothingDoneAsksForNothing() {
        assertThat(after(WINTER, false)).isEmpty();
    }
}
