package umbel.drawing;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import umbel.wood.Axis;
import umbel.wood.Course;
import umbel.wood.LateralTwigs;
import umbel.wood.Tree;
import umbel.wood.Vec;

/**
 * A tree as glTF 2.0 with its buffer inside: tapered tubes in metres, y up and -z north as that format has it. Frame wood,
 * fruiting laterals, one-year shoots and spurs are meshes of their own material, so that a viewer can hide one.
 *
 * <p>Written by hand on a JSON library: the document has six kinds of object, fewer than a writer's interface.
 */
public final class TreeGltf {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int SIDES = 6;
    /** Diameters of a side branch of a fruiting lateral at its foot and end, metres. */
    private static final double[] BRANCH = {0.005, 0.003};

    private static final int FLOAT = 5126;
    private static final int INT = 5125;
    private static final int VERTICES = 34962;
    private static final int INDICES = 34963;

    private TreeGltf() {}

    private enum Part {
        WOOD("frame", 0.30, 0.26, 0.24),
        LATERALS("fruiting laterals", 0.38, 0.28, 0.23),
        SHOOTS("one-year shoots", 0.61, 0.24, 0.19),
        SPURS("spurs", 0.48, 0.30, 0.24);

        private final String title;
        private final double[] colour;

        Part(String title, double red, double green, double blue) {
            this.title = title;
            this.colour = new double[] {red, green, blue};
        }

        static Part of(Axis axis) {
            return switch (axis.kind()) {
                case SHOOT -> SHOOTS;
                case SPUR -> SPURS;
                case FRUITING_LATERAL -> LATERALS;
                case TRUNK, LIMB, LATERAL -> WOOD;
            };
        }
    }

    /** Triangles of one part. */
    private static final class Mesh {
        private final List<float[]> points = new ArrayList<>();
        private final List<float[]> normals = new ArrayList<>();
        private final List<Integer> corners = new ArrayList<>();
    }

    /** The tree as a glTF document. */
    public static String write(Tree tree) {
        Mesh[] meshes = new Mesh[Part.values().length];
        for (Part part : Part.values()) {
            meshes[part.ordinal()] = new Mesh();
        }
        for (Axis axis : tree.axes()) {
            Mesh mesh = meshes[Part.of(axis).ordinal()];
            addTube(mesh, axis.course(), axis.diameters());
            if (axis.isUnmeasured()) {
                for (LateralTwigs.Twig branch : LateralTwigs.branches(axis, tree.setting())) {
                    addTube(mesh, new Course(List.of(branch.from(), branch.to())), BRANCH);
                }
            }
        }
        return JSON.writeValueAsString(document(tree, meshes));
    }

    private static void addTube(Mesh mesh, Course course, double[] diameters) {
        int first = mesh.points.size();
        for (int i = 0; i < course.size(); i++) {
            Vec along = course.directionAt(course.along(i));
            Vec side = along.cross(Math.abs(along.z()) > 0.95 ? new Vec(1, 0, 0) : Vec.UP)
                    .unit();
            Vec over = along.cross(side).unit();
            double radius = Math.max(0.0008, diameters[i] / 2);
            for (int k = 0; k < SIDES; k++) {
                double angle = 2 * Math.PI * k / SIDES;
                Vec out = side.times(Math.cos(angle)).plus(over.times(Math.sin(angle)));
                mesh.points.add(inGltf(course.point(i).plus(out.times(radius))));
                mesh.normals.add(inGltf(out));
            }
        }
        for (int i = 0; i + 1 < course.size(); i++) {
            for (int k = 0; k < SIDES; k++) {
                int a = first + i * SIDES + k;
                int b = first + i * SIDES + (k + 1) % SIDES;
                mesh.corners.addAll(List.of(a, b, a + SIDES, b, b + SIDES, a + SIDES));
            }
        }
    }

    private static float[] inGltf(Vec v) {
        return new float[] {(float) v.x(), (float) v.z(), (float) -v.y()};
    }

