package umbel.knowledge;

import java.util.List;

/**
 * A word of the trade; from {@code knowledge/glossary.yaml}.
 *
 * @param group part, bud, cut, training, growth or crop
 * @param means what it is, in one or two sentences
 * @param at where the drawing of a tree's parts points; null where it is not drawn
 */
public record GlossaryTerm(String id, String group, String name, String means, At at) {

    /** A place on an axis of the drawn tree, as a share of its length from its origin. */
    public record At(String axis, double share) {}

    /** The file: all terms in the order in which they are told. */
    public record Glossary(List<GlossaryTerm> terms) {

        public Glossary {
            terms = List.copyOf(terms);
        }
    }
}
