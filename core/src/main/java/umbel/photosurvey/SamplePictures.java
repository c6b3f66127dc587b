package umbel.photosurvey;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import umbel.drawing.Svg;
import umbel.knowledge.Knowledge;
import umbel.photosurvey.PhotoSurveyRequest.Pixel;
import umbel.practice.PracticeTree;
import umbel.wood.Axis;
import umbel.wood.AxisKind;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;
import umbel.wood.Vec;

/** Two pictures of an invented tree with a staff beside it, to try a survey from photographs with where no camera is at hand. */
public final class SamplePictures {

    /** How many there are. */
    public static final int COUNT = 2;

    /** Length of the staff in them, metres. */
    public static final double STAFF = 2.0;

    private static final int WIDTH = 1500;
    private static final int HEIGHT = 2000;
    private static final double FOCAL = 26.0 / 36 * HEIGHT;
    private static final double STAFF_WIDE = 0.03;
    private static final double STAFF_BESIDE = 0.05;
    private static final double STAFF_PART = 0.2;
    private static final double STEP = 0.12;
    private static final double THINNEST_PX = 1.2;
    private static final long SEED = 12;
    private static final int LEAF = 5;

    private static final List<Camera> CAMERAS = List.of(
            new Camera(0, 3.2, 1.53, Math.toRadians(0.8), Math.toRadians(-1.2), Math.toRadians(0.4), FOCAL),
            new Camera(
                    Math.toRadians(93),
                    3.4,
                    1.48,
                    Math.toRadians(-0.6),
                    Math.toRadians(-0.6),
                    Math.toRadians(-0.5),
                    FOCAL));

    private final Tree tree;

    /** The pictures of the sample tree. */
    public SamplePictures(Knowledge knowledge) {
        this.tree = TreeBuilder.build(PracticeTree.survey("apple", "tall-spindle", LEAF, SEED), knowledge, SEED);
    }

    /** The tree in the pictures. */
    public Tree tree() {
        return tree;
    }

    /**
     * Where a point of space stands in a picture.
     *
     * @param picture 0 or 1
     */
    public Pixel pixel(int picture, Vec point) {
        Camera.Point seen = CAMERAS.get(picture).project(point);
        return new Pixel(WIDTH / 2.0 + seen.right(), HEIGHT / 2.0 - seen.up());
    }

    /**
     * A picture as SVG.
     *
     * @param picture 0 or 1
     */
    public String svg(int picture) {
        Camera camera = CAMERAS.get(picture);
        StringBuilder out = new StringBuilder(Svg.of(
                "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"%d\" height=\"%d\" viewBox=\"0 0 %d %d\">",
                WIDTH, HEIGHT, WIDTH, HEIGHT));
        double horizon = HEIGHT / 2.0 + FOCAL * Math.tan(camera.pitch());
        out.append(Svg.of("<rect width=\"%d\" height=\"%d\" fill=\"#e4eaec\"/>", WIDTH, HEIGHT));
        out.append(Svg.of(
                "<rect y=\"%.0f\" width=\"%d\" height=\"%.0f\" fill=\"#c6c9a8\"/>", horizon, WIDTH, HEIGHT - horizon));
        List<Axis> axes = new ArrayList<>(tree.axes());
        axes.sort(Comparator.comparingDouble(
                (Axis axis) -> -camera.away(axis.course().at(axis.length() / 2))));
        for (Axis axis : axes) {
            if (axis.kind() != AxisKind.SPUR) {
                stem(out, picture, axis);
            }
        }
        staff(out, picture);
        return out.append("</svg>").toString();
    }

    private void stem(StringBuilder out, int picture, Axis axis) {
        int parts = Math.max(1, (int) Math.ceil(axis.length() / STEP));
        for (int i = 0; i < parts; i++) {
            double from = axis.length() * i / parts;
            double to = axis.length() * (i + 1) / parts;
            Vec middle = axis.course().at((from + to) / 2);
            double wide = FOCAL
                    * axis.diameterAt((from + to) / 2)
                    / CAMERAS.get(picture).away(middle);
            line(
                    out,
                    pixel(picture, axis.course().at(from)),
                    pixel(picture, axis.course().at(to)),
                    Math.max(THINNEST_PX, wide),
                    axis.isFrame() ? "#4d4038" : "#7d6a58");
        }
    }

    /** Beside the trunk as the picture sees it, its foot at the tree's; red and white by parts. */
    private void staff(StringBuilder out, int picture) {
        double bearing = CAMERAS.get(picture).bearing();
        Vec beside = new Vec(Math.cos(bearing), -Math.sin(bearing), 0).times(STAFF_BESIDE);
        double wide = FOCAL * STAFF_WIDE / CAMERAS.get(picture).distance();
        for (int i = 0; i * STAFF_PART < STAFF - 1e-9; i++) {
            line(
                    out,
                    pixel(picture, beside.plus(Vec.UP.times(i * STAFF_PART))),
                    pixel(picture, beside.plus(Vec.UP.times((i + 1) * STAFF_PART))),
                    wide,
                    i % 2 == 0 ? "#b3402f" : "#ffffff");
        }
    }

    private static void line(StringBuilder out, Pixel from, Pixel to, double wide, String ink) {
        out.append(Svg.of(
                "<path d=\"M%.1f %.1fL%.1f %.1f\" stroke=\"%s\" stroke-width=\"%.1f\" stroke-linecap=\"%s\"/>",
                from.x(),
                from.y(),
                to.x(),
                to.y(),
                ink,
                wide,
                ink.startsWith("#4") || ink.startsWith("#7") ? "round" : "butt"));
    }
}
