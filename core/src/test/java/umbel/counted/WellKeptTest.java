package umbel.counted;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.MonthDay;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import umbel.drawing.CountedSvg;
import umbel.knowledge.CountedKind;
import umbel.knowledge.Knowledge;
import umbel.reading.Severity;

class WellKeptTest {

    static List<CountedKind> kinds() {
        return Knowledge.shipped().allCounted();
    }

    @ParameterizedTest
    @MethodSource("kinds")
    void aWellKeptPlantNeedsNothingUrgentAndCanBeDrawn(CountedKind kind) {
        CountSurvey survey = WellKept.of(kind);
        assertThat(Counts.read(survey).reading().findings())
                .extracting(CountFinding::severity)
                .doesNotContain(Severity.ACT);
        assertThat(CountedSvg.draw(survey, List.of(), CountedSvg.Ink.SCREEN))
                .startsWith("<svg")
                .contains("data-cane")
                .doesNotContain("NaN");
    }

    @Test
    void theYearIsLaterUphillAndTowardsThePolesAndHalfAYearOnInTheSouth() {
        CountedKind.Window cut =
                Knowledge.shipped().counted("blueberry").window("dormant").orElseThrow();
        assertThat(cut.at(45, 0)).isEqualTo(new CountedKind.Days(MonthDay.of(2, 1), MonthDay.of(3, 31)));
        assertThat(cut.at(47.5, 0).from()).isEqualTo(MonthDay.of(2, 11));
        assertThat(cut.at(45, 300).from()).isEqualTo(MonthDay.of(2, 11));
        assertThat(cut.at(-45, 0).from()).isEqualTo(MonthDay.of(8, 1));
    }
}
