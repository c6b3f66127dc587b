package umbel.counted;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import umbel.knowledge.CountedKind;

/**
 * The next count as it is expected, for whoever counts to confirm or correct: what was taken is gone, and after a season canes are
 * a year older and the new ones that are foretold stand beside them.
 */
public final class ExpectedCount {

    private static final String FRUITED = "fruited";
    private static final String NEW = "new";
    private static final String CURRENT = "current";

    private final CountSurvey survey;
    private final Counted plant;
    private final List<CountOperation> done;
    private final CountOutcome outcome;

    private ExpectedCount(CountSurvey survey, Counted plant, List<CountOperation> done) {
        this.survey = survey;
        this.plant = plant;
        this.done = done;
        this.outcome = plant.after(done);
    }

    /**
     * The next count.
     *
     * @param done what was done since the last one
     * @param seasonPassed whether a season of growth lies between
     */
    public static CountSurvey of(
            CountSurvey survey, Counted plant, List<CountOperation> done, boolean seasonPassed, LocalDate today) {
        return new ExpectedCount(survey, plant, done).next(seasonPassed, today);
    }

    private CountSurvey next(boolean grown, LocalDate today) {
        boolean same = !grown && done.isEmpty();
        CountSurvey.PlantFacts facts = survey.plant();
        Integer leaf = facts.leaf() == null || !grown ? facts.leaf() : Integer.valueOf(facts.leaf() + 1);
        return new CountSurvey(
                survey.format(),
                new CountSurvey.PlantFacts(
                        facts.label(),
                        facts.kind(),
                        leaf,
                        facts.system(),
                        facts.cultivar(),
                        facts.spacing(),
                        facts.rowBearingDeg()),
                survey.site(),
                today,
                grown ? null : survey.cropLastKg(),
                survey.canes() == null ? null : bush(grown),
                survey.row() == null || same ? survey.row() : row(grown),
                survey.vine() == null ? null : vine(grown));
    }

    private List<CountSurvey.BushCane> bush(boolean grown) {
        Map<String, Integer> gone = new HashMap<>();
        Map<String, Double> headed = new HashMap<>();
        for (CountOperation one : done) {
            if (one.kind() == CountOperation.Kind.REMOVE) {
                gone.merge(one.target(), one.count(), Integer::sum);
            } else if (one.kind() == CountOperation.Kind.HEAD || one.kind() == CountOperation.Kind.TIP) {
                headed.put(one.target(), one.atCm());
            }
        }
        List<CountSurvey.BushCane> canes = new ArrayList<>();
        Set<String> ids = new HashSet<>();
        survey.canes().forEach(cane -> ids.add(cane.id()));
        for (CountSurvey.BushCane cane : survey.canes()) {
            int left = cane.many() - gone.getOrDefault(cane.id(), 0);
            if (left > 0) {
                canes.add(older(cane, left, headed.get(cane.id()), grown, gone.keySet()));
            }
        }
        long fresh = Math.round(renewal());
        if (grown && fresh > 0) {
            canes.add(newCanes(nextId(ids), (int) fresh));
        }
        return canes;
    }

    private CountSurvey.BushCane older(
            CountSurvey.BushCane cane, int count, Double headedAt, boolean grown, Set<String> gone) {
        Double age = cane.ageY() == null || !grown ? cane.ageY() : Double.valueOf(cane.ageY() + 1);
        List<String> rubs = cane.rubs() == null
                ? null
                : cane.rubs().stream().filter(other -> !gone.contains(other)).toList();
        return new CountSurvey.BushCane(
                cane.id(),
                cane.count() == null ? null : Integer.valueOf(count),
                age,
                grown && cane.diameterMm() != null ? Double.valueOf(thicker(cane)) : cane.diameterMm(),
                headedAt == null ? cane.heightCm() : headedAt,
                cane.attitude(),
                cane.place(),
                cane.bearingDeg(),
                cane.condition(),
                cane.disease(),
                cane.twiggy(),
                grown ? null : cane.flowerBuds(),
                headedAt == null ? cane.uprightShootCm() : null,
                rubs == null || rubs.isEmpty() ? null : rubs);
    }

