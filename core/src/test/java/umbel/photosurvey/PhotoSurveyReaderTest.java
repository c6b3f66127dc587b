package umbel.photosurvey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.json.JsonMapper;
import umbel.format.FieldError;
import umbel.knowledge.Knowledge;
import umbel.survey.InvalidSurvey;

class PhotoSurveyReaderTest {

    private static final String STAFF = "'staff':{'foot':{'x':500,'y':1800},'head':{'x':500,'y':800}}";
    private static final String POINTS = "'base':{'x':500,'y':1200},'tip':{'x':700,'y':900}";

    private static PhotoSurveyRequest read(String document) {
        return PhotoSurveyReader.read(
                JsonMapper.builder().build().readTree(document.replace('\'', '"')),
                Knowledge.shipped().photographs());
    }

    private static String document(String limbs, String more) {
        return "{'format':'umbel-photo-survey/1','staff_cm':200,'views':[{'width_px':1000,'height_px':2000,'bearing_deg':0,"
                + STAFF + ",'limbs':[" + limbs + "]" + more + "}]";
    }

    private static List<String> faults(String document) {
        InvalidSurvey refused = catchThrowableOfType(InvalidSurvey.class, () -> read(document));
        assertThat(refused).as("refused").isNotNull();
        return refused.errors().stream().map(FieldError::field).toList();
    }

    @Test
    void whatIsLeftOutIsLeftOut() {
        PhotoSurveyRequest request = read(document("{'id':'1'," + POINTS + "}", "") + "}");
        PhotoSurveyRequest.View view = request.views().get(0);
        assertThat(view.focal35Mm()).isNull();
        assertThat(view.trunkTop()).isNull();
        assertThat(view.limbs().get(0).isOnTrunk()).isTrue();
        assertThat(view.limbs().get(0).bend()).isNull();
        assertThat(request.pairs()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{'id':'1','base':{'x':500,'y':1200}}|views[0].limbs[0].tip",
                "{'id':'trunk',P}|views[0].limbs[0].id",
                "{'id':'1',P},{'id':'1',P}|views[0].limbs[1].id",
                "{'id':'1','parent':'9',P}|views[0].limbs[0].parent",
                "{'id':'1','base':{'x':1001,'y':1200},'tip':{'x':700,'y':900}}|views[0].limbs[0].base",
                "{'id':'1','base':{'x':500,'y':1200},'tip':{'x':700,'y':2001}}|views[0].limbs[0].tip"
            })
    void aFaultIsNamedByItsField(String limbs, String field) {
        assertThat(faults(document(limbs.replace("P", POINTS), "") + "}")).containsExactly(field);
    }

    @Test
    void limbsThatStandOnEachOtherAreRefused() {
        String limbs = "{'id':'1','parent':'2'," + POINTS + "},{'id':'2','parent':'1'," + POINTS + "}";
        assertThat(faults(document(limbs, "") + "}"))
                .containsExactly("views[0].limbs[0].parent", "views[0].limbs[1].parent");
    }

    @Test
    void pairsNeedTwoPictures() {
        assertThat(faults(document("{'id':'1'," + POINTS + "}", "") + ",'pairs':[{'first':'1','second':'a'}]}"))
                .containsExactly("pairs");
    }

    @Test
    void aStaffStandsUpright() {
        String turned = document("", "").replace("'y':1800", "'y':700");
        assertThat(faults(turned + "}")).containsExactly("views[0].staff.head");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "[]|",
                "{'format':'umbel-photo-survey/2'}|",
                "{'format':'umbel-photo-survey/1','staff_cm':2,'views':[]}|"
            })
    void whatIsNoSurveyIsRefused(String document) {
        assertThat(faults(document)).isNotEmpty();
    }

    @ParameterizedTest
    @CsvSource({"0, false", "10, false", "20, true", "90, true", "175, false", "350, false", "330, true"})
    void picturesFromTheSameOrTheOppositeSideAreRefused(int bearing, boolean taken) {
        String one = "{'width_px':1000,'height_px':2000,'bearing_deg':0," + STAFF + ",'limbs':[]}";
        String both = "{'format':'umbel-photo-survey/1','staff_cm':200,'views':[" + one + ","
                + one.replace("'bearing_deg':0", "'bearing_deg':" + bearing) + "]}";
        if (taken) {
            assertThat(read(both).views()).hasSize(2);
        } else {
            assertThat(faults(both)).containsExactly("views[1].bearing_deg");
        }
    }
}
