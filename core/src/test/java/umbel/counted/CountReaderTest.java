package umbel.counted;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.json.JsonMapper;
import umbel.survey.InvalidSurvey;

class CountReaderTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final String HEAD = "{'format':'umbel-count/1','plant':{'kind':'blueberry'},";

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '~',
            value = {
                "'canes':[{'age_y':1}]}|canes[0].id",
                "'canes':[{'id':'a','age_y':0}]}|canes[0].age_y",
                "'canes':[{'id':'a'},{'id':'a'}]}|canes[1].id",
                "'canes':[{'id':'a','rubs':['z']}]}|canes[0].rubs",
                "'canes':[{'id':'a','attitude':'sideways'}]}|canes[0].attitude",
                "'canes':[{'id':'a','count':300}]}|canes[0].count",
                "'row':{'length_m':2}}|row",
                "'row':{'canes':[]}}|row.length_m",
                "'row':{'length_m':2,'canes':[{'class':'new','count':3,'weak':2,'outside':2}]}}|row.canes[0].weak",
                "'vine':{'canes':[{'id':'c','nodes':4,'arm':'X'}]}}|vine.canes[0].arm",
                "'vine':{'budSample':{'n':4,'dead':6}}}|vine.budSample.dead",
                "'surveyedOn':'2027-02-30','canes':[]}|surveyedOn"
            })
    void aFaultNamesItsField(String rest, String field) {
        InvalidSurvey refused = catchThrowableOfType(InvalidSurvey.class, () -> Counts.survey(HEAD + rest));
        assertThat(refused.errors())
                .anySatisfy(error -> assertThat(error.field()).isEqualTo(field));
    }

    @Test
    void exactlyOneOfTheThreeFormsIsGiven() {
        assertThat(catchThrowableOfType(InvalidSurvey.class, () -> Counts.survey(HEAD + "'site':null}"))
                        .errors())
                .isNotEmpty();
        assertThat(catchThrowableOfType(
                                InvalidSurvey.class, () -> Counts.survey(HEAD + "'canes':[],'vine':{'canes':[]}}"))
                        .errors())
                .isNotEmpty();
    }

    @Test
    void whatIsReadIsWrittenBackTheSame() {
        CountSurvey survey =
                Counts.bush("currant-red", 7, "{'id':'x','diameter_mm':14,'twiggy':true,'rubs':['a1-0']}", 2, 3, 1);
        assertThat(CountReader.read(JSON.readTree(CountReader.write(survey)))).isEqualTo(survey);
    }

    @Test
    void whatIsNoCountedPlantIsToldApart() {
        assertThat(CountReader.isCount(JSON.readTree("{\"format\":\"umbel-survey/1\"}")))
                .isFalse();
        assertThat(CountReader.isCount(JSON.readTree("{\"format\":\"umbel-count/1\"}")))
                .isTrue();
        assertThat(CountReader.isCount(null)).isFalse();
    }
}
