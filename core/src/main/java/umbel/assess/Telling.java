package umbel.assess;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import umbel.text.Speech;
import umbel.text.Statement;

/** Says the texts of one object of an answer, and keeps what each of them states by the name of its field. */
final class Telling {

    private final Speech speech;
    private final Map<String, List<StatementAnswer>> statements = new LinkedHashMap<>();

    Telling(Speech speech) {
        this.speech = speech;
    }

    /** A statement in words; empty for null. */
    String say(String field, Statement statement) {
        return statement == null ? "" : say(field, List.of(statement));
    }

    /** Statements one after another in words. */
    String say(String field, List<Statement> said) {
        keep(field, said);
        return speech.say(said);
    }

    /** A list of texts, a statement each. */
    List<String> each(String field, List<Statement> said) {
        keep(field, said);
        return said.stream().map(speech::say).toList();
    }

    /** What was said, by field; each text may be several statements, one sentence after another. */
    Map<String, List<StatementAnswer>> statements() {
        return statements;
    }

    private void keep(String field, List<Statement> said) {
        statements.put(field, said.stream().map(StatementAnswer::of).toList());
    }
}
