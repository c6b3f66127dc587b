package umbel.app.people;

import java.net.InetAddress;
import java.net.UnknownHostException;
import java.security.SecureRandom;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.annotation.Lazy;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * The code that the first account asks for where others than this machine can reach the program: it is printed at the start, so
 * that only whoever started it can make that account.
 */
@Component
@Lazy(false)
class FirstAccountCode {

    private static final Logger LOG = LoggerFactory.getLogger(FirstAccountCode.class);
    private static final String LETTERS = "ABCDEFGHJKLMNPQRSTUVWXYZ23456789";
    private static final int LENGTH = 8;

    private final AccountRepository accounts;
    private final boolean needed;
    private final String code;

    FirstAccountCode(AccountRepository accounts, @Value("${server.address:127.0.0.1}") String address) {
        this.accounts = accounts;
        this.needed = !isLoopback(address);
        SecureRandom random = new SecureRandom();
        StringBuilder letters = new StringBuilder();
        for (int i = 0; i < LENGTH; i++) {
            letters.append(LETTERS.charAt(random.nextInt(LETTERS.length())));
        }
        this.code = letters.toString();
    }

    @EventListener(ApplicationReadyEvent.class)
    void tell() {
        if (needed && accounts.count() == 0) {
            LOG.info("Code for the first account: {}", code);
        }
    }

    boolean needed() {
        return needed;
    }

    /** Whether this is the code, however it is spaced; always so where none is needed. */
    boolean matches(String given) {
        return !needed || given != null && code.equalsIgnoreCase(given.replaceAll("[\\s-]", ""));
    }

    static boolean isLoopback(String address) {
        try {
            return InetAddress.getByName(address).isLoopbackAddress();
        } catch (UnknownHostException e) {
            return false;
        }
    }
}
