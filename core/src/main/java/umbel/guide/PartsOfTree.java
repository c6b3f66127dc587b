package umbel.guide;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.function.Function;
import umbel.drawing.LabelledSvg;
import umbel.knowledge.GlossaryTerm;
import umbel.knowledge.Knowledge;
import umbel.survey.SurveyReader;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

/** One tree with the parts that the glossary names, each pointed at. */
public final class PartsOfTree {

    private static final String SURVEY = "/knowledge/parts-tree.json";
    private static final double FROM = Math.PI;

    private PartsOfTree() {}

    /** The tree that is drawn. */
    public static Tree tree(Knowledge knowledge) {
        try (InputStream survey = PartsOfTree.class.getResourceAsStream(SURVEY)) {
            return TreeBuilder.build(
                    SurveyReader.read(new String(survey.readAllBytes(), StandardCharsets.UTF_8)), knowledge, 1);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * The tree with its parts named.
     *
     * @param name how a part is called
     */
    public static String drawing(Knowledge knowledge, Function<GlossaryTerm, String> name) {
        Tree tree = tree(knowledge);
        List<LabelledSvg.Label> labels = knowledge.glossary().stream()
                .filter(term -> term.at() != null)
                .map(term -> new LabelledSvg.Label(
                        term.id(),
                        name.apply(term),
                        tree.find(term.at().axis()).orElseThrow(),
                        term.at().share()))
                .toList();
        return LabelledSvg.draw(tree, FROM, labels);
    }
}
