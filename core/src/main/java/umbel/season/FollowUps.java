package umbel.season;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import umbel.cut.Effect;
import umbel.cut.Operation;
import umbel.cut.OperationKind;
import umbel.knowledge.SeasonParameters;
import umbel.knowledge.Species;
import umbel.wood.Tree;

/** What must be come back for, after what was done to a tree: by the calendar of its own year, not by fixed dates. */
public final class FollowUps {

    private FollowUps() {}

    /** What was done, its effect with it. */
    public record Done(Operation operation, Effect effect) {}

    /**
     * The visits that follow.
     *
     * @param year the season that begins with, or holds, the day it was done
     * @param overCrop whether more fruit is expected than the tree can finish
     */
    public static List<FollowUp> of(
            Tree tree, Collection<Done> done, LocalDate doneOn, Phenology year, boolean overCrop) {
        SeasonParameters.FollowUp rules = tree.setting().parameters().season().followUp();
        Map<String, FollowUp> all = new LinkedHashMap<>();
        sprouts(done, doneOn, year, rules, all);
        ties(tree, done, doneOn, rules, all);
        spurs(done, doneOn, year, rules, all);
        again(tree, done, doneOn, year, rules, all);
        boolean crop = overCrop && tree.setting().species().thinning().spacingCm() > 0;
        if (crop && doneOn.isBefore(year.harvest())) {
            put(
                    all,
                    "thin-fruit",
                    year.petalFall().expected().plusDays(rules.thinAfterPetalFallDays()),
                    rules.thinForDays(),
                    tree.setting().species().thinning().spacingCm());
        }
        if (!done.isEmpty() && doneOn.isBefore(year.harvest().minusDays(rules.scoutBeforeHarvestDays()))) {
            put(all, "scout", year.harvest().minusDays(rules.scoutBeforeHarvestDays()), rules.scoutForDays(), null);
        }
        boolean staged = done.stream()
                .anyMatch(one -> one.operation().kind() == OperationKind.RENEW_STUB
                        && one.effect().big());
        if (staged) {
            put(
                    all,
                    "next-stage",
                    year.midwinter().plusYears(1).plusDays(rules.nextStageAfterMidwinterDays()),
                    rules.nextStageForDays(),
                    null);
        }
        return new ArrayList<>(all.values());
    }

    /** Hard winter cuts and renewal are answered by sprouts: rub them while they are soft. */
    private static void sprouts(
            Collection<Done> done,
            LocalDate doneOn,
            Phenology year,
            SeasonParameters.FollowUp rules,
            Map<String, FollowUp> all) {
        double expected =
                done.stream().mapToDouble(one -> one.effect().sprouts()).sum();
        boolean dormant = doneOn.isBefore(year.petalFall().expected());
        if (dormant && expected >= rules.sproutsWorthAVisit()) {
            put(
                    all,
                    "rub-sprouts",
                    year.petalFall().expected().plusDays(rules.rubAfterPetalFallDays()),
                    rules.rubForDays(),
                    expected);
        }
    }

    private static void ties(
            Tree tree,
            Collection<Done> done,
            LocalDate doneOn,
            SeasonParameters.FollowUp rules,
            Map<String, FollowUp> all) {
        long bent = done.stream()
                .filter(one -> one.operation().kind() == OperationKind.BEND)
                .count();
        if (bent == 0) {
            return;
        }
        put(all, "check-ties", doneOn.plusDays(rules.checkTiesAfterDays()), rules.checkTiesForDays(), (double) bent);
        put(
                all,
                "take-off-ties",
                doneOn.plusWeeks(tree.setting().parameters().training().weeksToSet()),
                rules.takeOffForDays(),
                (double) bent);
    }

    /** Wood cut to short spurs in leaf grows again: come back each time it is longer than a hand's breadth. */
    private static void spurs(
            Collection<Done> done,
            LocalDate doneOn,
            Phenology year,
            SeasonParameters.FollowUp rules,
            Map<String, FollowUp> all) {
        boolean shortened = done.stream().anyMatch(one -> one.operation().kind() == OperationKind.SHORT_SPUR);
        LocalDate again = doneOn.plusDays(rules.shortSpurAgainDays());
        if (shortened && !doneOn.isBefore(year.petalFall().expected()) && again.isBefore(year.summerEnd())) {
            put(all, "short-spur-again", again, rules.rubForDays(), rules.regrowthCm());
        }
    }

    /** Kinds that are cut again and again while they grow: the next time, as long as they still do. */
    private static void again(
            Tree tree,
            Collection<Done> done,
            LocalDate doneOn,
            Phenology year,
            SeasonParameters.FollowUp rules,
            Map<String, FollowUp> all) {
        Species.Season season = tree.setting().species().season();
        boolean cut = done.stream().anyMatch(one -> one.operation().kind().cuts());
        if (season.cutAgainDays() == null || !cut) {
            return;
        }
        LocalDate growsFrom = doneOn.isBefore(year.leafOut()) ? year.leafOut() : doneOn;
        LocalDate again = growsFrom.plusDays(season.cutAgainDays());
        if (season.evergreen() || again.isBefore(year.summerEnd())) {
            put(all, "cut-again", again, rules.rubForDays(), null);
        }
    }

    /** Diseased prunings that were left lying, to be taken out within days of the visit. */
    public static FollowUp clearing(LocalDate doneOn, SeasonParameters.FollowUp rules) {
        return new FollowUp("clear-prunings", doneOn, doneOn.plusDays(rules.clearWithinDays()), null);
    }

    private static void put(Map<String, FollowUp> all, String kind, LocalDate from, int days, Double amount) {
        all.put(kind, new FollowUp(kind, from, from.plusDays(days), amount));
    }
}
