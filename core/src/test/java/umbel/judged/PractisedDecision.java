package umbel.judged;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import umbel.assess.Assessment;
import umbel.assess.Assessment.StepAnswer;
import umbel.cut.OperationKind;

/**
 * One decision of a practised hand, as a check of the recommended plan.
 *
 * @param text as it is written in the file
 * @param demandsAction whether an empty plan would fail it
 * @param wholeLimb whether it speaks of limbs that go or stay whole
 */
record PractisedDecision(String text, boolean demandsAction, boolean wholeLimb, Predicate<Answer> holds) {

    private static final Set<String> OUT = Set.of("remove", "renew-bevel", "renew-stub");
    private static final Set<String> BACK = Set.of("reduce", "shorten", "lower-leader");
    private static final Set<String> TOPPING = Set.of("head", "shorten", "lower-leader", "reduce");
    private static final double MOST = 0.6;

    /** What the program answered. */
    record Answer(Assessment.PlanAnswer plan, JudgedTree tree) {

        List<StepAnswer> steps() {
            return plan.steps();
        }

        /** Whether a limb is worked so; one that goes with the top it stands on goes too. */
        boolean does(String limb, Set<String> operations, Integer winter) {
            return steps().stream()
                    .anyMatch(step -> step.limb().equals(limb)
                                    && operations.contains(step.operation())
                                    && (winter == null || step.year() == winter)
                            || operations.containsAll(OUT) && takesTheTopWith(limb, step));
        }

        private boolean takesTheTopWith(String limb, StepAnswer step) {
            return TOPPING.contains(step.operation())
                    && tree.request().survey().limbs().stream()
                            .anyMatch(one -> one.id().equals(limb)
                                    && one.parent().equals(step.limb())
                                    && one.atCm() > step.atCm());
        }

        boolean worksSmall(String limb, String attitude) {
            return does(limb, OUT, null)
                    || steps().stream()
                            .anyMatch(step -> step.limb().startsWith(limb + "/")
                                    && (step.limb().contains(attitude)
                                            || step.limb().equals(limb + "/shoots")));
        }

        double length(String limb) {
            return tree.request().survey().limbs().stream()
                    .filter(one -> one.id().equals(limb))
                    .findFirst()
                    .orElseThrow()
                    .lengthCm();
        }
    }

    /** Whether it names a limb. */
    boolean speaksOf(String limb) {
        return text.contains(":")
                && List.of(text.substring(text.indexOf(':') + 1).trim().split("\\s+"))
                        .contains(limb);
    }

    boolean holds(Answer answer) {
        return holds.test(answer);
    }

    /**
     * Reads a check.
     *
     * @throws IllegalArgumentException where it is none
     */
    static PractisedDecision parse(String text) {
        if (text.startsWith("total ")) {
            return total(text);
        }
        String[] sides = text.split(":");
        String[] head = sides[0].trim().split("\\s+");
        List<String> limbs = List.of(sides[1].trim().split("\\s+"));
        return switch (head[0]) {
            case "all", "any", "none" -> each(text, head[0], operations(head[1]), winter(head), limbs);
            case "small" ->
                new PractisedDecision(
                        text, true, false, answer -> limbs.stream().allMatch(limb -> answer.worksSmall(limb, head[1])));
            case "small-most" ->
                new PractisedDecision(
                        text,
                        true,
                        false,
                        answer -> limbs.stream()
                                        .filter(limb -> answer.worksSmall(limb, head[1]))
                                        .count()
                                >= MOST * limbs.size());
            case "first" ->
                new PractisedDecision(
                        text,
                        true,
                        false,
                        answer -> firstOf(answer, Integer.parseInt(head[1])).containsAll(limbs));
            case "angle" ->
                new PractisedDecision(
                        text,
                        true,
                        false,
                        answer -> answer.steps().stream()
                                .anyMatch(step -> step.limb().equals(limbs.get(0))
                                        && step.toAngleDeg() != null
                                        && within(step.toAngleDeg(), head[1])));
            case "share" ->
                new PractisedDecision(
                        text,
                        true,
                        false,
                        answer -> answer.steps().stream()
                                .anyMatch(step -> step.limb().equals(limbs.get(0))
                                        && Set.of("tip", "head").contains(step.operation())
                                        && within(1 - step.atCm() / answer.length(limbs.get(0)), head[1])));
            default -> many(text, head, limbs);
        };
    }

    private static PractisedDecision each(
            String text, String quantity, Set<String> operations, Integer winter, List<String> limbs) {
        boolean whole = OUT.containsAll(operations) || operations.containsAll(OUT);
        return switch (quantity) {
            case "all" ->
                new PractisedDecision(
                        text,
                        true,
                        whole,
                        answer -> limbs.stream().allMatch(limb -> answer.does(limb, operations, winter)));
            case "any" ->
                new PractisedDecision(
                        text,
                        true,
                        whole,
                        answer -> limbs.stream().anyMatch(limb -> answer.does(limb, operations, winter)));
            default ->
                new PractisedDecision(
                        text,
                        false,
                        whole,
                        answer -> limbs.stream().noneMatch(limb -> answer.does(limb, operations, winter)));
        };
    }

    private static PractisedDecision many(String text, String[] head, List<String> limbs) {
        if (!head[0].matches("\\d+\\.\\.\\d+")) {
            throw new IllegalArgumentException("not a check: " + text);
        }
        Set<String> operations = operations(head[1]);
        Integer winter = winter(head);
        return new PractisedDecision(
                text,
                !head[0].startsWith("0"),
                true,
                answer -> within(
                        limbs.stream()
                                .filter(limb -> answer.does(limb, operations, winter))
                                .count(),
                        head[0]));
    }

    private static PractisedDecision total(String text) {
        String[] parts = text.split("\\s+");
        return new PractisedDecision(text, false, false, answer -> {
            Assessment.TotalsAnswer totals = answer.plan().totals();
            double value = switch (parts[1]) {
                case "woodShare" -> totals.woodShare();
                case "bigCuts" -> totals.bigCuts();
                default -> throw new IllegalArgumentException("not a total: " + text);
            };
            return within(value, parts[2]);
        });
    }

    private static List<String> firstOf(Answer answer, int count) {
        return answer.steps().stream()
                .filter(step -> step.year() == 0)
                .limit(count)
                .map(StepAnswer::limb)
                .toList();
    }

    private static Integer winter(String[] head) {
        return head.length > 3 && head[2].equals("in") ? Integer.valueOf(head[3]) : null;
    }

    private static Set<String> operations(String words) {
        Set<String> all = new HashSet<>();
        for (String word : words.split("\\|")) {
            switch (word) {
                case "out" -> all.addAll(OUT);
                case "back" -> all.addAll(BACK);
                case "cut" -> {
                    all.addAll(OUT);
                    all.addAll(BACK);
                }
                default ->
                    all.add(OperationKind.of(word)
                            .orElseThrow(() -> new IllegalArgumentException("no operation: " + word))
                            .word());
            }
        }
        return all;
    }

    private static boolean within(double value, String range) {
        String[] ends = range.split("\\.\\.");
        return value >= Double.parseDouble(ends[0]) - 1e-9 && value <= Double.parseDouble(ends[1]) + 1e-9;
    }
}
