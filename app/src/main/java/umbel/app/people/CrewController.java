package umbel.app.people;

import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import umbel.app.http.NotFound;
import umbel.app.http.StaleVersion;
import umbel.text.Catalogue;
import umbel.text.Statement;
import umbel.text.Value;

/** The crew: hours, skills and language. Whether somebody may sign in is not decided here. */
@RestController
@RequestMapping("/api/crew")
class CrewController {

    private final PersonRepository people;

    CrewController(PersonRepository people) {
        this.people = people;
    }

    /** Somebody as they are to be kept. */
    public record CrewEntry(
            @NotBlank @Size(max = 120) String name,

            @Pattern(regexp = Catalogue.ANY_LANGUAGE) String language,

            @DecimalMin(value = "0.5") @DecimalMax(value = "14")
            double hoursADay,

            boolean saw,
            boolean ladder,

            @Pattern(regexp = "(?!.*(.).*\\1)[1-7]{1,7}", message = "problem.working-days") @NotBlank
            String weekdays,

            boolean active,
            Long version) {}

    /** Somebody as they are kept. */
    public record CrewLine(
            long id,
            String name,
            String language,
            double hoursADay,
            boolean saw,
            boolean ladder,
            String weekdays,
            boolean active,
            long version) {}

    /** Everybody, by name. */
    @GetMapping
    @Transactional(readOnly = true)
    List<CrewLine> crew() {
        return people.findByCrewTrueOrderByNameAsc().stream()
                .map(CrewController::line)
                .toList();
    }

    /** Adds somebody. */
    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    @Transactional
    CrewLine add(@RequestBody @Valid CrewEntry entry) {
        return line(people.saveAndFlush(
                new Person(entry.name().strip(), entry.language(), entry.hoursADay(), entry.saw(), entry.ladder())));
    }

    /** Changes somebody; refused when changed elsewhere meanwhile. */
    @PutMapping("/{id}")
    @Transactional
    CrewLine change(@PathVariable long id, @RequestBody @Valid CrewEntry entry) {
        Person person = people.findById(id).orElseThrow(() -> new NotFound("person", id));
        if (entry.version() == null || entry.version() != person.version()) {
            throw new StaleVersion(Statement.of("problem.person-changed").with("person", Value.name(person.name())));
        }
        change(person, entry);
        return line(people.saveAndFlush(person));
    }

    private static void change(Person person, CrewEntry entry) {
        person.change(
                entry.name().strip(),
                entry.language(),
                entry.hoursADay(),
                entry.saw(),
                entry.ladder(),
                entry.weekdays(),
                entry.active());
    }

    private static CrewLine line(Person person) {
        return new CrewLine(
                person.id(),
                person.name(),
                person.language(),
                person.hoursADay(),
                person.saw(),
                person.ladder(),
                person.weekdays(),
                person.active(),
                person.version());
    }
}
