package umbel.app.planting;

import java.util.List;
import java.util.Locale;
import umbel.planting.HouseholdPlan;
import umbel.wood.Units;

/** What is told of trees for a house. */
final class HouseholdAnswers {

    private HouseholdAnswers() {}

    /**
     * A plan.
     *
     * @param kgAYear fruit of a full year
     * @param wantedAYear in the months in which something is ripe; null where no month is known
     * @param fence null where the trees stand free
     */
    record HouseholdTold(
            List<HouseholdTree> trees,
            List<HouseholdMonth> months,
            double kgAYear,
            Double wantedAYear,
            HouseholdFence fence) {

        static HouseholdTold of(HouseholdPlan plan) {
            return new HouseholdTold(
                    plan.lines().stream().map(HouseholdTree::of).toList(),
                    plan.months().stream()
                            .map(month -> new HouseholdMonth(
                                    month.month(),
                                    Units.round(month.kg(), 1),
                                    Units.round(month.wanted(), 1),
                                    word(month.verdict())))
                            .toList(),
                    Units.round(plan.kgAYear(), 0),
                    plan.wantedAYear().isPresent()
                            ? Double.valueOf(Units.round(plan.wantedAYear().getAsDouble(), 0))
                            : null,
                    plan.alongFence().map(HouseholdFence::of).orElse(null));
        }
    }

    /**
     * Trees of one cultivar.
     *
     * @param kgATree fruit of a full tree in a year
     * @param firstCropLeaf null where it is not known
     * @param bloom first day of bloom, as {@code --04-21}; this and the other days are null for evergreens
     * @param partner none-needed, helped, would-help, found, missing, other-time or unknown
     * @param partners places of the lines that pollinate it
     */
    record HouseholdTree(
            double kgATree,
            Integer firstCropLeaf,
            int fullLeaf,
            String bloom,
            String faded,
            String pickedFrom,
            String pickedTo,
            String partner,
            List<Integer> partners,
            double roomM,
            double heightM) {

        private static HouseholdTree of(HouseholdPlan.Line line) {
            HouseholdPlan.Days days = line.days().orElse(null);
            return new HouseholdTree(
                    Units.round(line.kgATree(), 0),
                    line.firstCropLeaf().isPresent()
                            ? Integer.valueOf(line.firstCropLeaf().getAsInt())
                            : null,
                    line.fullLeaf(),
                    days == null ? null : days.bloom().toString(),
                    days == null ? null : days.faded().toString(),
                    days == null ? null : days.from().toString(),
                    days == null ? null : days.to().toString(),
                    word(line.partner()),
                    line.partners(),
                    line.roomM(),
                    Units.round(line.heightM(), 1));
        }
    }

    /**
     * Fruit of a month, January is 1.
     *
     * @param verdict nothing-ripe, gap, right or glut
     */
    record HouseholdMonth(int month, double kg, double wanted, String verdict) {}

    /**
     * The trees along the fence.
     *
     * @param leftM negative where they do not fit
     * @param more how many more of each line fit
     * @param notFlat places of lines that are not trained flat
     * @param tooHigh places of lines that grow above the fence
     */
    record HouseholdFence(
            double usedM,
            double leftM,
            List<Integer> more,
            List<Integer> notFlat,
            List<Integer> tooHigh,
            double netM2,
            double netMeshMm) {

        private static HouseholdFence of(HouseholdPlan.AlongFence along) {
            return new HouseholdFence(
                    Units.round(along.usedM(), 1),
                    Units.round(along.leftM(), 1),
                    along.more(),
                    along.notFlat(),
                    along.tooHigh(),
                    Units.round(along.net().areaM2(), 0),
                    along.net().meshMm());
        }
    }

    private static String word(Enum<?> one) {
        return one.name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
