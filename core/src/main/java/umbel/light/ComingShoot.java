package umbel.light;

import umbel.knowledge.Species;
import umbel.wood.Axis;
import umbel.wood.Setting;
import umbel.wood.Vec;

/**
 * The shoot that the end of an axis is expected to grow in the coming season, on which half of its leaf will stand.
 *
 * @param length metres; 0 where nothing grows on
 * @param heading unit vector
 */
public record ComingShoot(double length, Vec heading) {

    private static final double OF_LAST = 0.7;
    private static final double MOST = 1.3;

    /** The shoot beyond the end of an axis that is no spur and no unmeasured lateral, in a tree that stands in winter. */
    static ComingShoot of(Axis axis, Setting setting, double season) {
        double last = axis.kind().isSmallWood() ? axis.length() : axis.lastGrowth();
        Vec heading = axis.course()
                .directionAt(axis.length())
                .plus(Vec.UP.times(setting.species().canopy().rise()))
                .unit();
        return new ComingShoot(Math.min(OF_LAST * last, MOST * season), heading);
    }

    /** The same; the season's usual shoot is worked out. */
    public static ComingShoot of(Axis axis, Setting setting) {
        return of(axis, setting, season(setting));
    }

    /** Length of the season's shoots on laterals, metres: the kind's, by what its stock lets grow. */
    static double season(Setting setting) {
        Species.Canopy canopy = setting.species().canopy();
        return canopy.seasonShoot()
                * setting.parameters()
                        .canopy()
                        .stocks()
                        .get(setting.cultivar().stock())
                        .shoots();
    }
}
