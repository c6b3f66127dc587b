package umbel.counted;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import umbel.growth.Comparison;
import umbel.growth.Comparison.Measure;
import umbel.growth.Forecast;
import umbel.growth.Moment;
import umbel.knowledge.Knowledge;
import umbel.knowledge.LearningParameters;

/** What the seasons of a block teach the forecasts of its bushes, rows and vines. */
class CountLearnedTest {

    private static final String BUSH =
            "'plant':{'kind':'blueberry','leaf':9},'canes':[{'id':'a','age_y':7},{'id':'b','age_y':3,'count':9},"
                    + "{'id':'c','age_y':1,'count':3}]";
    private static final String ROW =
            "'plant':{'kind':'raspberry-summer','leaf':5},'row':{'length_m':2,'canes':[{'class':'new','count':36}]}";
    private static final String VINE =
            "'plant':{'kind':'grape','leaf':9},'vine':{'wood':'wine','pruningWeight_kg':0.8,'weightIs':'weighed',"
                    + "'canes':[{'id':'a','nodes':22},{'id':'b','nodes':20}]}";
    private static final LearningParameters RULES = new LearningParameters(3, 2, 3, 330, 200, 14, 0.25, 0.3);

    private static Comparison season(Measure measure, double foretold, double found) {
        return new Comparison(List.of(
                new Comparison.Measured(measure, new Forecast.Range(0.7 * foretold, foretold, 1.3 * foretold), found)));
    }

    @Test
    void nothingIsLearnedFromNothing() {
        assertThat(CountLearned.of(List.of(), RULES)).isEqualTo(CountLearned.NOTHING);
    }

    /** Three crops at half of what was foretold, with a prior of three: half to the power 3/6. */
    @Test
    void cropsAreDrawnTowardsTheUsual() {
        CountLearned learned = CountLearned.of(Collections.nCopies(3, season(Measure.CROP, 4, 2)), RULES);
        assertThat(learned.seasons()).isEqualTo(3);
        assertThat(learned.crop()).isCloseTo(Math.sqrt(0.5), within(1e-9));
        assertThat(learned.renewal()).isEqualTo(1);
    }

    @Test
    void newCanesAndPruningsTeachRenewalAndNoFactorRunsAway() {
        CountLearned learned = CountLearned.of(Collections.nCopies(200, season(Measure.NEW_CANES, 2, 20)), RULES);
        assertThat(learned.renewal()).isEqualTo(2);
        assertThat(CountLearned.of(List.of(season(Measure.PRUNING_WEIGHT, 1, 1.5)), RULES)
                        .renewal())
                .isCloseTo(Math.pow(1.5, 0.25), within(1e-9));
    }

    /** A bush, a row and a vine bear as their place has shown; what is proposed stays the same. */
    @ParameterizedTest
    @ValueSource(strings = {BUSH, ROW, VINE})
    void whatWasLearnedMovesTheForecastAndNotTheWork(String survey) {
        CountSurvey counted = Counts.survey("{'format':'umbel-count/1'," + survey + "}");
        Counted usual = Counts.read(counted);
        Counted here = Counted.of(counted, Knowledge.shipped(), new CountLearned(4, 0.8, 1.25));
        assertThat(cropsOf(here)).hasSameSizeAs(cropsOf(usual));
        assertThat(cropsOf(here).get(0)).isCloseTo(0.8 * cropsOf(usual).get(0), within(1e-9));
        assertThat(Counts.done(here.plan("recommended", Moment.DORMANT)))
                .isEqualTo(Counts.done(usual.plan("recommended", Moment.DORMANT)));
    }

    /** New canes of a bush and a row, and the weight of a vine's prunings, of the first season. */
    @ParameterizedTest
    @ValueSource(strings = {BUSH, ROW, VINE})
    void moreGrowsWhereMoreHasGrown(String survey) {
        CountSurvey counted = Counts.survey("{'format':'umbel-count/1'," + survey + "}");
        double usual = renewal(Counts.read(counted));
        double here = renewal(Counted.of(counted, Knowledge.shipped(), new CountLearned(4, 1, 1.25)));
        assertThat(here).isCloseTo(1.25 * usual, within(1e-9));
    }

    private static double renewal(Counted plant) {
        return plant.after(List.of()).seasons().get(0).renewal();
    }

    private static List<Double> cropsOf(Counted plant) {
        List<Double> crops = new ArrayList<>();
        plant.plan("recommended", Moment.DORMANT).seasons().forEach(season -> crops.add(season.crop()));
        return crops;
    }
}
