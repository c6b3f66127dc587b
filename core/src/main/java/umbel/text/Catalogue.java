package umbel.text;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** The messages of one language, in ICU syntax; from {@code texts/<language>.json}. */
public final class Catalogue {

    /** The languages there are, as a regular expression. */
    public static final String ANY_LANGUAGE = "en|es";

    /** The languages there are; the first is taken where another is asked for. */
    public static final List<String> LANGUAGES = List.of(ANY_LANGUAGE.split("\\|"));

    private static final Map<String, Catalogue> LOADED = new ConcurrentHashMap<>();

    private final String language;
    private final Map<String, String> messages;
    private final Map<String, String> knowledge;

    private Catalogue(String language) {
        this.language = language;
        messages = read(language);
        knowledge = language.equals(LANGUAGES.get(0)) ? Map.of() : read("knowledge-" + language);
    }

    private static Map<String, String> read(String file) {
        try (InputStream in = Catalogue.class.getResourceAsStream("/texts/" + file + ".json")) {
            return new TreeMap<>(
                    JsonMapper.builder().build().readValue(in, new TypeReference<Map<String, String>>() {}));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The catalogue of a language; that of the first where there is none. */
    public static Catalogue of(String language) {
        return LOADED.computeIfAbsent(LANGUAGES.contains(language) ? language : LANGUAGES.get(0), Catalogue::new);
    }

    /** Its language. */
    public String language() {
        return language;
    }

    /**
     * A message.
     *
     * @throws IllegalArgumentException where there is none
     */
    public String message(String code) {
        String message = messages.get(code);
        if (message == null) {
            throw new IllegalArgumentException("No text for '" + code + "' in " + language + ".");
        }
        return message;
    }

    /**
     * What a knowledge file says, in this language; as it stands where it has no translation, as in a grower's own files. A name
     * in the middle of a sentence is found by its capital.
     */
    public String knowledge(String text) {
        if (text == null || text.isEmpty() || knowledge.isEmpty()) {
            return text;
        }
        String exact = knowledge.get(text);
        if (exact != null) {
            return exact;
        }
        String atTheHead = knowledge.get(text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1));
        return atTheHead == null ? text : atTheHead.substring(0, 1).toLowerCase(Locale.ROOT) + atTheHead.substring(1);
    }

    /** Every sentence of the knowledge files that has a translation. */
    Set<String> knownSentences() {
        return knowledge.keySet();
    }

    /** Whether there is a message. */
    public boolean has(String code) {
        return messages.containsKey(code);
    }

    /** Every code there is. */
    public Set<String> codes() {
        return messages.keySet();
    }
}
