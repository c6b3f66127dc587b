package umbel.app.people;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class AskingTest {

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/api/assess",
                "/api/measures/sky",
                "/api/plantings/compare",
                "/api/plantings/household",
                "/api/practice/limb",
                "/api/practice/exercises/apple_1/limbs/3/options",
                "/api/plants/preview",
                "/api/plants/28/marks",
                "/api/plants/28/plans",
                "/api/survey/preview",
                "/api/survey/photographs",
                "/api/blocks/2/reading",
                "/api/blocks/2/surveys/preview",
                "/api/readings/7",
                "/api/trees/3/limbs/4a/options",
                "/api/trees/3/marks",
                "/api/trees/3/plans",
                "/api/trees/3/plans/first",
                "/api/trees/3/schools",
                "/api/trees/3/schools/line",
                "/api/trees/3/sheet",
                "/api/trees/3/years",
                "/api/trees/3/years/2/drawing"
            })
    void whatOnlyComputesChangesNothing(String path) {
        assertThat(Asking.changesNothing(path)).isTrue();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/api/trees/3/surveys",
                "/api/trees/3/work",
                "/api/trees/3/records",
                "/api/trees/3/measures",
                "/api/trees/3/photos",
                "/api/blocks/2",
                "/api/blocks/2/surveys",
                "/api/accounts",
                "/api/plants/28/work",
                "/api/holdings/1/limits"
            })
    void whatIsKeptIsAChange(String path) {
        assertThat(Asking.changesNothing(path)).isFalse();
    }
}
