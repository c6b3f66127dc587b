package umbel.planting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import umbel.format.FieldError;
import umbel.knowledge.Knowledge;
import umbel.survey.InvalidSurvey;

/** What a comparison of plantings may be asked, written as it is sent. */
class PlantingCheckTest {

    private static final JsonMapper JSON = JsonMapper.builder()
            .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .build();
    private static final String APPLE = "'species':'apple','system':'tall-spindle','price_perKg':0.5";

    private static PlantingRequest sent(String document) {
        try {
            return JSON.readValue(document.replace('\'', '"'), PlantingRequest.class);
        } catch (com.fasterxml.jackson.core.JsonProcessingException e) {
            throw new AssertionError(e);
        }
    }

    private static PlantingRequest whole(String document) {
        return PlantingCheck.complete(sent(document), Knowledge.shipped());
    }

    private static List<String> faults(String document) {
        InvalidSurvey refused = catchThrowableOfType(InvalidSurvey.class, () -> whole(document));
        assertThat(refused).as("refused").isNotNull();
        return refused.errors().stream().map(FieldError::field).toList();
    }

    @Test
    void whatIsLeftOutTakesTheUsualOfItsSystem() {
        PlantingRequest request = whole("{'options':[{" + APPLE + "},{" + APPLE + ",'name':'ours'}]}");
        var usual = Knowledge.shipped().system("tall-spindle");
        PlantingRequest.Planting first = request.options().get(0);
        assertThat(request.options()).extracting(PlantingRequest.Planting::name).containsExactly("A", "ours");
        assertThat(first.spacing().inRow()).isEqualTo(usual.spacing().inRow());
        assertThat(first.spacing().betweenRows()).isEqualTo(usual.spacing().betweenRows());
        assertThat(usual.stocks()).contains(first.rootstockClass());
        assertThat(first.vigour()).isEqualTo("moderate");
        assertThat(first.priceTrend()).isZero();
        assertThat(first.cultivarLifeY()).isNull();
        assertThat(first.costs()).isEmpty();
        assertThat(request.site().areaHa()).isPositive();
        assertThat(request.currency()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"light,low", "low,low", "moderate,moderate", "heavy,high", "high,high"})
    void vigourIsTakenInTheWordsOfEitherFormat(String told, String taken) {
        assertThat(whole("{'options':[{" + APPLE + ",'vigour':'" + told + "'}]}")
                        .options()
                        .get(0)
                        .vigour())
                .isEqualTo(taken);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "'site':{'latitude_deg':67}|site.latitude_deg",
                "'site':{'area_ha':0}|site.area_ha",
                "'site':{'headland_m':-1}|site.headland_m",
                "'horizon_y':61|horizon_y",
                "'interest':1.2|interest",
                "'wage_perHour':0|wage_perHour"
            })
    void theLandAndTheSumsAreHeldToTheirRanges(String part, String field) {
        assertThat(faults("{" + part + ",'options':[{" + APPLE + "}]}")).containsExactly(field);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "'rootstockClass':'tiny'|rootstockClass",
                "'vigour':'wild'|vigour",
                "'spacing_m':{'inRow':0.1,'betweenRows':4}|spacing_m.inRow",
                "'spacing_m':{'inRow':1,'betweenRows':41}|spacing_m.betweenRows",
                "'priceTrend':0.6|priceTrend",
                "'cultivarLife_y':2|cultivarLife_y",
                "'costs':{'helicopters':3}|costs.helicopters"
            })
    void anOptionsFaultIsToldByItsField(String part, String field) {
        assertThat(faults("{'options':[{" + APPLE + "},{" + APPLE + "," + part + "}]}"))
                .containsExactly("options[1]." + field);
    }

    @Test
    void severalFaultsAreToldAtOnce() {
        assertThat(faults("{'interest':-1,'options':[{'species':'apple','system':'tall-spindle'},"
                        + "{'species':'coconut','system':'tall-spindle'},null]}"))
                .containsExactly("options[0].price_perKg", "options[1].species", "options[2]", "interest");
    }

    @ParameterizedTest
    @ValueSource(strings = {"{}", "{'options':[]}", "{'options':null}"})
    void withoutOptionsThereIsNothingToCompare(String document) {
        assertThat(faults(document)).containsExactly("options");
    }

    @Test
    void sixOptionsAreTheMost() {
        String one = "{" + APPLE + "}";
        whole("{'options':[" + String.join(",", List.of(one, one, one, one, one, one)) + "]}");
        assertThat(faults("{'options':[" + String.join(",", List.of(one, one, one, one, one, one, one)) + "]}"))
                .containsExactly("options");
        assertThat(catchThrowableOfType(InvalidSurvey.class, () -> PlantingCheck.complete(null, Knowledge.shipped())))
                .isNotNull();
    }
}
