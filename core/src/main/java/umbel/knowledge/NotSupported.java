package umbel.knowledge;

import umbel.text.Speech;
import umbel.text.Statement;

/** A species, system, school or line of a school that no knowledge file covers. */
public final class NotSupported extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final String field;
    private final transient Statement what;

    /**
     * @param field the survey's or request's field, as {@code tree.species}
     * @param what what is wrong, and what there is instead
     */
    public NotSupported(String field, Statement what) {
        super(Speech.english().say(what));
        this.field = field;
        this.what = what;
    }

    /** The field that names what is not supported. */
    public String field() {
        return field;
    }

    /** What is wrong. */
    public Statement what() {
        return what;
    }
}
