package umbel.practice;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What was known rests longer each time; what was missed comes at once. */
class SkillBoxesTest {

    private static final List<Integer> DAYS = List.of(0, 1, 3, 7);
    private static final LocalDate DAY = LocalDate.of(2027, 1, 10);

    private static SkillBoxes.Shown shown(String skill, int day, boolean known) {
        return new SkillBoxes.Shown(skill, DAY.plusDays(day), known);
    }

    @Test
    void aSkillKnownThriceRestsAWeek() {
        assertThat(SkillBoxes.of(
                        List.of(shown("a", 4, true), shown("a", 0, true), shown("a", 1, true), shown("a", 20, true)),
                        DAYS))
                .containsExactly(new SkillBoxes.Standing("a", 3, 4, 4, DAY.plusDays(27)));
    }

    @Test
    void aSkillMissedStartsAnew() {
        assertThat(SkillBoxes.of(List.of(shown("a", 0, true), shown("a", 1, true), shown("a", 4, false)), DAYS))
                .containsExactly(new SkillBoxes.Standing("a", 0, 3, 2, DAY.plusDays(4)));
    }

    @Test
    void theLongestDueComesFirst() {
        assertThat(SkillBoxes.of(List.of(shown("a", 0, true), shown("b", 0, false), shown("c", 0, true)), DAYS))
                .extracting(SkillBoxes.Standing::skill)
                .containsExactly("b", "a", "c");
        assertThat(SkillBoxes.of(List.of(), DAYS)).isEmpty();
    }
}
