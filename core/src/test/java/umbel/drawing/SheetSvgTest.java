package umbel.drawing;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import umbel.cut.CutTree;
import umbel.cut.Operation;
import umbel.cut.Target;
import umbel.survey.Surveys;
import umbel.wood.Tree;
import umbel.wood.Vec;

class SheetSvgTest {

    private static NodeList drawn(String tag, List<Vec> cuts, Operation... operations) throws Exception {
        Tree tree = Surveys.apple()
                .limb("1", "trunk", "scaffold", 80, 90, 60, 40, 180, 6, Surveys.spurs(10, 4))
                .limb("2", "trunk", "scaffold", 120, 270, 60, 30, 150, 5, Surveys.spurs(10, 4))
                .tree();
        String svg = SheetSvg.draw(CutTree.of(tree, List.of(operations)), Math.PI, cuts);
        return DocumentBuilderFactory.newInstance()
                .newDocumentBuilder()
                .parse(new ByteArrayInputStream(svg.getBytes(StandardCharsets.UTF_8)))
                .getElementsByTagName(tag);
    }

    @Test
    void everyCutHasABoxAndWhatGoesIsBroken() throws Exception {
        List<Vec> cuts = List.of(new Vec(0.1, 0, 0.8), new Vec(-0.1, 0, 1.2), new Vec(0.2, 0, 0.82));
        assertThat(drawn("rect", cuts, Operation.remove(Target.parse("1"))).getLength())
                .isEqualTo(3);
        NodeList paths = drawn("path", cuts, Operation.remove(Target.parse("1")));
        int broken = 0;
        for (int i = 0; i < paths.getLength(); i++) {
            broken += ((Element) paths.item(i)).hasAttribute("stroke-dasharray") ? 1 : 0;
        }
        assertThat(broken).isPositive();
    }

    @Test
    void boxesOnOneSideDoNotCoverEachOther() throws Exception {
        List<Vec> cuts = List.of(new Vec(0.3, 0, 1.0), new Vec(0.31, 0, 1.01), new Vec(0.3, 0, 1.02));
        NodeList boxes = drawn("rect", cuts);
        for (int i = 0; i < boxes.getLength(); i++) {
            for (int j = 0; j < i; j++) {
                double apart = Math.abs(number(boxes, i, "y") - number(boxes, j, "y"));
                assertThat(apart).isGreaterThanOrEqualTo(number(boxes, i, "height"));
            }
        }
    }

    @Test
    void noFontIsNeeded() throws Exception {
        assertThat(drawn("text", List.of(new Vec(0, 0, 1))).getLength()).isZero();
    }

    private static double number(NodeList boxes, int i, String name) {
        return Double.parseDouble(((Element) boxes.item(i)).getAttribute(name));
    }
}
