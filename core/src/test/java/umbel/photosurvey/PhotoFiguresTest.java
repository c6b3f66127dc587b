package umbel.photosurvey;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import umbel.knowledge.Knowledge;

class PhotoFiguresTest {

    private static final PhotoFigures FIGURES =
            PhotoFigures.of(Knowledge.shipped().photographs());

    @Test
    void classesFollowOnEachOtherAndCountAsTheirMiddles() {
        List<PhotoFigures.GaugeClass> classes = FIGURES.classes();
        for (int i = 0; i < classes.size(); i++) {
            PhotoFigures.GaugeClass one = classes.get(i);
            assertThat(one.takenMm()).isEqualTo((one.fromMm() + one.toMm()) / 2);
            assertThat(one.errorMm()).isPositive().isLessThan(one.toMm() - one.fromMm());
            if (i > 0) {
                assertThat(one.fromMm()).isEqualTo(classes.get(i - 1).toMm());
            }
        }
        // evenly spread over 10 to 15 mm: the standard deviation is 5 / √12
        assertThat(classes.get(1).errorMm()).isEqualTo(1.44, within(0.05));
    }

    @Test
    void whatIsTakenForALimbNobodyGaugedIsAClassOfIts() {
        assertThat(FIGURES.classes())
                .extracting(PhotoFigures.GaugeClass::takenMm)
                .contains(FIGURES.usualMm());
        assertThat(FIGURES.bestFromM()).isLessThan(FIGURES.bestToM());
    }
}
