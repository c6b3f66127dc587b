package umbel.app.people;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Base64;
import org.springframework.security.crypto.factory.PasswordEncoderFactories;
import org.springframework.security.crypto.password.PasswordEncoder;

/**
 * Hashes passwords of any length. The framework's usual hash takes 72 bytes and fails beyond; a longer password is digested
 * first, so that all of it counts.
 */
final class LongPasswords implements PasswordEncoder {

    private static final int MOST_BYTES = 72;

    private final PasswordEncoder usual = PasswordEncoderFactories.createDelegatingPasswordEncoder();

    @Override
    public String encode(CharSequence password) {
        return usual.encode(fitting(password));
    }

    @Override
    public boolean matches(CharSequence password, String hash) {
        return usual.matches(fitting(password), hash);
    }

    private static String fitting(CharSequence password) {
        byte[] bytes = password.toString().getBytes(StandardCharsets.UTF_8);
        if (bytes.length <= MOST_BYTES) {
            return password.toString();
        }
        try {
            return Base64.getEncoder()
                    .encodeToString(MessageDigest.getInstance("SHA-256").digest(bytes));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
