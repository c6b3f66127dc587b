package umbel.assess;

import umbel.cut.Operation;
import umbel.cut.Target;
import umbel.knowledge.Caution;
import umbel.text.Catalogue;
import umbel.text.Speech;
import umbel.text.Statement;
import umbel.text.UnitSystem;
import umbel.text.Value;
import umbel.wood.Attitude;
import umbel.wood.ShootClass;

/** Few words for those who cut, in their own language and units: the texts {@code crew.…} of the catalogue. */
public final class CrewText {

    private static final String FAMILY = "crew.";

    private final Speech speech;

    private CrewText(Speech speech) {
        this.speech = speech;
    }

    /** The words of a language, in English where there is no such one. */
    public static CrewText in(String language, UnitSystem units) {
        return new CrewText(Speech.of(language, units));
    }

    /** A step's head. */
    public String title(Operation operation) {
        String key = operation.kind().word();
        if (key.equals("remove")) {
            String thin = operation.shortensWhatStays() ? "thin-shorten" : "thin";
            key = operation.keep() > 0 ? thin : operation.onGroup() ? "remove.group" : key;
        }
        if (operation.onBuds()) {
            key = "rub.buds";
        }
        String other = operation.onGroup() ? group(operation.target()) : limb(operation.toLimb());
        boolean counted = operation.keep() > 0 && !key.equals("short-spur");
        Value at =
                Double.isNaN(operation.toAngle()) ? Value.length(operation.at()) : new Value.Angle(operation.toAngle());
        return speech.say(statement(key)
                .with("limb", Value.name(limb(operation.onLimb())))
                .with("at", at)
                .with("count", counted ? Value.count(operation.keep()) : Value.name(other)));
    }

    /** A text that needs no values. */
    public String say(String key) {
        return speech.say(statement(key));
    }

    /** A statement of these texts. */
    public String say(Statement statement) {
        return speech.say(statement);
    }

    /** What a knowledge file says, in this language. */
    public String knowledge(String text) {
        return speech.knowledge(text);
    }

    /** A caution, in this language. */
    public String caution(Caution caution) {
        return speech.knowledge(caution.text());
    }

    /** A statement of these texts, to be given its values. */
    public static Statement statement(String key) {
        return Statement.of(FAMILY + key);
    }

    private String limb(String id) {
        return id.equals("trunk") ? say("trunk") : speech.say(statement("limb").with("limb", Value.name(id)));
    }

    private String group(Target target) {
        String which = target instanceof Target.Shoots shoots
                ? shoots.shootClass()
                        .map(ShootClass::word)
                        .or(() -> shoots.attitude().map(Attitude::word))
                        .orElse("all")
                : target.path().substring(target.path().lastIndexOf('/') + 1);
        boolean named = Catalogue.of(speech.language()).has(FAMILY + "group." + which);
        return say(named ? "group." + which : "group.all");
    }
}
