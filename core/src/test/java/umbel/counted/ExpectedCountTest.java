package umbel.counted;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import umbel.growth.Comparison;

class ExpectedCountTest {

    private static final LocalDate TODAY = LocalDate.of(2028, 2, 20);

    private static CountSurvey next(CountSurvey survey, boolean seasonPassed, CountOperation... done) {
        CountSurvey next = ExpectedCount.of(survey, Counts.read(survey), List.of(done), seasonPassed, TODAY);
        assertThat(CountReader.read(
                        tools.jackson.databind.json.JsonMapper.builder().build().readTree(CountReader.write(next))))
                .as("what is expected can be kept as it is")
                .isEqualTo(next);
        return next;
    }

    private static CountSurvey bush() {
        return Counts.survey("{'format':'umbel-count/1','plant':{'kind':'blueberry','leaf':8},'canes':["
                + "{'id':'1','age_y':7,'diameter_mm':26,'flowerBuds':40,'rubs':['2']},{'id':'2','age_y':2,'count':4,"
                + "'diameter_mm':12},{'id':'3','age_y':5,'height_cm':160}]}");
    }

    @Test
    void aSeasonLaterABushIsAYearOlderWithoutWhatWasTakenAndWithNewCanes() {
        CountSurvey next = next(bush(), true, CountOperation.remove("1", 1), CountOperation.head("3", 35));
        assertThat(next.plant().leaf()).isEqualTo(9);
        assertThat(next.canes()).extracting(CountSurvey.BushCane::id).containsExactly("2", "3", "4");
        CountSurvey.BushCane alike = next.canes().get(0);
        assertThat(alike.ageY()).isEqualTo(3);
        assertThat(alike.count()).isEqualTo(4);
        assertThat(alike.diameterMm()).as("12 mm by 16 for 12").isEqualTo(16);
        assertThat(next.canes().get(1).heightCm()).isEqualTo(35);
        CountSurvey.BushCane fresh = next.canes().get(2);
        assertThat(fresh.ageY()).isEqualTo(1);
        assertThat(fresh.count()).isEqualTo((int) Math.round(Counts.read(bush())
                .after(List.of(CountOperation.remove("1", 1), CountOperation.head("3", 35)))
                .seasons()
                .get(0)
                .renewal()));
    }

    @Test
    void theSameWinterNothingHasGrown() {
        CountSurvey next = next(bush(), false, CountOperation.remove("2", 3));
        assertThat(next.plant().leaf()).isEqualTo(8);
        assertThat(next.canes().get(0).flowerBuds()).isEqualTo(40);
        assertThat(next.canes().get(1).count()).isEqualTo(1);
        assertThat(next.canes()).hasSize(3);
    }

    @Test
    void theNewCanesOfARowHaveFruitedAYearLater() {
        CountSurvey row = Counts.survey("{'format':'umbel-count/1','plant':{'kind':'raspberry-summer','leaf':5},"
                + "'row':{'length_m':2,'canes':[{'class':'fruited','count':20},{'class':'new','count':50}]}}");
        CountSurvey next = next(
                row, true, CountOperation.remove("canes/fruited", 20), CountOperation.thin("canes/new", 24, 12, 26));
        assertThat(next.row().canes().get(0).cane()).isEqualTo("fruited");
        assertThat(next.row().canes().get(0).count()).isEqualTo(24);
        assertThat(next.row().canes().get(1).cane()).isEqualTo("new");
        // thirty a metre on two metres, fewer by two in a hundred for each of the twelve bearing canes
        assertThat(next.row().canes().get(1).count()).isEqualTo((int) Math.round(60 * Math.exp(-0.24)));
    }

    @Test
    void aVineKeepsItsArmsAndItsCanesAreCountedAnew() {
        CountSurvey vine = Counts.survey("{'format':'umbel-count/1','plant':{'kind':'grape','leaf':8},'vine':{"
                + "'prunedAs':'cane','wood':'wine','pruningWeight_kg':0.7,'weightIs':'weighed','arms':[{'id':'L','age_y':4}],"
                + "'canes':[{'id':'a','arm':'L','nodes':15},{'id':'b','arm':'L','nodes':12}]}}");
        CountSurvey next = next(vine, true, CountOperation.keepNodes("a", 14), CountOperation.keepNodes("b", 4));
        assertThat(next.vine().arms().get(0).ageY()).isEqualTo(5);
        assertThat(next.vine().canes()).isEmpty();
        assertThat(next.vine().nodesLast()).isEqualTo(18);
        assertThat(next.vine().pruningWeightKg()).isNull();
    }

    @Test
    void whatWasForetoldIsHeldAgainstWhatWasCounted() {
        CountSurvey before = bush();
        double foretold = Counts.read(before).after(List.of()).seasons().get(0).renewal();
        CountSurvey later =
                Counts.survey("{'format':'umbel-count/1','cropLast_kg':3.5,'plant':{'kind':'blueberry','leaf':9},"
                        + "'canes':[{'id':'1','age_y':1,'count':2},{'id':'2','age_y':3},{'id':'3','age_y':1}]}");
        Comparison comparison = CountComparison.of(Counts.read(before), before, List.of(), later, 0.3, 0);
        assertThat(comparison.measures())
                .extracting(Comparison.Measured::measure)
                .containsExactly(Comparison.Measure.NEW_CANES, Comparison.Measure.CROP);
        Comparison.Measured canes = comparison.measures().get(0);
        assertThat(canes.found()).isEqualTo(3);
        assertThat(canes.foretold().middle()).isEqualTo(foretold);
        assertThat(canes.foretold().low()).isEqualTo(0.7 * foretold);
        assertThat(comparison.measures().get(1).found()).isEqualTo(3.5);
    }

    /** Which canes go first, of an even bush that loses three every winter, carried forward count by count. */
    private static double cropOfTenYears(String kind, Comparator<CountSurvey.BushCane> first) {
        CountSurvey bush = Counts.bush(kind, 10, 3, 3, 3, 2, 2, 1, 1);
        double crop = 0;
        for (int year = 0; year < 10; year++) {
            Counted plant = Counts.read(bush);
            List<CountOperation> winter = new ArrayList<>();
            int left = 3;
            for (CountSurvey.BushCane cane : bush.canes().stream().sorted(first).toList()) {
                int count = Math.min(left, cane.many());
                if (count > 0) {
                    winter.add(CountOperation.remove(cane.id(), count));
                    left -= count;
                }
            }
            crop += plant.after(winter).seasons().get(0).crop();
            bush = ExpectedCount.of(bush, plant, winter, true, TODAY.plusYears(year));
        }
        return crop;
    }

    @ParameterizedTest
    @ValueSource(strings = {"blueberry", "currant-black", "currant-red", "gooseberry"})
    void oldestFirstBearsMoreThanAtRandomAndThatMoreThanYoungestFirst(String kind) {
        Comparator<CountSurvey.BushCane> youngest = Comparator.comparingDouble(CountSurvey.BushCane::ageY);
        Comparator<CountSurvey.BushCane> random =
                Comparator.comparingInt(cane -> (cane.id() + "x").hashCode() * 0x45d9f3b);
        double byAge = cropOfTenYears(kind, youngest.reversed());
        double byChance = cropOfTenYears(kind, random);
        assertThat(byAge).isGreaterThan(byChance);
        assertThat(byChance).isGreaterThan(cropOfTenYears(kind, youngest));
    }
}
