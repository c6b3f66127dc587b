package umbel.drawing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import umbel.assess.Mark;
import umbel.counted.CountOperation;
import umbel.counted.CountSurvey;
import umbel.counted.Counts;
import umbel.knowledge.Species;
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

    private static final Species.Look LOOK = new Species.Look("#4d7d4b", "#f6f1ec", 1.2, "#3b4a73");

    private static String inSeason(CountSurvey survey, CountedSvg.Season season, Mark... marks) {
        return CountedSvg.draw(
                survey, List.of(marks).stream().map(CountedSvgTest::operation).toList(), season, LOOK, 0);
    }

    private static long leaves(String drawing) {
        return Pattern.compile("M[-0-9.]+ [-0-9.]+q").matcher(drawing).results().count();
    }

    private static long dots(String drawing) {
        return count(drawing, "h0");
    }

    @Test
    void leafStandsOnWhatStaysAndNoneOnWhatGoes() {
        assertThat(inSeason(BUSH, CountedSvg.Season.BARE)).isEqualTo(draw(BUSH));
        String summer = inSeason(BUSH, CountedSvg.Season.SUMMER);
        Mark off = new Mark("remove", "c", null, null, null, null);
        long without = leaves(inSeason(BUSH, CountedSvg.Season.SUMMER, off));
        // the other canes stand as they stood; a plant of the rest alone is drawn on another scale only
        assertThat(without).isPositive().isLessThan(leaves(summer));
        String gone = inSeason(
                BUSH,
                CountedSvg.Season.SUMMER,
                off,
                new Mark("remove", "a", null, null, null, null),
                new Mark("remove", "b", null, null, null, null, 3));
        assertThat(leaves(gone)).isZero();
        assertThat(dots(summer)).isZero();
    }

    /** Fruit hangs on the twigs of canes that have borne: none where the only old cane goes, less where it is headed. */
    @Test
    void fruitHangsOnWhatBears() {
        String harvest = inSeason(BUSH, CountedSvg.Season.HARVEST);
        assertThat(dots(harvest)).isPositive();
        assertThat(harvest).contains(LOOK.fruit());
        assertThat(inSeason(BUSH, CountedSvg.Season.BLOOM))
                .contains(LOOK.blossom())
                .doesNotContain(LOOK.fruit());
        long headed = dots(inSeason(BUSH, CountedSvg.Season.HARVEST, new Mark("head", "c", 110.0, null, null, null)));
        assertThat(headed).isPositive().isLessThan(dots(harvest));
        assertThat(dots(inSeason(BUSH, CountedSvg.Season.HARVEST, new Mark("remove", "c", null, null, null, null))))
                .isZero();
    }

    @Test
    void canesThatHaveBorneAreBareInTheRow() {
        CountSurvey fruited =
                Counts.survey("{'format':'umbel-count/1','plant':{'kind':'raspberry-summer'},'row':{'length_m':2,"
                        + "'canes':[{'class':'fruited','count':20}]}}");
        assertThat(leaves(inSeason(fruited, CountedSvg.Season.SUMMER))).isZero();
    }

    /** Two bunches of nine berries on the shoot of every node that stays. */
    @Test
    void aVineShootsFromTheNodesThatStay() {
        CountSurvey vine =
                Counts.survey("{'format':'umbel-count/1','plant':{'kind':'grape'},'vine':{'arms':[{'id':'L'}],"
                        + "'canes':[{'id':'c1','arm':'L','nodes':10},{'id':'c2','arm':'L','nodes':6}]}}");
        assertThat(dots(inSeason(vine, CountedSvg.Season.HARVEST))).isEqualTo(16 * 2 * 9);
        assertThat(dots(inSeason(
                        vine,
                        CountedSvg.Season.HARVEST,
                        new Mark("keep-nodes", "c1", null, null, null, 4),
                        new Mark("remove", "canes/rest", null, null, null, null))))
                .isEqualTo(4 * 2 * 9);
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
