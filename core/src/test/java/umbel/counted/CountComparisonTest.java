package umbel.counted;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import umbel.growth.Comparison;
import umbel.growth.Comparison.Measure;

/** A season's forecast of rows and vines against what was counted and weighed after it. */
class CountComparisonTest {

    private static Comparison of(CountSurvey before, CountSurvey later, double cropKg) {
        return CountComparison.of(Counts.read(before), before, List.of(), later, 0.3, cropKg);
    }

    private static Comparison.Measured only(Comparison comparison, Measure measure) {
        return comparison.measures().stream()
                .filter(one -> one.measure() == measure)
                .findFirst()
                .orElseThrow();
    }

    private static CountSurvey row(String kind, double length, String canes) {
        return Counts.survey("{'format':'umbel-count/1','plant':{'kind':'" + kind + "','leaf':5},'row':{'length_m':"
                + length + ",'canes':[" + canes + "]}}");
    }

    /** Thirty new canes a metre, fewer by a fiftieth for each of ten bearing ones: 24.6, on the two metres counted later 49. */
    @Test
    void newCanesOfARowAreForetoldForTheStretchThatIsCountedLater() {
        CountSurvey before = row("raspberry-summer", 4, "{'class':'new','count':40}");
        CountSurvey later = row("raspberry-summer", 2, "{'class':'new','count':51},{'class':'fruited','count':20}");
        Comparison.Measured canes = only(of(before, later, 0), Measure.NEW_CANES);
        assertThat(canes.foretold().middle()).isCloseTo(2 * 30 * Math.exp(-0.2), within(0.5));
        assertThat(canes.found()).isEqualTo(51);
        assertThat(canes.right()).isTrue();
    }

    /** Canes of autumn raspberries fruit in their own season: they are found as those that fruited. */
    @Test
    void ofAutumnRaspberriesTheCanesThatFruitedAreTheNewOnes() {
        CountSurvey before = row("raspberry-autumn", 2, "{'class':'fruited','count':40}");
        CountSurvey later = row("raspberry-autumn", 2, "{'class':'fruited','count':33},{'class':'new','count':4}");
        assertThat(only(of(before, later, 0), Measure.NEW_CANES).found()).isEqualTo(33);
    }

    private static CountSurvey vine(String more) {
        return Counts.survey("{'format':'umbel-count/1','plant':{'kind':'grape','leaf':9},'vine':{'wood':'wine',"
                + "'pruningWeight_kg':0.8,'weightIs':'weighed'" + more
                + ",'canes':[{'id':'a','nodes':12},{'id':'b','nodes':10}]}}");
    }

    @Test
    void ofAVineTheWeightOfItsPruningsAndItsCropAreCompared() {
        Comparison comparison = of(vine(""), vine(",'cropLast_kg':2.9"), 0);
        assertThat(only(comparison, Measure.PRUNING_WEIGHT).found()).isEqualTo(0.8);
        assertThat(only(comparison, Measure.CROP).found()).isEqualTo(2.9);
    }

    @Test
    void whatWasPickedGoesBeforeWhatTheCountTells() {
        assertThat(only(of(vine(""), vine(",'cropLast_kg':2.9"), 3.4), Measure.CROP)
                        .found())
                .isEqualTo(3.4);
    }

    @Test
    void whereNobodyWeighedAnythingNothingIsCompared() {
        assertThat(of(vine(""), vine(""), 0).measures())
                .extracting(Comparison.Measured::measure)
                .containsExactly(Measure.PRUNING_WEIGHT);
    }

    /** A crop told beside the vine counts as one told in it: a heavy one leaves the shoots less fruitful. */
    @Test
    void lastSeasonsCropIsReadWhereverItWasTold() {
        CountSurvey within = vine(",'cropLast_kg':14");
        CountSurvey beside =
                Counts.survey(CountReader.write(vine("")).replace("\"vine\"", "\"cropLast_kg\":14,\"vine\""));
        assertThat(beside.cropLast()).isEqualTo(14);
        double heavy = Counts.read(within).after(List.of()).seasons().get(0).crop();
        assertThat(Counts.read(beside).after(List.of()).seasons().get(0).crop()).isEqualTo(heavy);
        assertThat(heavy)
                .isLessThan(
                        Counts.read(vine("")).after(List.of()).seasons().get(0).crop());
    }

    @Test
    void aRowCountedAtSeveralPlacesKeepsOneEntryAClassInTheNextCount() {
        CountSurvey row =
                Counts.survey("{'format':'umbel-count/1','plant':{'kind':'raspberry-summer'},'row':{'samples':["
                        + "{'length_m':1,'canes':[{'class':'fruited','count':9},{'class':'new','count':20,'height_cm':200}]},"
                        + "{'length_m':1,'canes':[{'class':'fruited','count':11},{'class':'new','count':22}]}]}}");
        CountSurvey next = ExpectedCount.of(
                row,
                Counts.read(row),
                List.of(CountOperation.thin("canes/new", 24, 12, 18)),
                false,
                java.time.LocalDate.of(2027, 2, 20));
        assertThat(next.row().countedM()).isEqualTo(2);
        assertThat(next.row().canes()).extracting(CountSurvey.RowCanes::cane).containsExactly("fruited", "new");
        assertThat(next.row().canes()).extracting(CountSurvey.RowCanes::count).containsExactly(20, 24);
        assertThat(next.row().canes().get(1).heightCm()).isEqualTo(200);
    }
}
