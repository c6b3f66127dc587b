package umbel.judged;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.StreamSupport;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;
import tools.jackson.dataformat.yaml.YAMLMapper;
import umbel.assess.AssessRequest;
import umbel.assess.Assessment;
import umbel.assess.Assessor;
import umbel.knowledge.Knowledge;
import umbel.plan.PlanRequest;
import umbel.plan.Planner;
import umbel.reading.Finding;
import umbel.reading.Neighbours;
import umbel.reading.TreeReader;
import umbel.wood.Tree;

/**
 * A tree with what a practised hand would do to it, written down before the program was asked; the format is told in
 * {@code judged/README.md}.
 *
 * @param part {@code tuning}, {@code held-out} or {@code shown}
 * @param asked the request as it is sent
 */
record JudgedTree(
        String id,
        String part,
        String why,
        ObjectNode asked,
        AssessRequest request,
        List<PractisedDecision> decisions) {

    static final List<String> FILES = List.of("pome", "stone", "others", "walls-and-seasons", "further", "second");

    private static final YAMLMapper YAML = YAMLMapper.builder().build();
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final Assessor ASSESSOR = new Assessor(Knowledge.shipped());
    private static final Set<String> CLASSES = Set.of("matchstick", "pencil", "strong");
    private static final int FIXED = 9;
    private static final long SEED = 7;
    private static final double ANGLE_ERROR_DEG = 3;
    private static final double THICKNESS_ERROR = 0.05;

    /** The same tree as somebody else would have measured it: each angle off by up to 3° and each thickness by up to 5 %. */
    JudgedTree measuredAgain(long seed) {
        Random errors = new Random(31 * seed + id.hashCode());
        ObjectNode again = asked.deepCopy();
        ObjectNode trunk = (ObjectNode) again.at("/survey/trunk");
        scale(trunk, errors);
        for (JsonNode limb : again.at("/survey/limbs")) {
            double angle = limb.get("angle_deg").asDouble() + errors.nextDouble(-ANGLE_ERROR_DEG, ANGLE_ERROR_DEG);
            ((ObjectNode) limb).put("angle_deg", Math.max(0, Math.min(180, angle)));
            scale((ObjectNode) limb, errors);
        }
        return new JudgedTree(id, part, why, again, AssessRequest.read(again), decisions);
    }

    /** The same tree asked about under a school. */
    JudgedTree under(String school) {
        ObjectNode other = asked.deepCopy();
        other.put("school", school);
        return new JudgedTree(id, part, why, other, AssessRequest.read(other), decisions);
    }

    private static void scale(ObjectNode wood, Random errors) {
        double measured = wood.get("diameter_mm").asDouble();
        wood.put("diameter_mm", measured * (1 + errors.nextDouble(-THICKNESS_ERROR, THICKNESS_ERROR)));
    }

    /** The program's recommended plan. */
    Assessment.PlanAnswer recommended() {
        Tree tree = ASSESSOR.tree(request);
        PlanRequest asked = ASSESSOR.planRequest(request, tree, List.of(), Set.of());
        double reach = asked.limits().reach();
        TreeReader.Reading first = TreeReader.read(tree, asked.school(), reach);
        List<Finding> certain =
                ASSESSOR.certainty(request, reach, Neighbours.NONE, first).findings();
        TreeReader.Reading reading = first.withFindings(certain);
        return ASSESSOR.telling().plan(Planner.recommended(tree, reading, asked, Assessor.seed(request)));
    }

    /** All trees of a file under {@code judged/}. */
    static List<JudgedTree> of(String file) {
        try (InputStream in = JudgedTree.class.getResourceAsStream("/judged/" + file + ".yaml")) {
            return StreamSupport.stream(YAML.readTree(in).spliterator(), false)
                    .map(JudgedTree::read)
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static List<JudgedTree> all() {
        return FILES.stream().flatMap(file -> of(file).stream()).toList();
    }

    private static JudgedTree read(JsonNode one) {
        ObjectNode survey = JSON.createObjectNode();
        survey.put("format", "umbel-survey/1").put("surveyedOn", one.get("on").asString());
        survey.set("tree", tree(one));
        survey.putObject("site")
                .put("latitude_deg", one.path("latitude").asDouble(47))
                .put("elevation_m", 200);
        JsonNode trunk = one.get("trunk");
        ObjectNode stem = survey.putObject("trunk");
        stem.put("diameter_mm", trunk.get("diameter").asDouble())
                .put("diameterAt_cm", 30)
                .put("height_cm", trunk.get("height").asDouble())
                .put("unionAt_cm", 8);
        if (trunk.has("grown")) {
            stem.put("lastGrowth_cm", trunk.get("grown").asDouble());
        }
        ArrayNode limbs = survey.putArray("limbs");
        one.get("limbs").forEach(row -> limbs.add(limb(row.asString())));
        ObjectNode asked = JSON.createObjectNode();
        asked.set("survey", survey);
        asked.put("seed", SEED).put("years", 3).put("on", one.get("on").asString());
        asked.put("phase", one.path("phase").asString("dormant"));
        if (one.has("limits")) {
            asked.set("limits", one.get("limits"));
        }
        if (one.has("school")) {
            asked.put("school", one.get("school").asString());
        }
        List<PractisedDecision> decisions = new ArrayList<>();
        one.get("checks").forEach(check -> decisions.add(PractisedDecision.parse(check.asString())));
        return new JudgedTree(
                one.get("id").asString(),
                one.get("part").asString(),
                one.get("why").asString(),
                asked,
                AssessRequest.read(asked),
                decisions);
    }

    private static ObjectNode tree(JsonNode one) {
        JsonNode told = one.get("tree");
        ObjectNode tree = JSON.createObjectNode().put("label", one.get("id").asString());
        tree.put("species", told.get("species").asString());
        if (told.has("leaf")) {
            tree.put("leaf", told.get("leaf").asInt());
        }
        if (told.has("system")) {
            tree.put("system", told.get("system").asString());
        }
        tree.putObject("cultivar")
                .put("name", "")
                .put("habit", told.path("habit").asString("standard"))
                .put("set", "moderate")
                .put("vigour", told.path("vigour").asString("moderate"));
        tree.putObject("rootstock")
                .put("name", "")
                .put("class", told.get("stock").asString());
        tree.putObject("spacing_m")
                .put("inRow", told.get("inRow").asDouble())
                .put("betweenRows", told.get("betweenRows").asDouble());
        tree.put("rowBearing_deg", told.path("rowBearing").asDouble(0));
        return tree;
    }

    private static ObjectNode limb(String row) {
        String[] parts = row.trim().split("\\s+");
        ObjectNode limb = JSON.createObjectNode().put("id", parts[0]).put("parent", parts[1]);
        limb.put("role", parts[2]);
        List<String> numbers = List.of("at_cm", "bearing_deg", "angle_deg", "diameter_mm", "length_cm", "age_y");
        for (int i = 0; i < numbers.size(); i++) {
            limb.put(numbers.get(i), Double.parseDouble(parts[i + FIXED - numbers.size()]));
        }
        limb.put("age_y", Integer.parseInt(parts[FIXED - 1]));
        ObjectNode wood = JSON.createObjectNode();
        ArrayNode shoots = JSON.createArrayNode();
        for (int i = FIXED; i < parts.length; i++) {
            String[] pair = parts[i].split("=");
            further(limb, wood, shoots, pair[0], pair[1]);
        }
        if (!shoots.isEmpty()) {
            wood.set("shoots", shoots);
        }
        if (!wood.isEmpty()) {
            limb.set("wood", wood);
        }
        return limb;
    }

    private static void further(ObjectNode limb, ObjectNode wood, ArrayNode shoots, String name, String value) {
        Map<String, String> measures = Map.of("tip", "tipAngle_deg", "grown", "lastGrowth_cm");
        String[] counted = value.split("@");
        if (measures.containsKey(name)) {
            limb.put(measures.get(name), Double.parseDouble(value));
        } else if (name.equals("condition")) {
            limb.putArray("condition").add(value);
        } else if (name.equals("buds")) {
            wood.put("flowerBuds", Integer.parseInt(value));
        } else if (name.equals("spurs")) {
            wood.putObject("spurs")
                    .put("count", Integer.parseInt(counted[0]))
                    .put("age_y", Integer.parseInt(counted[1]));
        } else {
            String[] kind = name.split("\\.");
            if (kind.length != 2 || !CLASSES.contains(kind[1])) {
                throw new IllegalArgumentException("unknown measurement: " + name);
            }
            shoots.addObject()
                    .put("attitude", kind[0])
                    .put("class", kind[1])
                    .put("count", Integer.parseInt(counted[0]))
                    .put("length_cm", Integer.parseInt(counted[1]));
        }
    }
}
