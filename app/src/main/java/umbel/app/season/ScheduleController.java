package umbel.app.season;

import jakarta.validation.Valid;
import jakarta.validation.constraints.FutureOrPresent;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Who does what on which day. */
@RestController
@RequestMapping("/api/schedule")
class ScheduleController {

    private final ScheduleService schedule;

    ScheduleController(ScheduleService schedule) {
        this.schedule = schedule;
    }

    /** Where a piece of work is put by hand. */
    public record PutThere(
            long personId, @NotNull @FutureOrPresent LocalDate date) {}

    /** The schedule as it stands, with what it breaks. */
    @GetMapping
    ScheduleAnswers.SchedulePage page() {
        return schedule.page();
    }

    /** Makes it anew; what was put by hand stays. */
    @PostMapping
    @ResponseStatus(HttpStatus.ACCEPTED)
    ScheduleAnswers.SchedulePage make() {
        return schedule.begin();
    }

    /** Ends the making early and keeps the best found. */
    @DeleteMapping("/run")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void stop() {
        schedule.stop();
    }

    /** Puts a piece of work somewhere by hand. */
    @PutMapping("/pieces/{id}")
    ScheduleAnswers.SchedulePage move(@PathVariable long id, @RequestBody @Valid PutThere moved) {
        return schedule.move(id, moved.personId(), moved.date());
    }

    /** Lets a piece put by hand go back to the schedule. */
    @DeleteMapping("/pieces/{id}/pin")
    ScheduleAnswers.SchedulePage letGo(@PathVariable long id) {
        return schedule.letGo(id);
    }
}
