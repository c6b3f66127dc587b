package umbel.drawing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import umbel.assess.Mark;
import umbel.counted.CountOperation;
import umbel.counted.CountSurvey;
import umbel.counted.Counts;
import umbel.plant.CountedPlant;

class CountedSvgTest {

    private static final String GOES = "#c2185b";

    private static final CountSurvey BUSH = Counts.survey(
            "{'format':'umbel-count/1','plant':{'kind':'blueberry'},'canes':["
                    + "{'id':'a','age_y':1},{'id':'b','age_y':1,'count':3},{'id':'c','age_y':6,'diameter_mm':24,'height_cm':160}]}");

    @Test
    void everyCaneIsThereByItsNameAndOnlyWhatGoesIsMarked() {
        String found = draw(BUSH);
        assertThat(count(found, "<g data-cane=\"b\"")).isEqualTo(3);
        assertThat(found).doesNotContain(GOES);
        String one = draw(BUSH, new Mark("remove", "b", null, null, null, null));
        assertThat(count(one, GOES)).isEqualTo(1);
        String two = draw(BUSH, new Mark("remove", "b", null, null, null, null, 2));
        assertThat(count(two, GOES)).isEqualTo(2);
    }

    @Test
    void aHeadedCaneKeepsItsFoot() {
        String headed = draw(BUSH, new Mark("head", "a", 40.0, null, null, null));
        String cane = headed.substring(headed.indexOf("<g data-cane=\"a\""));
        cane = cane.substring(0, cane.indexOf("</g>"));
        assertThat(count(cane, "<path")).isEqualTo(2);
        assertThat(count(cane, GOES)).isEqualTo(1);
    }

    @Test
    void paperIsBlackOnWhiteWithANumberForEachStep() {
        String paper = CountedSvg.draw(
                BUSH,
                List.of(
                        operation(new Mark("remove", "a", null, null, null, null)),
                        operation(new Mark("remove", "c", null, null, null, null))),
                CountedSvg.Ink.PAPER);
        assertThat(paper).doesNotContain(GOES).doesNotContain("#b5392c").contains("stroke-dasharray");
        assertThat(count(paper, "<rect")).isEqualTo(2);
    }

    @Test
    void aRowShowsTwoMetresOfWhatWasCounted() {
        CountSurvey row = Counts.survey(
                "{'format':'umbel-count/1','plant':{'kind':'raspberry-summer'},'row':{'length_m':4,"
                        + "'topWire_cm':150,'canes':[{'class':'new','count':40,'height_cm':200},{'class':'fruited','count':20}]}}");
        String found = draw(row);
        assertThat(count(found, "<g data-cane=\"canes/new\"")).isEqualTo(20);
        assertThat(count(found, "<g data-cane=\"canes/fruited\"")).isEqualTo(10);
        String thinned = draw(row, new Mark("thin", "canes/new", null, null, null, 30, 10));
        assertThat(count(thinned, GOES)).isEqualTo(5);
        assertThat(count(draw(row, new Mark("mow", "canes", null, null, null, null, 60)), GOES))
                .isEqualTo(30);
    }

    @Test
    void aVineKeepsTheNodesThatWereSaid() {
        CountSurvey vine =
                Counts.survey("{'format':'umbel-count/1','plant':{'kind':'grape'},'vine':{'arms':[{'id':'L'}],"
                        + "'canes':[{'id':'c1','arm':'L','nodes':10},{'id':'c2','arm':'L','nodes':6}]}}");
        assertThat(count(draw(vine), "<g data-cane=\"c1\"")).isEqualTo(11);
        String cut = draw(
                vine,
                new Mark("keep-nodes", "c1", null, null, null, 4),
                new Mark("remove", "canes/rest", null, null, null, null));
        int c1 = 6 + 1; // six nodes and the end of the cane
        int c2 = 6 + 1;
        assertThat(count(cut, GOES)).isEqualTo(c1 + c2);
    }

    private static String draw(CountSurvey survey, Mark... marks) {
        return CountedSvg.draw(
                survey, List.of(marks).stream().map(CountedSvgTest::operation).toList(), CountedSvg.Ink.SCREEN);
    }

    private static CountOperation operation(Mark mark) {
        return CountedPlant.operation(mark);
    }

    private static long count(String text, String what) {
        return Pattern.compile(Pattern.quote(what)).matcher(text).results().count();
    }
}
