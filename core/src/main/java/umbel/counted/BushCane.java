package umbel.counted;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import umbel.knowledge.CountedKind;
import umbel.knowledge.CountingParameters;

/**
 * One cane of a bush that stands by itself; canes that were counted together are one of these each.
 *
 * @param id of its entry in the survey
 * @param age years, 1 grew last season
 * @param ageKnown whether the age was told and not made out from the thickness
 * @param diameterMm at 30 cm; NaN where it was not measured
 * @param usualMm usual diameter at its age
 * @param side which side of the bush it stands on, from 0; -1 where it is not known
 */
record BushCane(
        String id,
        int age,
        boolean ageKnown,
        double diameterMm,
        double usualMm,
        double heightCm,
        String attitude,
        String place,
        int side,
        boolean unsound,
        boolean twiggy,
        double uprightShootCm,
        Set<String> rubs) {

    /** Conditions that make a cane unsound; a damaged one may stand. */
    private static final Set<String> UNSOUND = Set.of("dead", "broken", "diseased", "girdled", "splitting", "decayed");

    /** By name, numbers by their size. */
    static final Comparator<BushCane> BY_NAME =
            Comparator.comparingInt((BushCane cane) -> cane.id().length()).thenComparing(BushCane::id);

    /** Whether wood of these conditions goes whatever else it is. */
    static boolean isUnsound(List<String> condition, String disease) {
        return condition != null && condition.stream().anyMatch(UNSOUND::contains)
                || disease != null && !disease.isBlank();
    }

    boolean measured() {
        return !Double.isNaN(diameterMm);
    }

    /** Thinner than this share of what is usual at its age; unmeasured canes are not. */
    boolean thinnerThan(double share) {
        return measured() && diameterMm < share * usualMm;
    }

    boolean is(String word) {
        return word.equals(attitude) || word.equals(place);
    }

    /** The canes of a survey, each by itself; ages that nobody told are made out from the thickness. */
    static List<BushCane> all(
            List<CountSurvey.BushCane> entries, CountedKind.Bush bush, CountingParameters.Bush numbers) {
        List<BushCane> all = new ArrayList<>();
        for (CountSurvey.BushCane entry : entries) {
            int age = entry.ageY() != null
                    ? (int) Math.max(1, Math.round(entry.ageY()))
                    : entry.diameterMm() != null ? ageOf(entry.diameterMm(), bush) : (int) numbers.unknownAge();
            for (int i = 0; i < entry.many(); i++) {
                all.add(new BushCane(
                        entry.id(),
                        age,
                        entry.ageY() != null,
                        entry.diameterMm() == null ? Double.NaN : entry.diameterMm(),
                        bush.diameterByAge().get(bush.index(age)),
                        entry.heightCm() == null ? 0 : entry.heightCm(),
                        entry.attitude(),
                        entry.place(),
                        entry.bearingDeg() == null
                                ? -1
                                : (int) Math.floorMod(
                                        (long) Math.floor(entry.bearingDeg() * numbers.sides() / 360),
                                        (long) numbers.sides()),
                        isUnsound(entry.condition(), entry.disease()),
                        Boolean.TRUE.equals(entry.twiggy()),
                        entry.uprightShootCm() == null ? Double.NaN : entry.uprightShootCm(),
                        entry.rubs() == null ? Set.of() : Set.copyOf(entry.rubs())));
            }
        }
        return all;
    }

    /** The age whose usual diameter is nearest. */
    private static int ageOf(double diameterMm, CountedKind.Bush bush) {
        int nearest = 1;
        for (int age = 2; age <= bush.ages(); age++) {
            double here = Math.abs(bush.diameterByAge().get(age - 1) - diameterMm);
            double best = Math.abs(bush.diameterByAge().get(nearest - 1) - diameterMm);
            nearest = here < best ? age : nearest;
        }
        return nearest;
    }
}
