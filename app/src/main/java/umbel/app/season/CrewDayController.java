package umbel.app.season;

import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import java.time.LocalDate;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** A day's list for each person, for the office and for whoever stands in the row; and what to leave where days are missing. */
@RestController
class CrewDayController {

    private static final String MOST_HOURS = "100000";

    private final CrewDayService days;
    private final GiveUpService giveUp;

    CrewDayController(CrewDayService days, GiveUpService giveUp) {
        this.days = days;
        this.giveUp = giveUp;
    }

    /** What to leave first where so many hours are missing. */
    @GetMapping("/api/schedule/give-up")
    CrewDayAnswers.GiveUpPage giveUp(
            @RequestParam(defaultValue = "0") @DecimalMin("0") @DecimalMax(MOST_HOURS) double hours) {
        return giveUp.page(hours);
    }

    /** Who goes where on a day and why, and what waits. */
    @GetMapping("/api/field/days/{date}")
    CrewDayAnswers.CrewDay crewDay(@PathVariable LocalDate date) {
        return days.day(date);
    }
}
