package umbel.knowledge;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import umbel.format.FormatCheck;
import umbel.text.Statement;
import umbel.text.Value;

/**
 * All knowledge files, loaded and checked once: those that ship, and over them those an adviser or grower keeps in a
 * folder of his own. Species, systems, schools and counted kinds may build on another of their kind by {@code base}; each is held against
 * its JSON Schema ({@code formats/umbel-species-1.schema.json} and its like), a folder in which all files ship by a test and not
 * at every start. A faulty file is refused with its name, line and reason.
 */
public final class Knowledge {

    private static final Map<String, String> SCHEMAS = Map.of(
            "species", "umbel-species-1",
            "systems", "umbel-system-1",
            "schools", "umbel-school-1",
            "counted", "umbel-counted-kind-1");

    private static final String CULTIVARS = "cultivars.yaml";
    private static final String ROOTSTOCKS = "rootstocks.yaml";

    private final Map<String, Species> species = new TreeMap<>();
    private final Map<String, TrainingSystem> systems = new TreeMap<>();
    private final Map<String, School> schools = new TreeMap<>();
    private final Map<String, KnowledgeFile> schoolFiles = new LinkedHashMap<>();
    private final Map<String, CountedKind> counted = new TreeMap<>();
    private final CountingParameters counting;
    private final InstructionParameters instruction;
    private final PracticeParameters practice;
    private final List<CutCard> cutCards;
    private final List<GlossaryTerm> glossary;
    private final List<SchoolQuestion> schoolQuestions;
    private final PlantingParameters planting;
    private final PhotographParameters photographs;
    private final List<Cultivar> cultivars;
    private final List<Rootstock> rootstocks;
    private final Parameters parameters;
    private final List<Caution> cautions;
    private final PlanParameters plan;

    private record Contents(List<String> species, List<String> systems, List<String> schools, List<String> counted) {}

    private record RuleList(Map<String, RuleKnowledge> rules) {}

    private record Cautions(List<Caution> cautions) {}

    private record Cultivars(List<Cultivar> cultivars) {}

    private record Rootstocks(List<Rootstock> rootstocks) {}

    private Knowledge(Path own, boolean checkShipped) {
        parameters = shippedFile("parameters.yaml").as(Parameters.class);
        cautions = List.copyOf(shippedFile("cautions.yaml").as(Cautions.class).cautions());
        plan = shippedFile("plan.yaml")
                .as(PlanParameters.class)
                .with(shippedFile("rules.yaml").as(RuleList.class).rules());
        counting = shippedFile("counting.yaml").as(CountingParameters.class);
        instruction = shippedFile("instruction.yaml").as(InstructionParameters.class);
        practice = shippedFile("practice.yaml").as(PracticeParameters.class);
        cutCards = shippedFile("cuts.yaml").as(CutCard.Cards.class).cuts();
        glossary = shippedFile("glossary.yaml").as(GlossaryTerm.Glossary.class).terms();
        schoolQuestions =
                shippedFile("questions.yaml").as(SchoolQuestion.Questions.class).questions();
        planting = shippedFile("planting.yaml").as(PlantingParameters.class);
        photographs = shippedFile("photographs.yaml").as(PhotographParameters.class);
        Contents contents = shippedFile("contents.yaml").as(Contents.class);
        load("species", contents.species(), own, checkShipped)
                .forEach((id, file) -> species.put(id, file.as(Species.class)));
        Map<String, KnowledgeFile> systemFiles = load("systems", contents.systems(), own, checkShipped);
        systemFiles.forEach((id, file) -> systems.put(id, file.as(TrainingSystem.class)));
        schoolFiles.putAll(load("schools", contents.schools(), own, checkShipped));
        schoolFiles.forEach((id, file) -> schools.put(id, file.as(School.class)));
        load("counted", contents.counted(), own, checkShipped)
                .forEach((id, file) -> counted.put(id, file.as(CountedKind.class)));
        cultivars = ownCultivars(own);
        rootstocks = ownRootstocks(own);
    }

    /** The knowledge that ships with the program. */
    public static Knowledge shipped() {
        return Shipped.KNOWLEDGE;
    }

