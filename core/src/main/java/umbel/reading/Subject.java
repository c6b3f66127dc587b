package umbel.reading;

/** What a rule speaks of; tells when two findings of it, made on two looks at a tree, are the same. */
public enum Subject {
    /** One limb, or shoots standing on it: the first one named. */
    LIMB,
    /** Two limbs, in either order. */
    PAIR,
    /** A group of small wood on one limb. */
    GROUP,
    /** The tree; the limbs named may be others on a later look. */
    TREE
}
