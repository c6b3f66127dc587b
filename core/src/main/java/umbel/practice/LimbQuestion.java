package umbel.practice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import umbel.format.FieldError;
import umbel.survey.InvalidSurvey;
import umbel.survey.Survey;
import umbel.survey.Survey.LimbMeasure;
import umbel.wood.Condition;

/**
 * A question about one limb, asked without a survey: the limb is put in the place of its nearest on a typical tree of its kind,
 * system and age.
 *
 * @param leaf years since planting, 1…99
 * @param trunkMm thickness of the trunk; null for the usual
 * @param heightCm of the tree's top; null for the usual
 * @param diameterMm thickness of the limb at its base
 * @param lengthCm null for that of its neighbours
 * @param angleDeg inclination at its base, degrees from vertical up
 * @param atCm height at which it leaves the trunk
 * @param over whether another limb stands straight below it
 * @param condition one of the survey's; null where it is sound
 */
public record LimbQuestion(
        String species,
        String system,
        Integer leaf,
        Double trunkMm,
        Double heightCm,
        Double diameterMm,
        Double lengthCm,
        Double angleDeg,
        Double atCm,
        Boolean over,
        String condition) {

    private static final List<String> CONDITIONS =
            Arrays.stream(Condition.values()).map(Condition::word).toList();

    private static final int MOST_LEAF = 99;
    private static final double MOST_MM = 1000;
    private static final double MOST_CM = 1500;
    private static final double MOST_DEG = 180;
    private static final double TOP_KEPT_CM = 5;
    /** A limb straight below stands within this, degrees. */
    private static final double UNDER_DEG = 5;

    /**
     * The tree with the limb on it.
     *
     * @param limb name of the limb in question
     */
    public record Placed(Survey survey, String limb) {}

    /**
     * Puts the limb on its tree.
     *
     * @throws InvalidSurvey naming each faulty field
     * @throws umbel.knowledge.NotSupported when no knowledge covers kind or system
     */
    public Placed placed() {
        check();
        Survey typical = TypicalTree.of(species, system, leaf, trunkMm, heightCm);
        List<LimbMeasure> limbs = new ArrayList<>(typical.limbs());
        double at = Math.min(atCm, typical.trunk().heightCm() - TOP_KEPT_CM);
        LimbMeasure nearest = limbs.stream()
                .filter(limb -> limb.parent().equals(Survey.TRUNK))
                .min(Comparator.comparingDouble(limb -> Math.abs(limb.atCm() - at)))
                .orElseThrow(() -> new InvalidSurvey(List.of(FieldError.of("leaf", "problem.no-limbs-yet"))));
        limbs.removeIf(limb -> standsOn(limb, nearest.id(), typical.limbs()));
        double bearing = Boolean.TRUE.equals(over)
                ? limbs.stream()
                        .filter(limb -> limb.parent().equals(Survey.TRUNK))
                        .filter(limb -> !limb.id().equals(nearest.id()) && limb.atCm() < at)
                        .max(Comparator.comparingDouble(LimbMeasure::atCm))
                        .map(below -> (below.bearingDeg() + UNDER_DEG) % 360)
                        .orElse(nearest.bearingDeg())
                : nearest.bearingDeg();
        limbs.replaceAll(limb -> limb == nearest ? asked(nearest, at, bearing) : limb);
        return new Placed(
                new Survey(
                        typical.format(), typical.tree(), typical.site(), typical.surveyedOn(), typical.trunk(), limbs),
                nearest.id());
    }

    /** The limb as it was asked about; what nobody told is as its neighbours have it, in proportion. */
    private LimbMeasure asked(LimbMeasure nearest, double at, double bearing) {
        double length = lengthCm == null ? nearest.lengthCm() : lengthCm;
        return new LimbMeasure(
                nearest.id(),
                Survey.TRUNK,
                null,
                at,
                bearing,
                angleDeg,
                null,
                diameterMm,
                length,
                nearest.ageY(),
                null,
                condition == null ? List.of() : List.of(condition),
                null,
                null,
                null);
    }

    private static boolean standsOn(LimbMeasure limb, String id, List<LimbMeasure> all) {
        String parent = limb.parent();
        while (!parent.equals(Survey.TRUNK)) {
            if (parent.equals(id)) {
                return true;
            }
            String up = parent;
            parent = all.stream()
                    .filter(one -> one.id().equals(up))
                    .findFirst()
                    .map(LimbMeasure::parent)
                    .orElse(Survey.TRUNK);
        }
        return false;
    }

    private void check() {
        List<FieldError> errors = new ArrayList<>();
        present("species", species, errors);
        present("system", system, errors);
        within("leaf", leaf == null ? null : leaf.doubleValue(), 1, MOST_LEAF, true, errors);
        within("trunkMm", trunkMm, 5, MOST_MM, false, errors);
        within("heightCm", heightCm, 30, MOST_CM, false, errors);
        within("diameterMm", diameterMm, 2, MOST_MM, true, errors);
        within("lengthCm", lengthCm, 5, MOST_CM, false, errors);
        within("angleDeg", angleDeg, 0, MOST_DEG, true, errors);
        within("atCm", atCm, 1, MOST_CM, true, errors);
        if (condition != null && !CONDITIONS.contains(condition)) {
            errors.add(FieldError.oneOf("condition", CONDITIONS));
        }
        if (!errors.isEmpty()) {
            throw new InvalidSurvey(errors);
        }
    }

    private static void present(String field, String value, List<FieldError> errors) {
        if (value == null || value.isBlank()) {
            errors.add(FieldError.of(field, "problem.missing"));
        }
    }

    private static void within(
            String field, Double value, double least, double most, boolean needed, List<FieldError> errors) {
        if (value == null) {
            if (needed) {
                errors.add(FieldError.of(field, "problem.missing"));
            }
        } else if (Double.isNaN(value) || value < least || value > most) {
            errors.add(FieldError.between(field, least, most));
        }
    }
}
