package umbel.app.season;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import umbel.text.Speech;
import umbel.text.Statement;
import umbel.text.Value;

/** Why a schedule was made again, and what moved. */
class ScheduleAgainTest {

    private static final LocalDate DAY = LocalDate.of(2026, 1, 12);

    private static ScheduleAgain.Place place(long block, long person, int days) {
        return new ScheduleAgain.Place(block, "saw", person, DAY.plusDays(days));
    }

    @Test
    void whatIsWithAnotherPersonOrOnAnotherDayHasMovedAndWhatIsNewHasNot() {
        ScheduleAgain note = new ScheduleAgain(
                Statement.of("schedule-again.work").with("block", Value.name("North")),
                List.of(place(1, 1, 0), place(1, 2, 0), place(2, 1, 1), place(3, 1, 2)));
        assertThat(note.isToBeMade()).isTrue();
        assertThat(note.told(Speech.english()::say)).as("not yet made").isNull();
        note.made(List.of(place(1, 1, 0), place(1, 2, 1), place(2, 2, 1), place(4, 1, 2)), Instant.EPOCH);
        assertThat(note.isToBeMade()).isFalse();
        assertThat(note.told(Speech.english()::say))
                .isEqualTo(new ScheduleAnswers.MadeAgain("work was recorded in North", Instant.EPOCH, 3));
    }

    @Test
    void theNextReasonTakesThePlaceOfTheLastOnceItIsMade() {
        ScheduleAgain note = new ScheduleAgain(Statement.of("schedule-again.day"), List.of(place(1, 1, 0)));
        note.made(List.of(), Instant.EPOCH);
        note.begin(Statement.of("schedule-again.weather"), List.of(place(1, 1, 0)));
        assertThat(note.told(Speech.english()::say)).isNull();
        note.made(List.of(place(1, 1, 0)), Instant.EPOCH.plusSeconds(9));
        assertThat(note.told(Speech.english()::say))
                .isEqualTo(new ScheduleAnswers.MadeAgain("new weather was read in", Instant.EPOCH.plusSeconds(9), 0));
    }
}
