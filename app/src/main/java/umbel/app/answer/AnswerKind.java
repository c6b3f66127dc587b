package umbel.app.answer;

/** What is told about a survey. */
public enum AnswerKind {
    /** The tree drawn and read. */
    PAGE,
    /** The tree with nothing marked on it. */
    NOTHING_MARKED,
    /** The recommended plan. */
    FIRST_PLAN,
    /** All plans, with the seasons after them. */
    PLANS
}
