package umbel.app.survey;

import java.util.List;
import umbel.plant.CountedPlant;
import umbel.plant.Plant;
import umbel.plant.PlantFacts;
import umbel.plant.PlantFinding;
import umbel.reading.Severity;
import umbel.text.Statement;

/**
 * A surveyed plant at a glance: as its survey was read by the usual school and for the usual reach, for itself alone.
 *
 * @param parts limbs of a tree; canes of what is counted
 * @param height metres
 * @param act findings that call for action
 * @param all all findings
 * @param rule of the first of them in the order of work; empty where there is none
 * @param first why it holds; null where there is none
 * @param shade share of fruiting sites with less light than fruit needs
 * @param shaded whether that is more than the school lets stand
 */
public record Glance(
        int leaf,
        int parts,
        double height,
        int act,
        int all,
        String rule,
        Statement first,
        double shade,
        boolean shaded) {

    /** Of a plant that nobody has looked at yet. */
    public static final Glance NONE = new Glance(0, 0, 0, 0, 0, "", null, 0, false);

    /** Of a plant whose survey this version of the program cannot read; told where its first finding would be. */
    static final Glance UNREADABLE = new Glance(0, 0, 0, 0, 1, "", Statement.of("glance.unreadable"), 0, false);

    static Glance of(Plant plant) {
        PlantFacts facts = plant.facts();
        List<PlantFinding> findings = plant.findings();
        return new Glance(
                facts.leaf(),
                plant instanceof CountedPlant counted
                        ? counted.canes()
                        : facts.parts().size(),
                facts.height(),
                (int) findings.stream()
                        .filter(one -> one.severity() == Severity.ACT)
                        .count(),
                findings.size(),
                findings.isEmpty() ? "" : findings.get(0).rule(),
                findings.isEmpty() ? null : findings.get(0).reason(),
                plant.shade(),
                plant.isShaded());
    }
}
