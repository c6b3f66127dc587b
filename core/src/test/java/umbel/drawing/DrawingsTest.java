package umbel.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import de.javagl.jgltf.model.AccessorFloatData;
import de.javagl.jgltf.model.GltfModel;
import de.javagl.jgltf.model.MeshPrimitiveModel;
import de.javagl.jgltf.model.io.GltfModelReader;
import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.w3c.dom.Document;
import umbel.knowledge.Knowledge;
import umbel.practice.PracticeTree;
import umbel.survey.Surveys;
import umbel.wood.Axis;
import umbel.wood.LateralTwigs;
import umbel.wood.Tree;
import umbel.wood.TreeBuilder;

class DrawingsTest {

    @ParameterizedTest
    @ValueSource(strings = {"central-leader", "open-centre", "espalier"})
    void theThirdDimensionIsReadByAnotherLibraryAndStandsAsTall(String system) throws Exception {
        Tree tree = TreeBuilder.build(PracticeTree.survey(system, 8, 4), Knowledge.shipped(), 1);
        GltfModel model = new GltfModelReader()
                .readWithoutReferences(
                        new ByteArrayInputStream(TreeGltf.write(tree).getBytes(StandardCharsets.UTF_8)));
        double top = 0;
        int corners = 0;
        for (var mesh : model.getMeshModels()) {
            for (MeshPrimitiveModel part : mesh.getMeshPrimitiveModels()) {
                AccessorFloatData points =
                        (AccessorFloatData) part.getAttributes().get("POSITION").getAccessorData();
                for (int i = 0; i < points.getNumElements(); i++) {
                    top = Math.max(top, points.get(i, 1));
                }
                corners += part.getIndices().getCount();
            }
        }
        assertThat(top).isCloseTo(tree.top(), within(0.05));
        int segments =
                tree.axes().stream().mapToInt(axis -> axis.course().size() - 1).sum();
        for (Axis axis : tree.axes()) {
            segments += axis.isUnmeasured()
                    ? LateralTwigs.branches(axis, tree.setting()).size()
                    : 0;
        }
        assertThat(corners).as("six sides of two triangles a piece").isEqualTo(segments * 36);
    }

    @ParameterizedTest
    @ValueSource(strings = {"central-leader", "tall-spindle"})
    void theDrawingIsWellFormedAndNamesEveryLimb(String system) throws Exception {
        Tree tree = TreeBuilder.build(PracticeTree.survey(system, 8, 4), Knowledge.shipped(), 1);
        Document drawing = DocumentBuilderFactory.newInstance()
                .newDocumentBuilder()
                .parse(new ByteArrayInputStream(TreeSvg.draw(tree, 0).getBytes(StandardCharsets.UTF_8)));
        assertThat(drawing.getDocumentElement().getTagName()).isEqualTo("svg");
        String text = drawing.getDocumentElement().getTextContent();
        tree.limbs().forEach(limb -> assertThat(text).contains(limb.id()));
        assertThat(drawing.getElementsByTagName("path").getLength())
                .isGreaterThan(tree.limbs().size());
    }

    @Test
    void wordsInALabelCannotBecomeMarkup() {
        Tree tree = Surveys.apple()
                .labelled("<script>&\"")
                .scaffold("1", 80, 0, 55, 30, 120)
                .tree();
        assertThat(TreeSvg.draw(tree, 1))
                .doesNotContain("<script>")
                .contains("&lt;script>&amp;\"".replace(">", "&gt;"));
        assertThat(TreeGltf.write(tree)).contains("\"label\"");
    }

    @Test
    void aLimbToTheEastIsDrawnToTheRightOfOneWhoLooksFromTheSouth() {
        Tree tree = Surveys.apple().scaffold("east", 100, 90, 90, 30, 120).tree();
        assertThat(tipOf(TreeSvg.draw(tree, Math.PI), "east")).isGreaterThan(80);
        assertThat(tipOf(TreeSvg.draw(tree, 0), "east")).isLessThan(-80);
    }

    private static double tipOf(String svg, String limb) {
        int at = svg.indexOf(">" + limb + "</text>");
        int x = svg.lastIndexOf("<text x=\"", at) + 9;
        return Double.parseDouble(svg.substring(x, svg.indexOf('"', x)));
    }
}
