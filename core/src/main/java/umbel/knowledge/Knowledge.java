package umbel.knowledge;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;
import tools.jackson.dataformat.yaml.YAMLMapper;

/**
 * All knowledge files, loaded and checked once. A file with an unknown or missing line is refused with its name, line
 * and reason.
 */
public final class Knowledge {

    private static final List<String> SPECIES = List.of("apple", "peach");
    private static final List<String> SYSTEMS =
            List.of("central-leader", "modified-central-leader", "tall-spindle", "open-centre");
    private static final List<String> SCHOOLS = List.of("classic", "gentle", "intensive-wall", "home-garden");

    private static final YAMLMapper YAML = YAMLMapper.builder()
            .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .enable(DeserializationFeature.FAIL_ON_NULL_FOR_PRIMITIVES)
            .build();

    private final Map<String, Species> species = new TreeMap<>();
    private final Map<String, TrainingSystem> systems = new TreeMap<>();
    private final Map<String, School> schools = new TreeMap<>();
    private final Trade trade;
    private final List<Caution> cautions;
    private final PlanRules plan;

    private record Cautions(List<Caution> cautions) {}

    private Knowledge() {
        trade = load("trade.yaml", Trade.class);
        cautions = List.copyOf(load("cautions.yaml", Cautions.class).cautions());
        plan = load("plan.yaml", PlanRules.class);
        SPECIES.forEach(id -> species.put(id, load("species/" + id + ".yaml", Species.class)));
        SYSTEMS.forEach(id -> systems.put(id, load("systems/" + id + ".yaml", TrainingSystem.class)));
        SCHOOLS.forEach(id -> schools.put(id, loadSchool(id)));
    }

    /** The knowledge that ships with the program. */
    public static Knowledge shipped() {
        return Shipped.KNOWLEDGE;
    }

    /**
     * The species with this id.
     *
     * @throws NotSupported when no file covers it
     */
    public Species species(String id) {
        return find(species, id, trade.known().species(), "tree.species", "species");
    }

    /**
     * The training system with this id, if it is one for the species.
     *
     * @throws NotSupported when no file covers it or it is not for this species
     */
    public TrainingSystem system(String id, Species of) {
        TrainingSystem system = find(systems, id, trade.known().systems(), "tree.system", "training system");
        if (!system.species().contains(of.id())) {
            throw new NotSupported(
                    "tree.system",
                    true,
                    "Not yet supported: " + of.names().one() + " as " + system.name() + ". Supported for it: "
                            + systemsFor(of) + ".");
        }
        return system;
    }

    /**
     * The school with this id.
     *
     * @throws NotSupported when there is none
     */
    public School school(String id) {
        return find(schools, id, List.of(), "school", "school");
    }

    /** Every supported species, by id. */
    public List<Species> allSpecies() {
        return List.copyOf(species.values());
    }

    /** Every supported system, by id. */
    public List<TrainingSystem> allSystems() {
        return List.copyOf(systems.values());
    }

    /** Every school, by id. */
    public List<School> allSchools() {
        return List.copyOf(schools.values());
    }

    /** General numbers of the trade. */
    public Trade trade() {
        return trade;
    }

    /** What a plan weighs. */
    public PlanRules plan() {
        return plan;
    }

    /** All cautions, in the order they are shown. */
    public List<Caution> cautions() {
        return cautions;
    }

    private List<String> systemsFor(Species of) {
        return systems.values().stream()
                .filter(system -> system.species().contains(of.id()))
                .map(TrainingSystem::id)
                .toList();
    }

    private static <T> T find(Map<String, T> among, String id, List<String> known, String field, String kind) {
        T found = among.get(id);
        if (found == null) {
            boolean isKnown = known.contains(id);
            throw new NotSupported(
                    field,
                    isKnown,
                    (isKnown ? "Not yet supported: the " + kind + " '" : "Unknown " + kind + " '") + id
                            + "'. Supported: " + among.keySet() + ".");
        }
        return found;
    }

    private static School loadSchool(String id) {
        String path = "schools/" + id + ".yaml";
        JsonNode own = tree(path);
        JsonNode base = own.path("base");
        JsonNode whole = base.isString() ? overlay(tree("schools/" + base.asString() + ".yaml"), own) : own;
        return convert(whole, School.class, path);
    }

    private static JsonNode overlay(JsonNode below, JsonNode above) {
        ObjectNode merged = ((ObjectNode) below).deepCopy();
        above.properties().forEach(entry -> {
            JsonNode under = merged.get(entry.getKey());
            merged.set(
                    entry.getKey(),
                    under != null && under.isObject() ? overlay(under, entry.getValue()) : entry.getValue());
        });
        return merged;
    }

    private static JsonNode tree(String path) {
        return read(path, in -> YAML.readTree(in));
    }

    private static <T> T load(String path, Class<T> type) {
        return read(path, in -> YAML.readValue(in, type));
    }

    private static <T> T convert(JsonNode node, Class<T> type, String path) {
        try {
            return YAML.treeToValue(node, type);
        } catch (JacksonException e) {
            throw broken(path, e);
        }
    }

    private static <T> T read(String path, java.util.function.Function<InputStream, T> reader) {
        try (InputStream in = Knowledge.class.getResourceAsStream("/knowledge/" + path)) {
            return reader.apply(in);
        } catch (JacksonException e) {
            throw broken(path, e);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static BrokenKnowledge broken(String path, JacksonException e) {
        int line = e.getLocation() == null ? 0 : e.getLocation().getLineNr();
        return new BrokenKnowledge(
                "Knowledge file " + path + (line > 0 ? ", line " + line : "") + ": " + e.getOriginalMessage(), e);
    }

    private static final class Shipped {
        private static final Knowledge KNOWLEDGE = new Knowledge();
    }
}
