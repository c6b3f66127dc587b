package umbel.app.plan;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.springframework.stereotype.Service;
import umbel.assess.Assessor;
import umbel.crop.HarvestLoad;
import umbel.light.LightSection;
import umbel.light.ShadeBetweenLimbs;
import umbel.plant.SurveyedTree;
import umbel.wood.Axis;
import umbel.wood.LateralTwigs;
import umbel.wood.Setting;
import umbel.wood.Units;
import umbel.wood.Vec;

/** What is laid over a tree's drawing: light, and the crop at harvest. */
@Service
class LayerService {

    private final DecidedTrees surveyed;

    LayerService(DecidedTrees surveyed) {
        this.surveyed = surveyed;
    }

    /** What each limb takes from the others, and two sections through the tree: along its row and across it. */
    public TreeAnswers.LightLayer light(long treeId) {
        SurveyedTree read = surveyed.newestReading(treeId);
        double row = read.tree().setting().place().rowBearing();
        return new TreeAnswers.LightLayer(
                ShadeBetweenLimbs.of(read.tree()).stream()
                        .map(shade -> new TreeAnswers.ShadeLine(
                                shade.limb(),
                                Units.round(shade.fromTree(), 4),
                                shade.fromLimbs().entrySet().stream()
                                        .limit(6)
                                        .map(entry -> new TreeAnswers.ShadeOn(
                                                entry.getKey(), Units.round(entry.getValue(), 3)))
                                        .toList()))
                        .toList(),
                List.of(
                        section(LightSection.of(read.tree(), row)),
                        section(LightSection.of(read.tree(), row + Math.PI / 2))));
    }

    private static TreeAnswers.Section section(LightSection section) {
        return new TreeAnswers.Section(
                Units.round(Units.toDegrees(section.bearing()), 1),
                section.from(),
                section.step(),
                section.columns(),
                Arrays.stream(section.light())
                        .map(light -> Units.round(light, 3))
                        .toArray());
    }

    /** The tree under the crop it is meant to carry. */
    public TreeAnswers.HarvestLayer harvest(long treeId) {
        SurveyedTree read = surveyed.newestReading(treeId);
        HarvestLoad load = HarvestLoad.drawn(
                read.tree(), read.reading().light(), read.reading().crop());
        HarvestLoad unthinned =
                HarvestLoad.unthinned(read.tree(), read.reading().light());
        List<TreeAnswers.Moved> moved = new ArrayList<>();
        List<TreeAnswers.Hung> hung = new ArrayList<>();
        for (Axis axis : load.tree().axes()) {
            Axis was = read.tree().axis(axis.index());
            Vec end = axis.course().at(axis.length());
            if (end.minus(was.course().at(was.length())).length() > 0.004) {
                moved.add(TreeAnswers.Moved.of(axis.index(), axis, load.tree().setting()));
            }
        }
        double share = read.reading().crop().expectedFruits() <= 0
                ? 0
                : load.fruits() / read.reading().crop().flowerBuds();
        // whole fruits: shares of a fruit on many spurs are carried along until they make one
        double owed = 0.5;
        for (Axis axis : load.tree().axes()) {
            owed += axis.flowerBuds() * share;
            int here = (int) Math.floor(owed);
            owed -= here;
            if (here > 0) {
                hung.addAll(hung(axis, here, load.tree().setting()));
            }
        }
        return new TreeAnswers.HarvestLayer(
                moved,
                hung,
                Units.round(2 * Math.cbrt(read.tree().setting().cultivar().fruitMass() / 1000 / 4.19), 4),
                Assessor.harvest(load),
                Assessor.harvest(unthinned));
    }

    /** Fruit at the end of an axis; on a fruiting lateral at the ends of its wood in turn, from the tip inward. */
    private static List<TreeAnswers.Hung> hung(Axis axis, int fruits, Setting setting) {
        List<Vec> places = new ArrayList<>();
        places.add(axis.course().at(axis.length()));
        if (axis.isUnmeasured()) {
            LateralTwigs.branches(axis, setting).forEach(branch -> places.add(branch.to()));
            places.add(axis.course().at(axis.length() / 2));
        }
        List<TreeAnswers.Hung> hung = new ArrayList<>();
        for (int i = 0; i < places.size(); i++) {
            int here = fruits * (i + 1) / places.size() - fruits * i / places.size();
            if (here > 0) {
                Vec at = places.get(i);
                hung.add(new TreeAnswers.Hung(axis.index(), here, new double[] {
                    Units.round(at.x(), 3), Units.round(at.y(), 3), Units.round(at.z(), 3)
                }));
            }
        }
        return hung;
    }
}
