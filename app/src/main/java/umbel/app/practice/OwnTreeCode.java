package umbel.app.practice;

import umbel.app.http.NotFound;

/** What exercises on trees of the farm are called by: the number of the tree. */
public final class OwnTreeCode {

    private static final String PREFIX = "tree-";

    private OwnTreeCode() {}

    /** What an exercise on a tree is called. */
    public static String of(long tree) {
        return PREFIX + tree;
    }

    /** Whether a code is that of a tree of the farm. */
    public static boolean isOne(String code) {
        return code.startsWith(PREFIX);
    }

    /**
     * The tree of a code.
     *
     * @throws NotFound where the code tells none
     */
    public static long treeOf(String code) {
        try {
            return Long.parseLong(code.substring(PREFIX.length()));
        } catch (NumberFormatException e) {
            throw new NotFound("exercise", code);
        }
    }
}
