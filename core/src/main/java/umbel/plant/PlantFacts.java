package umbel.plant;

import java.time.LocalDate;
import java.util.List;

/**
 * What a plant is, for lists, headings and sheets.
 *
 * @param label as its survey names it; may be empty
 * @param kind what one plant of its kind is called, as {@code apple}
 * @param system name of its training system
 * @param leaf years since planting
 * @param height of its highest wood, metres
 * @param parts what it is made of and work is aimed at: limbs of a tree, canes of a bush
 * @param fruitMass fresh mass of one fruit, kg
 * @param surveyedOn null where the survey has no day
 */
public record PlantFacts(
        String label,
        String kind,
        String system,
        int leaf,
        double height,
        List<Part> parts,
        double fruitMass,
        LocalDate surveyedOn) {

    public PlantFacts {
        parts = List.copyOf(parts);
    }

    /** A limb or a cane: its name, diameter at its base and length, both in metres. */
    public record Part(String id, double diameter, double length) {}
}
