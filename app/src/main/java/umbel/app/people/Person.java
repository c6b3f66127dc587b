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

/** Whoever works on the holding, signs in here, or both. */
@Entity
public class Person {

    private static final double USUAL_HOURS = 7;

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
    private boolean crew = true;
    private boolean maySignIn = true;
    private long signInEpoch;
    private Boolean founder;

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

    /** Somebody who signs in and is not of the crew. */
    public static Person withoutCrewWork(String name, String language) {
        Person person = new Person(name, language, USUAL_HOURS, false, false);
        person.crew = false;
        return person;
    }

    /** Whether they work in the crew, and are planned with. */
    public boolean crew() {
        return crew;
    }

    /** Takes them into the crew, or out of it. */
    void crew(boolean works) {
        crew = works;
    }

    /** Whether their login lets them in. */
    boolean maySignIn() {
        return maySignIn;
    }

    /** Counts the changes of their rights; a session from before the last change is over. */
    long signInEpoch() {
        return signInEpoch;
    }

    /** The first account of all; the database holds that there is one. */
    void founder() {
        founder = true;
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

    /** Lets them sign in, or no longer; a null password leaves the one they have. Their open sessions are over if anything changes. */
    void account(String newLogin, String newHash, Role newRole, boolean letIn) {
        boolean changed =
                !newLogin.equals(login) || newHash != null || !newRole.word().equals(role) || letIn != maySignIn;
        login = newLogin;
        role = newRole.word();
        maySignIn = letIn;
        if (newHash != null) {
            passwordHash = newHash;
        }
        if (changed) {
            signInEpoch++;
        }
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