    /**
     * The shipped knowledge with a folder's own files over it: {@code species/*.yaml}, {@code systems/*.yaml},
     * {@code schools/*.yaml}, {@code counted/*.yaml}, {@code cultivars.yaml}, {@code rootstocks.yaml}, each of which may be missing.
     *
     * @throws BrokenKnowledge naming file, line and reason when a file cannot be used
     */
    public static Knowledge with(Path own) {
        return isEmpty(own) ? shipped() : new Knowledge(own, false);
    }

    private static boolean isEmpty(Path own) {
        return SCHEMAS.keySet().stream()
                        .allMatch(folder -> ownFiles(own, folder).isEmpty())
                && Stream.of(CULTIVARS, ROOTSTOCKS).noneMatch(name -> isThere(own, name));
    }

    private static boolean isThere(Path own, String name) {
        return own != null && Files.isRegularFile(own.resolve(name));
    }

    /** The knowledge that ships, every file of it held against its schema: what a start takes for granted. */
    static Knowledge shippedAndChecked() {
        return new Knowledge(null, true);
    }

    /**
     * The species with this id.
     *
     * @throws NotSupported when no file covers it
     */
    public Species species(String id) {
        return find(species, id, "tree.species");
    }

    /**
     * The kind of bush, cane or vine with this id.
     *
     * @throws NotSupported when no file covers it
     */
    public CountedKind counted(String id) {
        return find(counted, id, "plant.kind");
    }

    /** Whether this id is that of a bush, cane or vine. */
    public boolean isCounted(String id) {
        return counted.containsKey(id);
    }

    /** Every supported kind of bush, cane or vine, by id. */
    public List<CountedKind> allCounted() {
        return List.copyOf(counted.values());
    }

    /**
     * The training system with this id. Any kind of tree may be read in any system; {@link Species#systems()} names the usual
     * ones.
     *
     * @throws NotSupported when no file covers it
     */
    public TrainingSystem system(String id) {
        return find(systems, id, "tree.system");
    }

    /**
     * The school with this id.
     *
     * @throws NotSupported when there is none
     */
    public School school(String id) {
        return find(schools, id, "school");
    }

