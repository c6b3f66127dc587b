package umbel.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import umbel.knowledge.Knowledge;
import umbel.survey.SurveyReader;
import umbel.wood.TreeBuilder;

/** The mistakes of first years on hand-made young trees: each is told where it is, and not on the sound tree. */
class YoungTreeTest {

    /** A sound two-year tree: three wide limbs, a hand apart, a third of the round between them. */
    private static final String SOUND =
            limb("1", 62, 0, 60, 9) + "," + limb("2", 76, 120, 62, 9) + "," + limb("3", 90, 240, 60, 9);

    private static String limb(String id, int at, int bearing, int angle, int mm) {
        return """
            {"id":"%s","parent":"trunk","role":"scaffold","at_cm":%d,"bearing_deg":%d,"angle_deg":%d,
             "diameter_mm":%d,"length_cm":60,"age_y":1}""".formatted(id, at, bearing, angle, mm);
    }

    private static List<YoungTree.Warning> warnings(String system, int leaf, int union, String limbs) {
        String json = """
            {"format":"umbel-survey/1","tree":{"species":"apple","leaf":%d,"system":"%s"},
             "trunk":{"diameter_mm":26,"height_cm":190,"unionAt_cm":%d},"limbs":[%s]}""".formatted(leaf, system, union, limbs);
        return YoungTree.of(TreeBuilder.build(SurveyReader.read(json), Knowledge.shipped(), 1));
    }

    private static List<String> mistakes(String system, int leaf, int union, String limbs) {
        return warnings(system, leaf, union, limbs).stream()
                .map(YoungTree.Warning::mistake)
                .toList();
    }

    @Test
    void aSoundYoungTreeIsLeftInPeace() {
        assertThat(mistakes("central-leader", 2, 12, SOUND)).isEmpty();
    }

    static Stream<Arguments> mistakesOfTheFirstYears() {
        return Stream.of(
                Arguments.of("two-leaders", 12, SOUND + "," + limb("4", 110, 60, 10, 21)),
                Arguments.of(
                        "one-origin",
                        12,
                        limb("1", 70, 0, 60, 9) + "," + limb("2", 71, 120, 60, 9) + "," + limb("3", 72, 240, 60, 9)),
                Arguments.of(
                        "one-sided",
                        12,
                        limb("1", 62, 0, 60, 9) + "," + limb("2", 76, 40, 60, 9) + "," + limb("3", 90, 80, 60, 9)),
                Arguments.of(
                        "choked-leader",
                        12,
                        SOUND + "," + limb("4", 110, 0, 60, 14) + "," + limb("5", 111, 180, 60, 14)),
                Arguments.of(
                        "nothing-tied-down",
                        12,
                        limb("1", 62, 0, 20, 9) + "," + limb("2", 76, 120, 22, 9) + "," + limb("3", 90, 240, 20, 9)),
                Arguments.of("deep-union", 2, SOUND));
    }

    @ParameterizedTest
    @MethodSource("mistakesOfTheFirstYears")
    void eachMistakeIsTold(String mistake, int union, String limbs) {
        assertThat(mistakes("central-leader", 2, union, limbs)).contains(mistake);
    }

    @Test
    void aLimbUnderTheClearHeightIsTooLow() {
        assertThat(warnings("slender-axe", 2, 12, limb("1", 40, 0, 70, 6) + "," + limb("2", 90, 120, 70, 6)))
                .filteredOn(warning -> warning.mistake().equals("too-low"))
                .singleElement()
                .satisfies(warning -> assertThat(warning.limbs()).containsExactly("1"));
    }

    @Test
    void aTreePastItsFirstYearsIsJudgedByItsFindingsAlone() {
        assertThat(mistakes("central-leader", 4, 2, SOUND)).isEmpty();
    }

    @Test
    void aSystemOfSeveralLeadersMayHaveTwo() {
        assertThat(mistakes("multi-leader", 2, 12, SOUND + "," + limb("4", 110, 60, 10, 21)))
                .doesNotContain("two-leaders");
    }
}
