package umbel.assess;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.text.MessageFormat;
import java.util.Locale;
import java.util.Map;
import java.util.Properties;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import umbel.cut.Operation;
import umbel.cut.Target;
import umbel.knowledge.Caution;
import umbel.wood.Attitude;
import umbel.wood.ShootClass;
import umbel.wood.Units;

/** Few words for those who cut, in their own language; the texts are files, one a language. */
public final class CrewText {

    /** Languages there are, by their two letters. */
    public static final Set<String> LANGUAGES = Set.of("en", "es");

    private static final Map<String, CrewText> LOADED = new ConcurrentHashMap<>();

    private final Properties texts = new Properties();

    private CrewText(String language) {
        try (InputStream in = CrewText.class.getResourceAsStream("/crew/" + language + ".properties")) {
            texts.load(new InputStreamReader(in, StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The words of a language; English where there is no such file. */
    public static CrewText in(String language) {
        return LOADED.computeIfAbsent(LANGUAGES.contains(language) ? language : "en", CrewText::new);
    }

    /** A step's head. */
    public String title(Operation operation) {
        String limb = limb(operation.onLimb());
        String other = operation.onGroup() ? group(operation.target()) : limb(operation.toLimb());
        String count = operation.keep() > 0 ? String.valueOf(operation.keep()) : other;
        String measure = Double.isNaN(operation.toAngle())
                ? whole(Units.toCm(operation.at()))
                : whole(Units.toDegrees(operation.toAngle()));
        String key = operation.kind().word();
        if (key.equals("remove")) {
            key = operation.keep() > 0 ? "thin" : operation.onGroup() ? "remove.group" : key;
        }
        if (operation.onBuds()) {
            key = "rub.buds";
        }
        return say(key, limb, measure, key.equals("short-spur") ? other : count);
    }

    /** A text by its key. */
    public String say(String key, Object... values) {
        return new MessageFormat(texts.getProperty(key, key).replace("'", "''"), Locale.ROOT).format(values);
    }

    /** A caution, as translated where it is. */
    public String caution(Caution caution) {
        return texts.getProperty("caution." + caution.id(), caution.text());
    }

    /** All keys there are texts for. */
    Set<String> keys() {
        return texts.stringPropertyNames();
    }

    private String limb(String id) {
        return id.equals("trunk") ? say("trunk") : say("limb", id);
    }

    private String group(Target target) {
        String which = target instanceof Target.Shoots shoots
                ? shoots.shootClass()
                        .map(ShootClass::word)
                        .or(() -> shoots.attitude().map(Attitude::word))
                        .orElse("all")
                : target.path().substring(target.path().lastIndexOf('/') + 1);
        return texts.containsKey("group." + which) ? say("group." + which) : say("group.all");
    }

    private static String whole(double value) {
        return String.format(Locale.ROOT, "%.0f", value);
    }
}
