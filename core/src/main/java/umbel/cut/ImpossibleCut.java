package umbel.cut;

import umbel.text.Speech;
import umbel.text.Statement;

/** An operation that cannot be made on this tree. */
public final class ImpossibleCut extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final String field;
    private final transient Statement what;

    /**
     * @param field the operation's field that is wrong
     * @param what what is wrong, and what there is instead
     */
    public ImpossibleCut(String field, Statement what) {
        super(Speech.english().say(what));
        this.field = field;
        this.what = what;
    }

    /** The operation's field that is wrong. */
    public String field() {
        return field;
    }

    /** What is wrong. */
    public Statement what() {
        return what;
    }
}
