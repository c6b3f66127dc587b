package umbel.app.plan;

import java.util.ArrayList;
import java.util.List;
import umbel.cut.CutTree;
import umbel.cut.Operation;
import umbel.wood.Axis;
import umbel.wood.Units;
import umbel.wood.Vec;

/** Tells of a cut tree what its drawing needs: what goes, what moves, where the flags are tied. */
public final class CutAnswers {

    private CutAnswers() {}

    static List<TreeAnswers.Cut> cuts(CutTree cut) {
        List<TreeAnswers.Cut> cuts = new ArrayList<>();
        for (Axis axis : cut.found().axes()) {
            if (cut.takenBy(axis) >= 0) {
                cuts.add(new TreeAnswers.Cut(axis.index(), Units.round(cut.kept(axis), 3), cut.takenBy(axis)));
            }
        }
        return cuts;
    }

    static List<TreeAnswers.Moved> moved(CutTree cut) {
        List<TreeAnswers.Moved> moved = new ArrayList<>();
        for (Axis axis : cut.found().axes()) {
            cut.left()
                    .find(axis.id())
                    .filter(left -> !left.course()
                            .point(left.course().size() - 1)
                            .equals(axis.course().at(left.length())))
                    .filter(left ->
                            left.course().point(1).minus(axis.course().point(1)).length() > 1e-9
                                    || left.course()
                                                    .point(0)
                                                    .minus(axis.course().point(0))
                                                    .length()
                                            > 1e-9)
                    .ifPresent(left -> moved.add(
                            TreeAnswers.Moved.of(axis.index(), left, cut.found().setting())));
        }
        return moved;
    }

    /** Where an operation's flag is tied: the cut, or the middle of a group or bend. */
    static double[] flag(CutTree cut, Operation operation) {
        Vec place = cut.placeOf(operation);
        return new double[] {Units.round(place.x(), 3), Units.round(place.y(), 3), Units.round(place.z(), 3)};
    }
}
