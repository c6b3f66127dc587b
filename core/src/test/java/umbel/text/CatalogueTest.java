package umbel.text;

import static org.assertj.core.api.Assertions.assertThat;

import com.ibm.icu.text.MessageFormat;
import com.ibm.icu.util.ULocale;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.dataformat.yaml.YAMLMapper;
import umbel.reading.Rules;

/** Every text stands in every language, with the same values, and none is left that nobody says. */
class CatalogueTest {

    private static final Pattern CODE =
            Pattern.compile("Statement\\.of\\(\\s*\"([a-z0-9.-]+)\"\\)|\"(problem\\.[a-z0-9-]+)\"");
    private static final Pattern WORD = Pattern.compile("\"([a-z0-9.-]+)\"");
    private static final List<Path> SOURCES = List.of(Path.of("src/main/java"), Path.of("../app/src/main/java"));

    /** Codes that are put together from a word: a tool, a stage, a compass point. */
    private static final Set<String> FAMILIES = Set.of(
            "compass.",
            "follow-up.",
            "follow-up-name.",
            "instruction.",
            "instruction-paper.",
            "planting.",
            "condition.",
            "crew.",
            "rule.",
            "eye.skill.",
            "tool.",
            "step.title.",
            "step.place.",
            "step.held.",
            "stage.",
            "block.even.",
            "schedule-again.",
            "measure.",
            "count.finding.",
            "count.rule.",
            "count.why.",
            "count.title.",
            "count.place.",
            "problem-title.");

    private static Set<String> names(String message, String language) {
        return new MessageFormat(message, ULocale.forLanguageTag(language))
                .getArgumentNames().stream()
                        .map(name -> name.substring(0, 1).toLowerCase() + name.substring(1))
                        .collect(Collectors.toCollection(TreeSet::new));
    }

    /** Codes said as they are. */
    private static Set<String> saidInCode() throws IOException {
        return foundInCode(CODE);
    }

    private static Set<String> foundInCode(Pattern pattern) throws IOException {
        Set<String> codes = new TreeSet<>();
        for (Path sources : SOURCES) {
            try (Stream<Path> files = Files.walk(sources)) {
                for (Path file :
                        files.filter(one -> one.toString().endsWith(".java")).toList()) {
                    Matcher code = pattern.matcher(Files.readString(file));
                    while (code.find()) {
                        codes.add(code.group(code.group(1) == null ? 2 : 1));
                    }
                }
            }
        }
        return codes;
    }

    @Test
    void everyTextIsTranslatedAndNeedsTheSameValues() {
        Catalogue english = Catalogue.of("en");
        for (String language : Catalogue.LANGUAGES) {
            Catalogue other = Catalogue.of(language);
            assertThat(other.codes()).as(language).isEqualTo(english.codes());
            for (String code : english.codes()) {
                assertThat(names(other.message(code), language))
                        .as(language + " " + code)
                        .isEqualTo(names(english.message(code), "en"));
            }
        }
    }

    @Test
    void whatTheCodeSaysHasAText() throws IOException {
        assertThat(Catalogue.of("en").codes()).containsAll(saidInCode());
    }

    @Test
    void noTextStandsThereThatNobodySays() throws IOException {
        Set<String> said = foundInCode(WORD);
        List<String> idle = Catalogue.of("en").codes().stream()
                .filter(code -> !said.contains(code))
                .filter(code -> FAMILIES.stream().noneMatch(code::startsWith))
                .filter(code -> !Set.of("unit.per-metre", "unit.per-foot").contains(code))
                .toList();
        assertThat(idle).isEmpty();
    }

    @Test
    void whatTheKnowledgeFilesSayIsTranslatedAndNothingElse() throws IOException {
        Set<String> sentences = new TreeSet<>();
        try (Stream<Path> files = Files.walk(Path.of("src/main/resources/knowledge"))) {
            for (Path file :
                    files.filter(one -> one.toString().endsWith(".yaml")).toList()) {
                JsonNode knowledge = YAMLMapper.builder().build().readTree(file.toFile());
                collect(knowledge, sentences);
                if (file.getParent().endsWith("counted")) {
                    knowledge.path("systems").forEach(system -> sentences.add(system.asString()));
                }
            }
        }
        for (String language : Catalogue.LANGUAGES) {
            if (!language.equals("en")) {
                assertThat(Catalogue.of(language).knownSentences()).isEqualTo(sentences);
            }
        }
    }

    /** Sentences and names: what has a space or begins with a capital; the strokes of a figure do not count. */
    private static void collect(JsonNode node, Set<String> sentences) {
        if (node.isString()) {
            String text = node.asString();
            boolean named = text.length() > 2 && Character.isUpperCase(text.charAt(0));
            if ((named || text.contains(" ")) && !text.matches("M\\d.*")) {
                sentences.add(text);
            }
        }
        node.path("transmissible").forEach(disease -> sentences.add(disease.asString()));
        node.path("dressedAgainst").forEach(disease -> sentences.add(disease.asString()));
        node.forEach(one -> collect(one, sentences));
    }

    /** A sentence in the code: three words or more, a space between them, in one literal. */
    private static final Pattern SENTENCE =
            Pattern.compile("\"[^\"\\n]*[A-Za-z]{2,} [A-Za-z]{2,} [A-Za-z]{2,}[^\"\\n]*\"");
    /** What is not said to a reader: failures of the program itself, its log and its console, queries, and what is called by name. */
    private static final Pattern NOT_SAID = Pattern.compile(
            "throw new|FailureAnalysis\\(|collection\\.put|LOG\\.|System\\.(out|err)|Exception\\(|gaps\\.add|refuse\\(|broken\\(|BrokenKnowledge|asConstraint"
                    + "|Pattern\\.compile|select |insert into |order by|group by| and [a-z]\\.| from | sum\\(| count\\(|case when|-src '|encode\\(|\\.execute\\(");
    /** The demo speaks as its people wrote; the console and the published description of the API are English. */
    private static final Set<String> NOT_READ = Set.of("demo", "UmbelApplication.java", "ApiDescription.java");

    @Test
    void noSentenceIsLeftInTheCode() throws IOException {
        List<String> left = new ArrayList<>();
        for (Path sources : SOURCES) {
            try (Stream<Path> files = Files.walk(sources)) {
                for (Path file : files.filter(one -> one.toString().endsWith(".java"))
                        .filter(one -> NOT_READ.stream()
                                .noneMatch(name -> one.toString().contains(name)))
                        .toList()) {
                    sentences(file).forEach(left::add);
                }
            }
        }
        assertThat(left).isEmpty();
    }

    /** Statements of a file with a sentence that is said to somebody; comments do not count. */
    private static List<String> sentences(Path file) throws IOException {
        String code = Files.readString(file)
                .replaceAll("(?s)/\\*.*?\\*/", "")
                .replaceAll("(?m)//.*$", "")
                .replaceAll("@(Operation|Tag|Schema|Query)\\([^;{]*", "");
        return Stream.of(code.split("[;{}]"))
                .filter(statement -> SENTENCE.matcher(statement).find())
                .filter(statement -> !NOT_SAID.matcher(statement).find())
                .map(statement -> file.getFileName() + ": " + statement.strip())
                .toList();
    }

    @Test
    void everyRuleHasAName() {
        Rules.all()
                .forEach(rule -> assertThat(Catalogue.of("en").has("rule." + rule.id()))
                        .as(rule.id())
                        .isTrue());
    }

    @Test
    void anUnknownLanguageIsAnsweredInEnglish() {
        assertThat(Catalogue.of("xx").language()).isEqualTo("en");
    }
}
