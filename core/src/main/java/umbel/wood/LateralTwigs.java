package umbel.wood;

import java.util.ArrayList;
import java.util.List;
import umbel.knowledge.CanopyParameters;
import umbel.knowledge.Species;

/**
 * The wood of a fruiting lateral nobody measured, as lines its leaf stands along: itself and its side branches, and the
 * coming season's shoots. Worked out from its line, length and name whenever it is asked for, so that it follows every
 * bend and cut.
 */
public final class LateralTwigs {

    /**
     * A straight piece.
     *
     * @param share of the lateral's leaf that stands along it
     * @param season whether it is a shoot of the coming season, which is not there in winter
     */
    public record Twig(Vec from, Vec to, double share, boolean season) {}

    private static final double[] ALONG = {0.1, 0.4, 0.7, 1};

    private final Axis lateral;
    private final Species.Canopy canopy;
    private final CanopyParameters parameters;
    private final double season;
    private final List<Vec[]> old = new ArrayList<>();
    private final List<Vec[]> young = new ArrayList<>();
    private double turn;

    private LateralTwigs(Axis lateral, Setting setting) {
        this.lateral = lateral;
        this.canopy = setting.species().canopy();
        this.parameters = setting.parameters().canopy();
        this.season = canopy.seasonShoot()
                * parameters.stocks().get(setting.cultivar().stock()).shoots();
        this.turn = Math.floorMod(lateral.id().hashCode(), 360);
    }

    /** The twigs of a lateral; their shares add up to one. */
    public static List<Twig> of(Axis lateral, Setting setting) {
        return new LateralTwigs(lateral, setting).twigs();
    }

    /** The side branches of a lateral as they stand in winter, without its own line. */
    public static List<Twig> branches(Axis lateral, Setting setting) {
        List<Twig> twigs = of(lateral, setting);
        return twigs.subList(ALONG.length - 1, twigs.size()).stream()
                .filter(twig -> !twig.season())
                .toList();
    }

    private List<Twig> twigs() {
        double length = lateral.length();
        Course course = lateral.course();
        for (int i = 1; i < ALONG.length; i++) {
            old.add(new Vec[] {course.at(ALONG[i - 1] * length), course.at(ALONG[i] * length)});
        }
        if (length > parameters.second().from()) {
            double every = parameters.second().everyCm() / 100;
            for (double s = parameters.second().from() - every / 2; s < length - every / 2; s += every) {
                double reach = Math.min(parameters.second().most(), 0.1 + 0.5 * (length - s));
                Vec foot = course.at(s);
                Vec end = foot.plus(leaving(course.directionAt(s), 0).times(reach));
                old.add(new Vec[] {foot, end});
                shoot(end, end.minus(foot).unit(), true);
            }
        }
        double from = parameters.shoots().from() * length;
        double every = parameters.shoots().everyCm() / 100;
        int places = Math.max(1, (int) Math.round((length - from) / every));
        for (int i = 0; i < places; i++) {
            double s = from + (length - from) * (i + 0.5) / places;
            shoot(course.at(s), course.directionAt(s), false);
        }
        shoot(course.at(length), course.directionAt(length), true);
        List<Twig> twigs = new ArrayList<>(old.size() + young.size());
        double all = 0;
        for (Vec[] piece : old) {
            all += piece[1].minus(piece[0]).length();
        }
        for (Vec[] piece : old) {
            double share = piece[1].minus(piece[0]).length() / all;
            twigs.add(new Twig(piece[0], piece[1], share * (1 - canopy.shootShare()), false));
        }
        for (Vec[] piece : young) {
            twigs.add(new Twig(piece[0], piece[1], canopy.shootShare() / young.size(), true));
        }
        return twigs;
    }

    private void shoot(Vec foot, Vec stem, boolean end) {
        Vec heading = end ? stem.plus(Vec.UP.times(canopy.rise())).unit() : leaving(stem, canopy.rise());
        young.add(new Vec[] {foot, foot.plus(heading.times(season))});
    }

    /** The direction of the next twig on a stem: at an even angle to it, a turn on from the last. */
    private Vec leaving(Vec stem, double rise) {
        turn += parameters.turnDeg();
        double around = Units.fromDegrees(turn);
        double angle = Units.fromDegrees(parameters.angleDeg());
        Vec side = stem.cross(Vec.UP);
        side = side.length() < 0.05 ? new Vec(1, 0, 0) : side.unit();
        Vec upper = side.cross(stem).unit();
        Vec out = upper.times(Math.cos(around)).plus(side.times(Math.sin(around)));
        return stem.times(Math.cos(angle))
                .plus(out.times(Math.sin(angle)))
                .plus(Vec.UP.times(rise))
                .unit();
    }
}
