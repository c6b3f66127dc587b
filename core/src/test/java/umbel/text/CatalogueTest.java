package umbel.text;

import static org.assertj.core.api.Assertions.assertThat;

import com.ibm.icu.text.MessageFormat;
import com.ibm.icu.util.ULocale;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
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

    private static final Pattern CODE = Pattern.compile("Statement\\.of\\(\\s*\"([a-z0-9.-]+)\"\\)");
    private static final Pattern WORD = Pattern.compile("\"([a-z0-9.-]+)\"");
    private static final Path SOURCES = Path.of("src/main/java");

    /** Codes that are put together from a word: a tool, a stage, a compass point. */
    private static final Set<String> FAMILIES = Set.of(
            "compass.",
            "follow-up.",
            "follow-up-name.",
            "instruction.",
            "instruction-paper.",
            "planting.",
            "condition.",
            "rule.",
            "tool.",
            "step.title.",
            "step.place.",
            "step.held.",
            "stage.",
            "block.even.",
            "measure.",
            "count.finding.",
            "count.rule.",
            "count.why.",
            "count.title.",
            "count.place.");

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
        try (Stream<Path> files = Files.walk(SOURCES)) {
            for (Path file :
                    files.filter(one -> one.toString().endsWith(".java")).toList()) {
                Matcher code = pattern.matcher(Files.readString(file));
                while (code.find()) {
                    codes.add(code.group(1));
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
                collect(YAMLMapper.builder().build().readTree(file.toFile()), sentences);
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
            boolean named = text.length() > 3 && Character.isUpperCase(text.charAt(0));
            if ((named || text.contains(" ")) && !text.matches("M\\d.*")) {
                sentences.add(text);
            }
        }
        node.forEach(one -> collect(one, sentences));
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
