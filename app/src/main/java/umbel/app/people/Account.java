package umbel.app.people;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Version;

/** What somebody signs in with, in every farm in which they have a role. It belongs to no farm. */
@Entity
class Account {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private String login;
    private String passwordHash;
    private long signInEpoch;
    private Boolean founder;

    @Version
    private long version;

    protected Account() {}

    Account(String login, String passwordHash) {
        this.login = login;
        this.passwordHash = passwordHash;
    }

    Long id() {
        return id;
    }

    String login() {
        return login;
    }

    String passwordHash() {
        return passwordHash;
    }

    /** Counts the changes of what they sign in with and may do; a session from before the last change is over. */
    long signInEpoch() {
        return signInEpoch;
    }

    /** The first account of all, whose owner keeps this installation; the database holds that there is one. */
    void found() {
        founder = true;
    }

    /** Whether its owner keeps this installation: adds farms, backs everything up. */
    boolean isFounder() {
        return Boolean.TRUE.equals(founder);
    }

    void rename(String newLogin) {
        login = newLogin;
    }

    void password(String newHash) {
        passwordHash = newHash;
    }

    /** Ends every session that is open. */
    void endSessions() {
        signInEpoch++;
    }
}
