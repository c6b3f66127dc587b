package umbel.app.people;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.Locale;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import umbel.app.http.Refused;
import umbel.text.Statement;

/**
 * Slows guessing of passwords down: so many wrong ones from an address, and so many for one login from it, and that address
 * waits. It tells nothing of which logins there are, and nobody can shut somebody else out from another address.
 */
@Component
class SignInAttempts {

    private static final int MOST_OF_LOGIN = 5;
    private static final int MOST_OF_ADDRESS = 25;
    private static final Duration PAUSE = Duration.ofMinutes(15);
    private static final int MOST_KEPT = 100_000;

    private final Cache<String, AtomicInteger> failures =
            Caffeine.newBuilder().expireAfterWrite(PAUSE).maximumSize(MOST_KEPT).build();

    /** Lets an attempt pass, or refuses it before any password is looked at. */
    void check(String address, String login) {
        if (count(address) >= MOST_OF_ADDRESS || count(key(address, login)) >= MOST_OF_LOGIN) {
            throw new Refused(HttpStatus.TOO_MANY_REQUESTS, Statement.of("problem.too-many-attempts"));
        }
    }

    /** Counts a wrong one. */
    void failed(String address, String login) {
        failures.get(address, key -> new AtomicInteger()).incrementAndGet();
        failures.get(key(address, login), key -> new AtomicInteger()).incrementAndGet();
    }

    /** Forgets the wrong ones of a login from an address once it got in. */
    void succeeded(String address, String login) {
        failures.invalidate(key(address, login));
    }

    private int count(String key) {
        AtomicInteger count = failures.getIfPresent(key);
        return count == null ? 0 : count.get();
    }

    private static String key(String address, String login) {
        return address + ' ' + login.toLowerCase(Locale.ROOT);
    }
}
