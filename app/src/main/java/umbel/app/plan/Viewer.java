package umbel.app.plan;

/**
 * Who looks at a tree.
 *
 * @param adviser whether what they mark is a suggestion
 */
record Viewer(String name, boolean adviser) {}
