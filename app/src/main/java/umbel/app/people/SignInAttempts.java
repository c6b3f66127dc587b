package umbel.app.people;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Locale;
import org.springframework.http.HttpStatus;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;
import umbel.app.http.Refused;
import umbel.text.Statement;

/**
 * Slows guessing of passwords down: so many wrong ones from an address, and so many for one login from it, and that address
 * waits. It tells nothing of which logins there are, and nobody can shut somebody else out from another address. Wrong ones are
 * counted in the database, so that asking several nodes gives nobody more of them; who tried is kept as a digest.
 */
@Component
class SignInAttempts {

    private static final int MOST_OF_LOGIN = 5;
    private static final int MOST_OF_ADDRESS = 25;
    private static final Duration PAUSE = Duration.ofMinutes(15);

    private final JdbcTemplate database;
    private final TransactionTemplate apart;
    private final Clock clock;

    SignInAttempts(JdbcTemplate database, PlatformTransactionManager transactions, Clock clock) {
        this.database = database;
        this.apart = new TransactionTemplate(transactions);
        this.apart.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
        this.clock = clock;
    }

    /** Lets an attempt pass, or refuses it before any password is looked at. */
    void check(String address, String login) {
        if (count(address(address)) >= MOST_OF_ADDRESS || count(login(address, login)) >= MOST_OF_LOGIN) {
            throw new Refused(HttpStatus.TOO_MANY_REQUESTS, Statement.of("problem.too-many-attempts"));
        }
    }

    /** Counts a wrong one, whatever becomes of the request. */
    void failed(String address, String login) {
        Timestamp now = Timestamp.from(clock.instant());
        apart.executeWithoutResult(status -> {
            database.update("delete from sign_in_failure where failed_at < ?", Timestamp.from(pauseBegan()));
            for (String who : new String[] {address(address), login(address, login)}) {
                database.update("insert into sign_in_failure (who, failed_at) values (?, ?)", who, now);
            }
        });
    }

    /** Forgets the wrong ones of a login from an address once it got in. */
    void succeeded(String address, String login) {
        database.update("delete from sign_in_failure where who = ?", login(address, login));
    }

    private int count(String who) {
        Integer count = database.queryForObject(
                "select count(*) from sign_in_failure where who = ? and failed_at >= ?",
                Integer.class,
                who,
                Timestamp.from(pauseBegan()));
        return count == null ? 0 : count;
    }

    private Instant pauseBegan() {
        return clock.instant().minus(PAUSE);
    }

    private static String address(String address) {
        return KeyFilter.hash(address);
    }

    private static String login(String address, String login) {
        return KeyFilter.hash(address + ' ' + login.toLowerCase(Locale.ROOT));
    }
}
