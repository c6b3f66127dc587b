package umbel.planting;

import java.util.ArrayList;
import java.util.List;
import umbel.field.FieldRows;
import umbel.knowledge.PlantingParameters;
import umbel.knowledge.TrainingSystem;

/** What is bought to plant a field: trees and what carries, leads and guards them. */
public final class Materials {

    /**
     * One thing to buy.
     *
     * @param code as {@code endPosts}
     * @param amount whole pieces, or metres in whole metres
     * @param metres whether it goes by length
     */
    public record Material(String code, long amount, boolean metres) {}

    private Materials() {}

    /**
     * The list of a field, without what is not needed.
     *
     * @param structure of the system; null where nobody said: then trees and guards only
     */
    public static List<Material> of(
            FieldRows field, TrainingSystem.Structure structure, PlantingParameters.Materials usual) {
        List<Material> list = new ArrayList<>();
        int trees = field.trees();
        add(list, "trees", trees * (1 + usual.spareTrees()), false);
        if (structure != null) {
            add(list, "stakes", trees * structure.stakesATree(), false);
            if (structure.postEveryM() != null) {
                double every = structure.postEveryM();
                int stretches = field.rows().size();
                double between = field.rows().stream()
                        .mapToDouble(row -> Math.max(0, Math.ceil(row.length() / every - 1e-9) - 1))
                        .sum();
                add(list, "endPosts", 2.0 * stretches, false);
                add(list, "posts", between, false);
                add(list, "anchors", structure.wires() > 0 ? usual.anchorsARow() * stretches : 0, false);
            }
            add(list, "wire", structure.wires() * field.length() * (1 + usual.wireOver()), true);
            add(list, "ties", trees * structure.tiesATree(), false);
            add(list, "spreaders", trees * structure.spreadersATree(), false);
        }
        add(list, "guards", trees * usual.guardsATree(), false);
        add(list, "dripLine", field.length(), true);
        return list;
    }

    private static void add(List<Material> list, String code, double amount, boolean metres) {
        long whole = (long) Math.ceil(amount - 1e-9);
        if (whole > 0) {
            list.add(new Material(code, whole, metres));
        }
    }
}
