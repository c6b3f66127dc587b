package umbel.crew;

import ai.timefold.solver.core.api.score.buildin.hardmediumsoftlong.HardMediumSoftLongScore;
import ai.timefold.solver.core.api.score.stream.Constraint;
import ai.timefold.solver.core.api.score.stream.ConstraintCollectors;
import ai.timefold.solver.core.api.score.stream.ConstraintFactory;
import ai.timefold.solver.core.api.score.stream.ConstraintProvider;
import ai.timefold.solver.core.api.score.stream.Joiners;

/**
 * What a schedule must keep, then what it should bring about, then what is nicer. Nobody has more than a day in a day, a
 * closed day is closed, and skills are not stretched. As much work as can be finds a place. Better days, saw work before
 * detail, hardy kinds before tender ones and whole days in one block are wishes.
 */
public class CrewRules implements ConstraintProvider {

    private static final long SAW_FIRST = 600;
    private static final long MOVE_ABOUT = 60;

    @Override
    public Constraint[] defineConstraints(ConstraintFactory of) {
        return new Constraint[] {
            noMoreThanADay(of),
            closedDays(of),
            skills(of),
            unplaced(of),
            betterDays(of),
            sawFirst(of),
            hardyFirst(of),
            wholeDays(of)
        };
    }

    private Constraint noMoreThanADay(ConstraintFactory of) {
        return of.forEach(WorkPackage.class)
                .groupBy(WorkPackage::shift, ConstraintCollectors.sum(WorkPackage::minutes))
                .filter((shift, minutes) -> minutes > shift.minutes())
                .penalizeLong(HardMediumSoftLongScore.ONE_HARD, (shift, minutes) -> minutes - shift.minutes())
                .asConstraint("no more than a day");
    }

    private Constraint closedDays(ConstraintFactory of) {
        return of.forEach(WorkPackage.class)
                .filter(WorkPackage::onClosedDay)
                .penalizeLong(HardMediumSoftLongScore.ONE_HARD, WorkPackage::minutes)
                .asConstraint("closed days");
    }

    private Constraint skills(ConstraintFactory of) {
        return of.forEach(WorkPackage.class)
                .filter(WorkPackage::beyondSkill)
                .penalizeLong(HardMediumSoftLongScore.ONE_HARD, WorkPackage::minutes)
                .asConstraint("skills");
    }

    private Constraint unplaced(ConstraintFactory of) {
        return of.forEachIncludingUnassigned(WorkPackage.class)
                .filter(workPackage -> workPackage.shift() == null)
                .penalizeLong(HardMediumSoftLongScore.ONE_MEDIUM, WorkPackage::minutes)
                .asConstraint("work without a place");
    }

    private Constraint betterDays(ConstraintFactory of) {
        return of.forEach(WorkPackage.class)
                .penalizeLong(
                        HardMediumSoftLongScore.ONE_SOFT,
                        workPackage -> (long) workPackage.dayCost() * workPackage.minutes())
                .asConstraint("better days");
    }

    private Constraint sawFirst(ConstraintFactory of) {
        return of.forEach(WorkPackage.class)
                .join(
                        WorkPackage.class,
                        Joiners.equal(workPackage -> workPackage.block().blockId()),
                        Joiners.lessThan(workPackage -> workPackage.kind().ordinal()),
                        Joiners.greaterThan(workPackage -> workPackage.shift().date()))
                .penalizeLong(HardMediumSoftLongScore.ONE_SOFT, (earlier, later) -> SAW_FIRST)
                .asConstraint("saw work first");
    }

    private Constraint hardyFirst(ConstraintFactory of) {
        return of.forEach(WorkPackage.class)
                .impactLong(HardMediumSoftLongScore.ONE_SOFT, workPackage -> -workPackage.latenessCost())
                .asConstraint("hardy before tender, old before young");
    }

    private Constraint wholeDays(ConstraintFactory of) {
        return of.forEach(WorkPackage.class)
                .groupBy(WorkPackage::shift, workPackage -> workPackage.block().blockId())
                .penalizeLong(HardMediumSoftLongScore.ONE_SOFT, (shift, block) -> MOVE_ABOUT)
                .asConstraint("whole days in one block");
    }
}
