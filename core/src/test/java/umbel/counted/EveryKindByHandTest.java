package umbel.counted;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What each kind's own numbers come to, worked out on paper: how many canes go, how many stay, what they bear. */
class EveryKindByHandTest {

    /**
     * Half of each bush is nine years old, the rest three. A fifth of a blueberry goes, at most two and down to eight; a third of a
     * crowded one, down to thirteen. A third of a black currant, down to eight. A sixth of red currant and gooseberry, at most three
     * and down to eight; a third of a crowded one, down to twelve.
     */
    @ParameterizedTest
    @CsvSource({
        "blueberry, 9, 1",
        "blueberry, 12, 2",
        "blueberry, 20, 7",
        "currant-black, 9, 1",
        "currant-black, 12, 4",
        "currant-black, 15, 5",
        "currant-red, 8, 0",
        "currant-red, 10, 2",
        "currant-red, 18, 6",
        "gooseberry, 9, 1",
        "gooseberry, 14, 2",
        "gooseberry, 16, 4",
    })
    void oldCanesGoByTheShareOfTheirKind(String kind, int canes, int out) {
        int old = canes / 2;
        CountPlan plan = Counts.recommended(Counts.bush(kind, 10, 0, 0, canes - old, 0, 0, 0, 0, 0, old));
        assertThat(plan.canesAfter()).isEqualTo(canes - out);
        assertThat(plan.steps())
                .hasSize(out)
                .allSatisfy(step -> assertThat(step.operation().target()).startsWith("a9-"));
    }

    /**
     * More than the best number are thinned to it, fewer are left. A metre bears N / (α + βN + α(N/best)²): twelve
     * summer raspberries 12 / (2.22 + 0.552 + 2.22) = 2.40 kg, six black ones 1.60, seven purple ones 2.40, eight erect blackberries
     * 3.20, six trailing ones 4.20; 4⅔ semi-erect ones 4⅔ / (0.3125 + 0.1297 + 0.3361) = 6.00.
     */
    @ParameterizedTest
    @CsvSource({
        "raspberry-summer, 3, 60, 36, 7.21",
        "raspberry-summer, 3, 33, 33, 7.18",
        "raspberry-summer, 3, 12, 12, 4.53",
        "raspberry-black, 4, 50, 24, 6.39",
        "raspberry-black, 4, 30, 24, 6.39",
        "raspberry-black, 4, 8, 8, 4.24",
        "raspberry-purple, 4, 60, 28, 9.59",
        "raspberry-purple, 4, 32, 28, 9.59",
        "raspberry-purple, 4, 8, 8, 5.43",
        "blackberry-erect, 3, 50, 24, 9.60",
        "blackberry-erect, 3, 21, 21, 9.52",
        "blackberry-erect, 3, 9, 9, 6.56",
        "blackberry-semi-erect, 4.5, 40, 21, 26.98",
        "blackberry-semi-erect, 4.5, 24, 21, 26.98",
        "blackberry-semi-erect, 4.5, 9, 9, 20.94",
        "blackberry-trailing, 4, 50, 24, 16.78",
        "blackberry-trailing, 4, 20, 20, 16.56",
        "blackberry-trailing, 4, 8, 8, 11.06",
    })
    void rowsAreBroughtToTheNumberOfTheirKind(String kind, double length, int canes, int stay, double crop) {
        CountSurvey row = Counts.survey("{'format':'umbel-count/1','plant':{'kind':'" + kind
                + "','leaf':5},'row':{'length_m':" + length + ",'plants':3,'canes':[{'class':'new','count':" + canes
                + "}]}}");
        CountPlan plan = Counts.recommended(row);
        assertThat(plan.canesAfter()).isEqualTo(stay);
        assertThat(plan.seasons().get(0).crop()).isCloseTo(crop, within(0.03));
    }

    /** Canes of autumn raspberries are mown, and as many of the new ones as a metre holds bear 20 / (5 + 3.34 + 5) = 1.50 kg. */
    @ParameterizedTest
    @CsvSource({"2, 20, 3.00", "3, 90, 4.50", "10, 150, 14.99"})
    void autumnRaspberriesAreMownWhateverStands(double length, int canes, double crop) {
        CountPlan plan = Counts.recommended(Counts.survey(
                "{'format':'umbel-count/1','plant':{'kind':'raspberry-autumn','leaf':5},'row':{'length_m':" + length
                        + ",'canes':[{'class':'fruited','count':" + canes + "}]}}"));
        assertThat(Counts.done(plan)).containsExactly("mow canes");
        assertThat(plan.seasons().get(0).crop()).isCloseTo(crop, within(0.02));
    }
}