    /** Its thickness a year later, as canes of its kind thicken from age to age; whole millimetres. */
    private double thicker(CountSurvey.BushCane cane) {
        List<Double> usual = plant.kind().bush().diameterByAge();
        int last = usual.size() - 1;
        int age = cane.ageY() == null ? last : (int) Math.max(1, Math.min(last, Math.round(cane.ageY())));
        return Math.round(cane.diameterMm() * usual.get(Math.min(last, age)) / usual.get(age - 1));
    }

    private static CountSurvey.BushCane newCanes(String id, int count) {
        return new CountSurvey.BushCane(
                id, count, 1.0, null, null, null, null, null, null, null, null, null, null, null);
    }

    private static String nextId(Set<String> ids) {
        int number = ids.size() + 1;
        while (ids.contains(String.valueOf(number))) {
            number++;
        }
        return String.valueOf(number);
    }

    /** New canes of the season on the stretch that was counted, or on the bush. */
    private double renewal() {
        return outcome.seasons().get(0).renewal();
    }

    private CountSurvey.Row row(boolean grown) {
        CountSurvey.Row row = survey.row();
        List<CountSurvey.RowCanes> canes = new ArrayList<>();
        int fresh = (int) Math.round(renewal());
        int stay = (int) outcome.after().stream()
                .filter(group -> group.name().equals(NEW))
                .mapToDouble(CountReading.Group::count)
                .sum();
        CountedKind.Row kind = plant.kind().row();
        if (grown && kind.isMown()) {
            canes.add(canes(FRUITED, fresh, null));
        } else if (grown) {
            canes.add(canes(FRUITED, stay, null));
            canes.add(canes(NEW, fresh, null));
        } else {
            boolean taken = done.stream()
                    .anyMatch(one ->
                            one.target().startsWith("canes/" + FRUITED) || one.kind() == CountOperation.Kind.MOW);
            for (String name : List.of(FRUITED, NEW, CURRENT)) {
                List<CountSurvey.RowCanes> there = row.allCanes()
                        .filter(group -> group.cane().equals(name))
                        .toList();
                int count = name.equals(NEW)
                        ? stay
                        : name.equals(FRUITED) && taken
                                ? 0
                                : there.stream()
                                        .mapToInt(CountSurvey.RowCanes::count)
                                        .sum();
                if (!there.isEmpty() && count > 0) {
                    canes.add(together(there, count));
                }
            }
        }
        return new CountSurvey.Row(
                row.countedM(),
                row.widthCm(),
                row.topWireCm(),
                row.plants(),
                grown ? null : row.cropLastKg(),
                canes,
                null);
    }

    /** One class from all its counts: what was measured in the first holds, what was counted among them does not. */
    private static CountSurvey.RowCanes together(List<CountSurvey.RowCanes> counts, int count) {
        CountSurvey.RowCanes first = counts.get(0);
        return new CountSurvey.RowCanes(
                first.cane(), count, first.heightCm(), first.diameterMm(), null, null, null, null, first.laterals());
    }

    private static CountSurvey.RowCanes canes(String name, int count, Double height) {
        return new CountSurvey.RowCanes(name, count, height, null, null, null, null, null, null);
    }

    /** A vine keeps its arms; its canes are new every year. */
    private CountSurvey.Vine vine(boolean grown) {
        CountSurvey.Vine vine = survey.vine();
        if (!grown) {
            return vine;
        }
        List<CountSurvey.Arm> arms = vine.arms() == null
                ? null
                : vine.arms().stream().map(ExpectedCount::older).toList();
        return new CountSurvey.Vine(
                vine.prunedAs(),
                vine.wood(),
                null,
                null,
                outcome.nodesAfter(),
                null,
                null,
                null,
                vine.canopies(),
                vine.nodeFormula(),
                vine.canopyM2(),
                vine.fruitPerM2(),
                vine.sex(),
                arms,
                List.of());
    }

    private static CountSurvey.Arm older(CountSurvey.Arm arm) {
        return new CountSurvey.Arm(
                arm.id(),
                arm.bearingDeg(),
                arm.lengthCm(),
                arm.ageY() == null ? null : Double.valueOf(arm.ageY() + 1),
                arm.positions(),
                null,
                arm.spurHeightCm(),
                arm.condition(),
                arm.disease());
    }
}
