package umbel.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.StringReader;
import java.util.ArrayList;
import java.util.List;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import org.xml.sax.InputSource;
import umbel.instruction.Sentence;
import umbel.instruction.Sentence.Form;
import umbel.text.Speech;

/** Pictures of sentences, and the card that is held to a limb. */
class InstructionDrawingsTest {

    private static Document read(String svg) throws Exception {
        return DocumentBuilderFactory.newInstance().newDocumentBuilder().parse(new InputSource(new StringReader(svg)));
    }

    private static List<double[]> lines(Document card) {
        List<double[]> lines = new ArrayList<>();
        NodeList found = card.getElementsByTagName("line");
        for (int i = 0; i < found.getLength(); i++) {
            Element one = (Element) found.item(i);
            lines.add(new double[] {
                Double.parseDouble(one.getAttribute("x1")),
                Double.parseDouble(one.getAttribute("y1")),
                Double.parseDouble(one.getAttribute("x2")),
                Double.parseDouble(one.getAttribute("y2"))
            });
        }
        return lines;
    }

    @ParameterizedTest
    @EnumSource(Form.class)
    void everySentenceHasAPictureThatShowsWhatGoesOrIsBentAndItsGauge(Form form) throws Exception {
        String svg = SentenceFigure.draw(new Sentence(form, 45, 1), "45 cm");
        Document picture = read(svg);
        assertThat(svg).contains("stroke-dasharray");
        boolean gauged = form != Form.SECOND_LEADER;
        assertThat(picture.getElementsByTagName("text").getLength()).isEqualTo(gauged ? 1 : 0);
        double width = Double.parseDouble(picture.getDocumentElement().getAttribute("width"));
        NodeList labels = picture.getElementsByTagName("text");
        for (int i = 0; i < labels.getLength(); i++) {
            // five signs of twelve points are about 35 wide
            assertThat(Double.parseDouble(((Element) labels.item(i)).getAttribute("x")))
                    .as("the label stays within the picture")
                    .isBetween(0.0, width - 35);
        }
    }

    @Test
    void theCardIsInMillimetresAndEveryNotchIsAsWideAsItSays() throws Exception {
        Document card = read(GaugeCard.draw(
                List.of(
                        new Sentence(Form.THICK, 24, 1),
                        new Sentence(Form.THICK_TOP, 14, 2),
                        new Sentence(Form.REACH, 90, 0)),
                Speech.english()));
        Element root = card.getDocumentElement();
        assertThat(root.getAttribute("width")).isEqualTo("140mm");
        assertThat(root.getAttribute("viewBox")).isEqualTo("0 0 140 95");
        List<Double> across = lines(card).stream()
                .filter(line -> line[1] == line[3] && line[1] > 50 && line[1] < 94)
                .map(line -> line[2] - line[0])
                .toList();
        assertThat(across).hasSize(2);
        assertThat(across.get(0)).isCloseTo(14, within(0.01));
        assertThat(across.get(1)).isCloseTo(24, within(0.01));
    }

    @Test
    void theRulersStrokesStandHalfACentimetreApart() throws Exception {
        List<Double> strokes = lines(read(GaugeCard.draw(List.of(), Speech.english()))).stream()
                .filter(line -> line[0] == line[2] && line[1] == 0 && line[3] <= 8)
                .map(line -> line[0])
                .toList();
        assertThat(strokes).hasSize(27);
        for (int i = 0; i < strokes.size(); i++) {
            assertThat(strokes.get(i)).isCloseTo(5.0 * i, within(0.01));
        }
    }

    @Test
    void aRayLeansAsFarFromTheEdgeAsItSays() throws Exception {
        double[] ray =
                lines(read(GaugeCard.draw(List.of(new Sentence(Form.HANGING, 105, 0)), Speech.english()))).stream()
                        .filter(line -> line[0] == 0.2 && line[2] > 1 && line[2] < 100 && line[1] != line[3])
                        .findFirst()
                        .orElseThrow();
        double turn = Math.toDegrees(Math.atan2(ray[2] - 0.0, ray[1] - ray[3]));
        assertThat(turn).isCloseTo(105, within(0.5));
    }

    @Test
    void thickGaugesMakeTheCardWiderAndItStillFitsAPage() throws Exception {
        Document card = read(GaugeCard.draw(
                List.of(new Sentence(Form.THICK, 80, 1), new Sentence(Form.THICK_TOP, 28, 2)), Speech.english()));
        double width = Double.parseDouble(
                card.getDocumentElement().getAttribute("width").replace("mm", ""));
        assertThat(width).isBetween(141.0, 182.0);
        assertThat(lines(card))
                .allSatisfy(line -> assertThat(Math.max(line[0], line[2])).isLessThanOrEqualTo(width));
    }
}
