package umbel.app.orchard;

/** Whether anything was kept about a tree that would be lost with it; each part of the program answers for what it keeps. */
public interface TreeRecords {

    /** Whether something is kept about a tree. */
    boolean hasAny(long treeId);

    /** Whether something is kept about a block itself, apart from its trees. */
    boolean hasAnyOfBlock(long blockId);
}
