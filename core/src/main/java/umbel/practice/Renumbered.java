package umbel.practice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import umbel.survey.Survey;
import umbel.survey.Survey.LimbMeasure;

/** A survey whose limbs are numbered from the ground up, so that no name tells which of them were put in as faults. */
final class Renumbered {

    private static final String TRUNK = "trunk";

    private final List<LimbMeasure> found;
    private final List<LimbMeasure> limbs = new ArrayList<>();

    private Renumbered(List<LimbMeasure> found) {
        this.found = found;
    }

    /** The same survey with limbs on the trunk numbered by height, and branches by letters from their limb's base out. */
    static Survey of(Survey survey) {
        Renumbered renumbered = new Renumbered(survey.limbs());
        renumbered.on(TRUNK, TRUNK);
        return new Survey(
                survey.format(), survey.tree(), survey.site(), survey.surveyedOn(), survey.trunk(), renumbered.limbs);
    }

    private void on(String parent, String as) {
        List<LimbMeasure> here = found.stream()
                .filter(limb -> limb.parent().equals(parent))
                .sorted(Comparator.comparingDouble(LimbMeasure::atCm))
                .toList();
        for (int i = 0; i < here.size(); i++) {
            LimbMeasure limb = here.get(i);
            String id = as.equals(TRUNK) ? String.valueOf(i + 1) : as + letters(i);
            limbs.add(limb.named(id, as));
            on(limb.id(), id);
        }
    }

    /** a, b, … z, aa, ab … */
    private static String letters(int index) {
        String last = String.valueOf((char) ('a' + index % 26));
        return index < 26 ? last : letters(index / 26 - 1) + last;
    }
}
