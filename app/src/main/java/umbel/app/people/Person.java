package umbel.app.people;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Version;
import java.time.DayOfWeek;
import java.util.stream.Collectors;
import umbel.app.farm.OfOneFarm;
import umbel.crew.CrewMember;

/** Whoever works on the holding, signs in here, or both. */
@Entity
public class Person extends OfOneFarm {

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

    @ManyToOne
    private Account account;

    private String role = Role.PRUNER.word();
    private boolean crew = true;
    private boolean maySignIn = true;

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

    /** What they sign in with; null for those who never do. */
    public String login() {
        return account == null ? null : account.login();
    }

    /** Their account; null for those who never sign in. */
    Account account() {
        return account;
    }

    /** What they may do. */
    public Role role() {
        return Role.of(role);
    }

    /** Gives them a role here, by an account. */
    void join(Account with, Role as) {
        account = with;
        role = as.word();
        maySignIn = true;
    }

    /** Gives them another role, or lets them in no longer; tells whether that changed anything. */
    boolean may(Role newRole, boolean letIn) {
        boolean changed = !newRole.word().equals(role) || letIn != maySignIn;
        role = newRole.word();
        maySignIn = letIn;
        return changed;
    }

    /** They work here no longer, and their account is theirs alone. */
    void leave() {
        account = null;
        maySignIn = false;
        active = false;
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
