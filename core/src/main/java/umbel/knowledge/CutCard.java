package umbel.knowledge;

import java.util.List;

/**
 * How one piece of work is done, with what, and how it goes wrong; from {@code knowledge/cuts.yaml}.
 *
 * @param group cut, renovation, summer, tool, wound or safety
 * @param operations words of the open format that it explains
 * @param name what it is called
 * @param does how it is done
 * @param why why so
 * @param goes how it goes wrong
 * @param figure the right way, drawn; null where nothing is drawn
 * @param wrong the usual mistake, drawn; null where nothing is drawn
 */
public record CutCard(
        String id,
        String group,
        List<String> operations,
        String name,
        String does,
        String why,
        String goes,
        RuleKnowledge.Figure figure,
        RuleKnowledge.Figure wrong) {

    public CutCard {
        operations = List.copyOf(operations);
    }

    /** The file: all cards in the order in which they are told. */
    public record Cards(List<CutCard> cuts) {

        public Cards {
            cuts = List.copyOf(cuts);
        }
    }
}
