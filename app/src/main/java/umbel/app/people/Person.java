package umbel.app.people;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.Instant;
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

    private String login;
    private String passwordHash;
    private String role = Role.PRUNER.word();
    private int failures;
    private Instant lockedUntil;

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

    /** What they sign in with; null for those who never do. */
    public String login() {
        return login;
    }

    String passwordHash() {
        return passwordHash;
    }

    /** What they may do. */
    public Role role() {
        return Role.of(role);
    }

    /** Lets them sign in; a null password leaves the one they have. */
    void account(String newLogin, String newHash, Role newRole) {
        login = newLogin;
        role = newRole.word();
        if (newHash != null) {
            passwordHash = newHash;
            failures = 0;
            lockedUntil = null;
        }
    }

    boolean locked(Instant now) {
        return lockedUntil != null && now.isBefore(lockedUntil);
    }

    /** A wrong password: after some of them nobody signs in with this login for a while. */
    void failed(Instant now, int most, Duration pause) {
        failures++;
        if (failures >= most) {
            lockedUntil = now.plus(pause);
            failures = 0;
        }
    }

    void signedIn() {
        failures = 0;
        lockedUntil = null;
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
