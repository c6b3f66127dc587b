package umbel.app.people;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.DayOfWeek;
import java.util.stream.Collectors;
import umbel.crew.CrewMember;

/** Whoever works on the holding. */
@Entity
public class Person {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private String name;
    private String language;

    @Column(name = "hours_a_day")
    private double hoursADay;

    private boolean saw;
    private boolean ladder;
    private String weekdays = "12345";
    private boolean active = true;

    @Version
    private long version;

    protected Person() {}

    /** Somebody new; hours at the trees in a day, and what they are trained for. */
    public Person(String name, String language, double hoursADay, boolean saw, boolean ladder) {
        this.name = name;
        this.language = language;
        this.hoursADay = hoursADay;
        this.saw = saw;
        this.ladder = ladder;
    }

    public Long id() {
        return id;
    }

    public String name() {
        return name;
    }

    public String language() {
        return language;
    }

    public double hoursADay() {
        return hoursADay;
    }

    public boolean saw() {
        return saw;
    }

    public boolean ladder() {
        return ladder;
    }

    /** The days of the week they work, as ISO numbers: 1 is Monday. */
    public String weekdays() {
        return weekdays;
    }

    public boolean active() {
        return active;
    }

    public long version() {
        return version;
    }

    /** Changes what is known of them. */
    public void change(
            String newName,
            String newLanguage,
            double hours,
            boolean saws,
            boolean ladders,
            String days,
            boolean isActive) {
        name = newName;
        language = newLanguage;
        hoursADay = hours;
        saw = saws;
        ladder = ladders;
        weekdays = days;
        active = isActive;
    }

    /** As the schedule sees them. */
    public CrewMember asMember() {
        return new CrewMember(
                id,
                name,
                hoursADay,
                saw,
                ladder,
                weekdays.chars().mapToObj(day -> DayOfWeek.of(day - '0')).collect(Collectors.toSet()));
    }
}
