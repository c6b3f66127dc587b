package umbel.plant;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import umbel.assess.Mark;
import umbel.counted.Counts;
import umbel.knowledge.Knowledge;
import umbel.season.FollowUp;
import umbel.text.Speech;
import umbel.text.UnitSystem;

/** At 45° and sea level, where the kinds' calendars hold as they are written. */
class CountedFollowUpsTest {

    private static final LocalDate WINTER = LocalDate.of(2027, 2, 20);

    private static List<FollowUp> after(LocalDate day, double latitude, String plant, Mark... marks) {
        CountedPlant read = CountedPlant.read(
                Counts.survey("{'format':'umbel-count/1','site':{'latitude_deg':" + latitude + "}," + plant + "}"),
                Knowledge.shipped());
        List<Mark> done = List.of(marks);
        return read.followUps(read.visit(done), read.totals(done), day, null);
    }

    private static Mark mark(String operation, String target, Integer keep) {
        return new Mark(operation, target, null, null, null, keep, null);
    }

    private static final String BLACK = "'plant':{'kind':'raspberry-black'},'row':{'length_m':2,'plants':2,"
            + "'canes':[{'class':'new','count':20}]}";

    @Test
    void blackRaspberriesAreTippedInSummerAndTheirFruitedCanesTakenAfterHarvest() {
        List<FollowUp> all = after(WINTER, 45, BLACK, mark("thin", "canes/new", 8));
        assertThat(all).extracting(FollowUp::kind).containsExactly("tip", "fruited-out");
        assertThat(all.get(0).from()).isEqualTo(LocalDate.of(2027, 6, 1));
        assertThat(all.get(0).to()).isEqualTo(LocalDate.of(2027, 7, 20));
        assertThat(Speech.english().say(all.get(0).text())).contains("at 60 cm");
        assertThat(Speech.of("es", UnitSystem.METRIC).say(all.get(0).text())).contains("60 cm");
    }

    @Test
    void onATrellisTheyAreTippedHigher() {
        List<FollowUp> all =
                after(WINTER, 45, BLACK.replace("'plants'", "'topWire_cm':150,'plants'"), mark("thin", "canes/new", 8));
        assertThat(all.get(0).amount()).isEqualTo(75);
    }

    @Test
    void inTheSouthTheSameComesHalfAYearLater() {
        List<FollowUp> all = after(LocalDate.of(2027, 8, 20), -45, BLACK, mark("thin", "canes/new", 8));
        assertThat(all).extracting(FollowUp::kind).containsExactly("tip", "fruited-out");
        assertThat(all.get(0).from()).isEqualTo(LocalDate.of(2027, 12, 1));
        assertThat(all.get(0).to()).isEqualTo(LocalDate.of(2028, 1, 20));
    }

    @Test
    void aWorkDoneInItsOwnDaysIsNotToBeComeBackFor() {
        List<FollowUp> all = after(LocalDate.of(2027, 6, 15), 45, BLACK, mark("tip", "canes/current", null));
        assertThat(all).extracting(FollowUp::kind).containsExactly("fruited-out");
    }

    @Test
    void whereNothingWasDoneNothingFollows() {
        assertThat(after(WINTER, 45, BLACK)).isEmpty();
    }

    private static final String VINE = "'plant':{'kind':'grape'},'vine':{'prunedAs':'cane','wood':'wine',"
            + "'pruningWeight_kg':0.7,'weightIs':'estimated','canes':[{'id':'a','nodes':15},{'id':'b','nodes':15}]}";

    @Test
    void prunedVinesAreWeighedWhereTheirWeightWasOnlyEstimated() {
        List<FollowUp> all = after(WINTER, 45, VINE, mark("keep-nodes", "a", 15));
        assertThat(all).extracting(FollowUp::kind).containsExactly("weigh", "shoots");
        assertThat(all.get(0).from()).isEqualTo(WINTER);
        assertThat(after(WINTER, 45, VINE.replace("estimated", "weighed"), mark("keep-nodes", "a", 15)))
                .extracting(FollowUp::kind)
                .containsExactly("shoots");
    }
}