    private static ObjectNode document(Tree tree, Mesh[] meshes) {
        ObjectNode root = JSON.createObjectNode();
        root.putObject("asset").put("version", "2.0").put("generator", "Umbel");
        root.put("scene", 0);
        ArrayNode roots = root.putArray("scenes").addObject().putArray("nodes");
        ArrayNode nodes = root.putArray("nodes");
        ArrayNode meshNodes = root.putArray("meshes");
        ArrayNode materials = root.putArray("materials");
        ArrayNode accessors = root.putArray("accessors");
        ArrayNode views = root.putArray("bufferViews");
        ByteBuffer bytes = ByteBuffer.allocate(sizeOf(meshes)).order(ByteOrder.LITTLE_ENDIAN);
        for (Part part : Part.values()) {
            Mesh mesh = meshes[part.ordinal()];
            if (mesh.points.isEmpty()) {
                continue;
            }
            int material = materials.size();
            ObjectNode look = materials.addObject().put("name", part.title).putObject("pbrMetallicRoughness");
            ArrayNode colour = look.putArray("baseColorFactor");
            for (double value : part.colour) {
                colour.add(value);
            }
            colour.add(1.0);
            look.put("metallicFactor", 0).put("roughnessFactor", 1);
            int points = addVectors(accessors, views, bytes, mesh.points, true);
            int normals = addVectors(accessors, views, bytes, mesh.normals, false);
            int corners = addCorners(accessors, views, bytes, mesh.corners);
            ObjectNode primitive = meshNodes
                    .addObject()
                    .put("name", part.title)
                    .putArray("primitives")
                    .addObject();
            primitive.putObject("attributes").put("POSITION", points).put("NORMAL", normals);
            primitive.put("indices", corners).put("material", material).put("mode", 4);
            roots.add(nodes.size());
            nodes.addObject().put("name", part.title).put("mesh", meshNodes.size() - 1);
        }
        root.putObject("extras")
                .put("label", tree.setting().label())
                .put("species", tree.setting().species().id())
                .put("system", tree.setting().system().id());
        root.putArray("buffers")
                .addObject()
                .put("byteLength", bytes.position())
                .put(
                        "uri",
                        "data:application/octet-stream;base64,"
                                + Base64.getEncoder().encodeToString(bytes.array()));
        return root;
    }

    private static int sizeOf(Mesh[] meshes) {
        int size = 0;
        for (Mesh mesh : meshes) {
            size += mesh.points.size() * 24 + mesh.corners.size() * 4;
        }
        return size;
    }

    private static int addVectors(
            ArrayNode accessors, ArrayNode views, ByteBuffer bytes, List<float[]> vectors, boolean bounded) {
        int start = bytes.position();
        float[] low = {Float.MAX_VALUE, Float.MAX_VALUE, Float.MAX_VALUE};
        float[] high = {-Float.MAX_VALUE, -Float.MAX_VALUE, -Float.MAX_VALUE};
        for (float[] vector : vectors) {
            for (int k = 0; k < 3; k++) {
                bytes.putFloat(vector[k]);
                low[k] = Math.min(low[k], vector[k]);
                high[k] = Math.max(high[k], vector[k]);
            }
        }
        addView(views, start, bytes.position() - start, VERTICES);
        ObjectNode accessor = accessors.addObject();
        accessor.put("bufferView", views.size() - 1)
                .put("componentType", FLOAT)
                .put("count", vectors.size())
                .put("type", "VEC3");
        if (bounded) {
            ArrayNode min = accessor.putArray("min");
            ArrayNode max = accessor.putArray("max");
            for (int k = 0; k < 3; k++) {
                min.add(low[k]);
                max.add(high[k]);
            }
        }
        return accessors.size() - 1;
    }

    private static int addCorners(ArrayNode accessors, ArrayNode views, ByteBuffer bytes, List<Integer> corners) {
        int start = bytes.position();
        corners.forEach(bytes::putInt);
        addView(views, start, bytes.position() - start, INDICES);
        accessors
                .addObject()
                .put("bufferView", views.size() - 1)
                .put("componentType", INT)
                .put("count", corners.size())
                .put("type", "SCALAR");
        return accessors.size() - 1;
    }

    private static void addView(ArrayNode views, int start, int length, int target) {
        views.addObject()
                .put("buffer", 0)
                .put("byteOffset", start)
                .put("byteLength", length)
                .put("target", target);
    }
}
