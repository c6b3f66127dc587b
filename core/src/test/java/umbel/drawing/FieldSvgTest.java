package umbel.drawing;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringReader;
import java.util.List;
import javax.xml.parsers.DocumentBuilderFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.w3c.dom.Document;
import org.xml.sax.InputSource;
import umbel.field.FieldOutline;
import umbel.field.FieldRows;

class FieldSvgTest {

    private static FieldOutline rectangle(double wide, double deep) {
        return FieldOutline.of(
                List.of(List.of(List.of(0.0, 0.0), List.of(wide, 0.0), List.of(wide, deep), List.of(0.0, deep))));
    }

    private static Document drawn(FieldOutline outline, double inRow, double between) throws Exception {
        FieldRows rows = FieldRows.of(outline, 0, 0, inRow, between);
        String svg = FieldSvg.draw(outline, rows, inRow, "10 m", "N");
        return DocumentBuilderFactory.newInstance().newDocumentBuilder().parse(new InputSource(new StringReader(svg)));
    }

    @Test
    void treesAreDrawnOneByOneWhereThereIsRoomForThem() throws Exception {
        assertThat(drawn(rectangle(30, 30), 3, 6).getElementsByTagName("circle").getLength())
                .isEqualTo(50);
        assertThat(drawn(rectangle(500, 500), 1, 3.5)
                        .getElementsByTagName("circle")
                        .getLength())
                .isZero();
    }

    @Test
    void rowsAreNumberedAsFarAsTheNumbersDoNotRunTogether() throws Exception {
        // the edge, a line a row, the bar and the arrow
        Document few = drawn(rectangle(30, 30), 3, 6);
        assertThat(few.getElementsByTagName("path").getLength()).isEqualTo(1 + 5 + 2);
        assertThat(few.getElementsByTagName("text").getLength()).isEqualTo(5 + 2);
        Document many = drawn(rectangle(500, 500), 5, 3.5);
        assertThat(many.getElementsByTagName("text").getLength()).isBetween(10, 40);
    }

    /** Five thousand rows in a thousand units would be one black patch. */
    @Test
    void ofManyRowsEverySoManyIsDrawn() throws Exception {
        int lines = drawn(rectangle(2500, 2500), 5, 0.5)
                .getElementsByTagName("path")
                .getLength();
        assertThat(lines).isBetween(100, 450);
    }

    @ParameterizedTest
    @CsvSource({"100, 20", "350, 100", "31, 10", "1600, 500", "7, 2"})
    void theBarIsARoundLengthUpToAThirdOfTheField(double wide, double bar) {
        assertThat(FieldSvg.bar(rectangle(wide, wide))).isEqualTo(bar);
    }
}