    /**
     * A school with some lines set otherwise by the grower.
     *
     * @param lines new values by line name, as {@code limbRatio}; of thresholds or preferences
     * @throws NotSupported when the school or a line is unknown, or a value out of its range
     */
    public School school(String id, Map<String, Object> lines) {
        School usual = school(id);
        if (lines.isEmpty()) {
            return usual;
        }
        return SchoolLines.changed(schoolFiles.get(id), lines);
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

    /** Cultivars named in the own folder, as written. */
    public List<Cultivar> cultivars() {
        return cultivars;
    }

    /** Rootstocks named in the own folder, as written. */
    public List<Rootstock> rootstocks() {
        return rootstocks;
    }

    /** The cultivar of this name, if somebody named it; letter case does not count. */
    public Optional<Cultivar> cultivar(String species, String name) {
        return cultivars.stream()
                .filter(one -> one.species().equals(species) && one.name().equalsIgnoreCase(name.strip()))
                .findFirst();
    }

    /** The rootstock of this name, if somebody named it. */
    public Optional<Rootstock> rootstock(String name) {
        return rootstocks.stream()
                .filter(one -> one.name().equalsIgnoreCase(name.strip()))
                .findFirst();
    }

    /** Numbers that depend on neither species, system nor school. */
    public Parameters parameters() {
        return parameters;
    }

    /** What a plan weighs. */
    public PlanParameters plan() {
        return plan;
    }

    /** How a tree is measured in photographs. */
    public PhotographParameters photographs() {
        return photographs;
    }

    /** What a planting costs and takes where nobody says otherwise. */
    public PlantingParameters planting() {
        return planting;
    }

    /** The questions on which practitioners differ, in the order in which they are told. */
    public List<SchoolQuestion> schoolQuestions() {
        return schoolQuestions;
    }

    /** How each piece of work is done, in the order of the guide. */
    public List<CutCard> cutCards() {
        return cutCards;
    }

    /** The words of the trade, in the order in which they are told. */
    public List<GlossaryTerm> glossary() {
        return glossary;
    }

    /** Numbers of practice. */
    public PracticeParameters practice() {
        return practice;
    }

    /** Numbers of a block's instruction. */
    public InstructionParameters instruction() {
        return instruction;
    }

    /** Numbers for bushes, canes and vines that do not depend on their kind. */
    public CountingParameters counting() {
        return counting;
    }

    /** All cautions, in the order they are shown. */
    public List<Caution> cautions() {
        return cautions;
    }

    private static <T> T find(Map<String, T> among, String id, String field) {
        T found = among.get(id);
        if (found == null) {
            throw new NotSupported(
                    field,
                    Statement.of("problem.not-supported")
                            .with("value", Value.name(id))
                            .with("values", Value.name(String.join(", ", among.keySet()))));
        }
        return found;
    }

    /** Files of one folder by id, each over its base; checked where some of them do not ship, or where it is asked for. */
    private static Map<String, KnowledgeFile> load(
            String folder, List<String> shipped, Path own, boolean checkShipped) {
        Map<String, KnowledgeFile> files = new LinkedHashMap<>();
        for (String id : shipped) {
            files.put(id, shippedFile(folder + "/" + id + ".yaml"));
        }
        List<Path> added = ownFiles(own, folder);
        for (Path path : added) {
            KnowledgeFile file = KnowledgeFile.read(path.toString(), text(path));
            String id = path.getFileName().toString().replaceFirst("\\.ya?ml$", "");
            if (!file.values().path("id").asString("").equals(id)) {
                throw file.refuse("id", "id must be the file's name, '" + id + "'.");
            }
            files.put(id, file);
        }
        Map<String, KnowledgeFile> whole = new TreeMap<>();
        files.forEach((id, file) -> whole.put(id, overBases(file, folder, files, new LinkedHashSet<>(Set.of(id)))));
        if (checkShipped || !added.isEmpty()) {
            FormatCheck schema = new FormatCheck(SCHEMAS.get(folder));
            whole.values().forEach(file -> file.checkedBy(schema));
        }
        return whole;
    }

    private static KnowledgeFile overBases(
            KnowledgeFile file, String folder, Map<String, KnowledgeFile> files, Set<String> seen) {
        String base = file.base();
        if (base.isEmpty()) {
            return file;
        }
        KnowledgeFile below = files.get(base);
        if (below == null) {
            throw file.refuse("base", "There is no '" + base + "' among the " + folder + " to build on.");
        }
        if (!seen.add(base)) {
            throw file.refuse("base", "It builds on itself by way of '" + base + "'.");
        }
        return file.over(overBases(below, folder, files, seen));
    }

    private static List<Cultivar> ownCultivars(Path own) {
        return ownList(own, CULTIVARS, "umbel-cultivars-1")
                .map(file -> file.as(Cultivars.class).cultivars())
                .orElse(List.of());
    }

    private static List<Rootstock> ownRootstocks(Path own) {
        return ownList(own, ROOTSTOCKS, "umbel-rootstocks-1")
                .map(file -> file.as(Rootstocks.class).rootstocks())
                .orElse(List.of());
    }

    private static Optional<KnowledgeFile> ownList(Path own, String name, String schema) {
        if (!isThere(own, name)) {
            return Optional.empty();
        }
        Path path = own.resolve(name);
        return Optional.of(KnowledgeFile.read(path.toString(), text(path)).checkedBy(new FormatCheck(schema)));
    }

    private static List<Path> ownFiles(Path own, String folder) {
        if (own == null || !Files.isDirectory(own.resolve(folder))) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(own.resolve(folder))) {
            List<Path> found = new ArrayList<>(files.filter(path -> path.getFileName()
                            .toString()
                            .toLowerCase(Locale.ROOT)
                            .matches(".*\\.ya?ml"))
                    .toList());
            found.sort(Path::compareTo);
            return found;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static String text(Path path) {
        try {
            return Files.readString(path);
        } catch (IOException e) {
            throw new BrokenKnowledge("Knowledge file " + path + ", line 1: cannot be read as text.", e);
        }
    }

    private static KnowledgeFile shippedFile(String path) {
        try (InputStream in = Knowledge.class.getResourceAsStream("/knowledge/" + path)) {
            if (in == null) {
                throw new BrokenKnowledge("Knowledge file " + path + ", line 1: it is listed but missing.", null);
            }
            return KnowledgeFile.read(path, new String(in.readAllBytes(), StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static final class Shipped {
        private static final Knowledge KNOWLEDGE = new Knowledge(null, false);
    }
}
