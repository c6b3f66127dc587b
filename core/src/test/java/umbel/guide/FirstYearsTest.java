package umbel.guide;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import umbel.knowledge.Knowledge;
import umbel.knowledge.TrainingSystem;

/** Every system is shown from its first leaf to the full tree. */
class FirstYearsTest {

    private static final Pattern BOX = Pattern.compile("viewBox=\"([^\"]+)\"");

    static Stream<TrainingSystem> systems() {
        return Knowledge.shipped().allSystems().stream();
    }

    @ParameterizedTest
    @MethodSource("systems")
    void aTreeGrowsFromPictureToPictureAtOneScale(TrainingSystem system) {
        List<FirstYears.InLeaf> years = FirstYears.of(system, Knowledge.shipped());
        assertThat(years.size()).isBetween(2, 5);
        assertThat(years.get(years.size() - 1).leaf()).isEqualTo(system.shape().fullAtLeaf());
        for (int i = 1; i < years.size(); i++) {
            assertThat(years.get(i).leaf()).isGreaterThan(years.get(i - 1).leaf());
            assertThat(years.get(i).top())
                    .as("leaf %s", years.get(i).leaf())
                    .isGreaterThan(0.85 * years.get(i - 1).top());
        }
        assertThat(years.get(years.size() - 1).top()).isGreaterThan(years.get(0).top());
        assertThat(years.stream().map(one -> box(one.drawing())).distinct()).hasSize(1);
    }

    private static String box(String drawing) {
        Matcher box = BOX.matcher(drawing);
        assertThat(box.find()).isTrue();
        return box.group(1);
    }
}
