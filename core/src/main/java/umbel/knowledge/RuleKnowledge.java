package umbel.knowledge;

import java.util.List;

/**
 * What is known of one rule of reading; from {@code knowledge/rules.yaml}.
 *
 * @param cost what one certain finding of it costs a tree, before the weight of the goal; 0 where it is weighed otherwise
 * @param proven whether it weighs less on a union that has held for years; null for no
 * @param name what a grower calls it
 * @param leaving what comes of leaving it as it is; null where no cut answers it
 * @param sees what is seen
 * @param why why it matters
 * @param does what is done
 */
public record RuleKnowledge(
        double cost, Boolean proven, String name, String leaving, String sees, String why, String does, Figure figure) {

    /** Whether it weighs less on a union that has held for years. */
    public boolean isProven() {
        return Boolean.TRUE.equals(proven);
    }

    /**
     * A rule drawn in a few strokes on a field of 100 by 100, y down. Strokes are SVG path data.
     *
     * @param wood strokes of wood
     * @param marked strokes of the wood the rule is about; null for none
     * @param line what it is measured by; null for none
     * @param dots fruit and patches of light and shade; null for none
     */
    public record Figure(List<String> wood, List<String> marked, List<String> line, List<Dot> dots) {

        public Figure {
            marked = marked == null ? List.of() : marked;
            line = line == null ? List.of() : line;
            dots = dots == null ? List.of() : dots;
        }
    }

    /** A fruit, or a patch of light or shade: {@code kind} is fruit, light or shade. */
    public record Dot(double x, double y, String kind) {}
}
