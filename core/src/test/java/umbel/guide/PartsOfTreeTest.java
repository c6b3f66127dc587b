package umbel.guide;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringReader;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import org.xml.sax.InputSource;
import umbel.knowledge.GlossaryTerm;
import umbel.knowledge.Knowledge;
import umbel.text.Speech;
import umbel.text.UnitSystem;
import umbel.wood.Axis;
import umbel.wood.Tree;

/** The words of the trade, and the tree that shows them. */
class PartsOfTreeTest {

    private static final Knowledge KNOWLEDGE = Knowledge.shipped();
    private static final List<GlossaryTerm> DRAWN =
            KNOWLEDGE.glossary().stream().filter(term -> term.at() != null).toList();

    private static Element drawn(Speech speech) throws Exception {
        Document svg = DocumentBuilderFactory.newInstance()
                .newDocumentBuilder()
                .parse(new InputSource(
                        new StringReader(PartsOfTree.drawing(KNOWLEDGE, term -> speech.knowledge(term.name())))));
        return svg.getDocumentElement();
    }

    @Test
    void noTermAndNoNameStandsTwice() {
        assertThat(KNOWLEDGE.glossary()).extracting(GlossaryTerm::id).doesNotHaveDuplicates();
        assertThat(KNOWLEDGE.glossary()).extracting(GlossaryTerm::name).doesNotHaveDuplicates();
        assertThat(KNOWLEDGE.glossary())
                .extracting(GlossaryTerm::group)
                .containsOnly("part", "bud", "cut", "training", "growth", "crop");
    }

    @Test
    void everyPlacePointedToIsThereAndIsWhatItIsCalled() {
        Tree tree = PartsOfTree.tree(KNOWLEDGE);
        Map<String, Axis> at = new TreeMap<>();
        for (GlossaryTerm term : DRAWN) {
            Axis axis = tree.find(term.at().axis()).orElseThrow();
            assertThat(term.at().share()).as(term.id()).isBetween(0.0, 1.0);
            at.put(term.id(), axis);
        }
        double union = tree.setting().unionAt();
        assertThat(place(at, "rootstock")).isLessThan(union);
        assertThat(place(at, "graft-union")).isBetween(union - 0.02, union + 0.02);
        assertThat(place(at, "trunk")).isGreaterThan(union);
        assertThat(at.get("sucker").course().at(0).z()).isLessThan(union);
        assertThat(at.get("water-sprout").ageAt(0.1)).isEqualTo(1);
        Axis sprout = at.get("water-sprout");
        assertThat(sprout.course().at(sprout.length()).z()
                        - sprout.course().at(0).z())
                .as("upright")
                .isGreaterThan(0.9 * sprout.length());
        Axis hanger = at.get("hanger");
        assertThat(hanger.course().at(hanger.length()).z())
                .isLessThan(hanger.course().at(0).z());
        Axis shoot = at.get("one-year-shoot");
        assertThat(shoot.ageAt(term("one-year-shoot").at().share() * shoot.length()))
                .isEqualTo(1);
    }

    private static GlossaryTerm term(String id) {
        return DRAWN.stream().filter(one -> one.id().equals(id)).findFirst().orElseThrow();
    }

    private static double place(Map<String, Axis> at, String id) {
        Axis axis = at.get(id);
        return axis.course().at(term(id).at().share() * axis.length()).z();
    }

    /** In both languages: one label a term, none over another, all within the picture as far as their letters are wide. */
    @Test
    void namesStandApartAndWithinThePicture() throws Exception {
        for (String language : List.of("en", "es")) {
            Element svg = drawn(Speech.of(language, UnitSystem.METRIC));
            String[] box = svg.getAttribute("viewBox").split(" ");
            double left = Double.parseDouble(box[0]);
            double width = Double.parseDouble(box[2]);
            Map<Boolean, List<Double>> sides = new TreeMap<>();
            NodeList texts = svg.getElementsByTagName("text");
            assertThat(texts.getLength()).isEqualTo(DRAWN.size());
            for (int i = 0; i < texts.getLength(); i++) {
                Element text = (Element) texts.item(i);
                double x = Double.parseDouble(text.getAttribute("x"));
                double letters = 0.56
                        * Double.parseDouble(text.getAttribute("font-size"))
                        * text.getTextContent().length();
                assertThat(
                                text.getAttribute("text-anchor").equals("end")
                                        ? x - letters - left
                                        : left + width - x - letters)
                        .as(language + " " + text.getTextContent())
                        .isPositive();
                sides.computeIfAbsent(x < 0, side -> new ArrayList<>()).add(Double.parseDouble(text.getAttribute("y")));
            }
            assertThat(sides).hasSize(2);
            sides.values().forEach(heights -> {
                Collections.sort(heights);
                for (int i = 1; i < heights.size(); i++) {
                    assertThat(heights.get(i) - heights.get(i - 1)).isGreaterThan(11);
                }
            });
        }
    }
}
