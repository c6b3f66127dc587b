package umbel.counted;

import java.util.ArrayList;
import java.util.List;
import umbel.knowledge.CountedKind;

/** A plant of a kind as a practised hand keeps it, for the guide and for drawing. */
public final class WellKept {

    private static final int MATURE_LEAF = 9;
    private static final int AGES = 5;
    private static final double STRETCH_M = 2;
    private static final double NODE_CM = 8;

    private WellKept() {}

    /** The plant, as it would be counted in winter after its cut. */
    public static CountSurvey of(CountedKind kind) {
        CountSurvey.PlantFacts facts = new CountSurvey.PlantFacts(
                "", kind.id(), MATURE_LEAF, kind.systems().get(0), null, null, null);
        return switch (kind.form()) {
            case BUSH -> new CountSurvey(CountSurvey.FORMAT, facts, null, null, null, canes(kind.bush()), null, null);
            case ROW -> new CountSurvey(CountSurvey.FORMAT, facts, null, null, null, null, row(kind.row()), null);
            case VINE -> new CountSurvey(CountSurvey.FORMAT, facts, null, null, null, null, null, vine(kind.vine()));
        };
    }

    private static List<CountSurvey.BushCane> canes(CountedKind.Bush bush) {
        List<CountSurvey.BushCane> canes = new ArrayList<>();
        String[] places = {"outside", "middle", "outside"};
        int count = (int) bush.canes().least();
        for (int i = 0; i < count; i++) {
            int age = 1 + i * AGES / count;
            canes.add(new CountSurvey.BushCane(
                    String.valueOf(i + 1),
                    null,
                    (double) age,
                    bush.diameterByAge().get(age - 1),
                    bush.height() * Math.min(1, 0.6 + 0.1 * age),
                    "upright",
                    places[i % places.length],
                    (i * 137.5) % 360,
                    List.of("sound"),
                    null,
                    null,
                    null,
                    null,
                    null));
        }
        return canes;
    }

    private static CountSurvey.Row row(CountedKind.Row row) {
        double height = row.tip().least() > 0
                ? row.tip().least()
                : row.tip().summer() != null ? row.tip().summer() : 180;
        Double wire = row.trellis().equals("none") ? null : Math.max(90, height - 10);
        CountSurvey.Laterals laterals = row.laterals() == null
                ? null
                : new CountSurvey.Laterals(5.0, row.laterals().keep(), 0.0);
        CountSurvey.RowCanes canes = new CountSurvey.RowCanes(
                row.isMown() ? "current" : "new",
                (int) Math.round(row.density().bestPerM() * STRETCH_M),
                height,
                row.diameter(),
                0,
                0,
                0,
                0,
                laterals);
        return new CountSurvey.Row(
                STRETCH_M, Math.min(row.width(), 45), wire, row.suckering() ? null : 2, null, List.of(canes), null);
    }

    private static CountSurvey.Vine vine(CountedKind.Vine vine) {
        List<CountSurvey.Arm> arms = new ArrayList<>();
        List<CountSurvey.VineCane> canes = new ArrayList<>();
        for (String side : List.of("L", "R")) {
            arms.add(new CountSurvey.Arm(
                    side, side.equals("L") ? 270.0 : 90.0, 60.0, null, null, null, null, null, null));
            for (int i = 0; i < 2; i++) {
                canes.add(new CountSurvey.VineCane(
                        side + (i + 1),
                        side,
                        6.0 + 12 * i,
                        vine.caneNodes(),
                        NODE_CM * vine.caneNodes(),
                        (vine.cane().least() + vine.cane().most()) / 2,
                        true,
                        null,
                        null));
            }
        }
        Double nodesPerKg = vine.woods().get(vine.usualWood()).nodesPerKg();
        double nodes = canes.stream().mapToInt(CountSurvey.VineCane::nodes).sum();
        double weight = nodesPerKg == null ? 1 : nodes / nodesPerKg;
        return new CountSurvey.Vine(
                "cane", null, weight, "weighed", null, null, null, null, null, null, null, null, null, arms, canes);
    }
}
