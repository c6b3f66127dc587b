package umbel.reading;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import umbel.crop.CropReading;
import umbel.knowledge.School;
import umbel.light.LightModel;
import umbel.light.LightReading;
import umbel.wood.Tree;

/** Reads a whole tree: light, crop, and every finding in the order of the work. */
public final class TreeReader {

    private static final List<Rule> RULES = List.of(
            new RootSucker(),
            new UnsoundWood(),
            new RivalLeader(),
            new LimbTooThick(),
            new TightCrotch(),
            new CrowdedOrigin(),
            new StackedLimbs(),
            new Crossing(),
            new Inward(),
            new OverHeight(),
            new Shade(),
            new WaterSprout(),
            new Hanger(),
            new Crowding());

    private TreeReader() {}

    /**
     * What a practised eye sees.
     *
     * @param light light at the fruiting sites
     * @param crop flower buds and fruits against the target
     * @param findings in the order of the work
     */
    public record Reading(LightReading light, CropReading crop, List<Finding> findings) {}

    /**
     * Reads a tree.
     *
     * @param reach height a person on the ground reaches, metres
     */
    public static Reading read(Tree tree, School school, double reach) {
        LightReading light = LightModel.read(tree);
        CropReading crop = CropReading.of(tree, light, CropReading.target(tree));
        return new Reading(light, crop, findings(tree, school, light, reach));
    }

    /** The findings of a tree whose light is known, in the order of the work. */
    public static List<Finding> findings(Tree tree, School school, LightReading light, double reach) {
        Scene scene = new Scene(tree, school, light, reach);
        List<Finding> findings = new ArrayList<>();
        for (Rule rule : RULES) {
            findings.addAll(rule.read(scene));
        }
        findings.sort(Comparator.comparing(Finding::stage));
        return findings;
    }
}
