package umbel.app.people;

import java.security.SecureRandom;
import java.util.Locale;

/**
 * What an invitation is taken by.
 *
 * @param text letters and digits that are not taken for one another, in groups
 */
record InvitationCode(String text) {

    private static final String LETTERS = "ABCDEFGHJKLMNPQRSTUVWXYZ23456789";
    private static final int LENGTH = 12;
    private static final int GROUP = 4;
    private static final SecureRandom RANDOM = new SecureRandom();

    /** A new one, which nobody can guess. */
    static InvitationCode draw() {
        StringBuilder text = new StringBuilder();
        for (int i = 0; i < LENGTH; i++) {
            text.append(i > 0 && i % GROUP == 0 ? "-" : "").append(LETTERS.charAt(RANDOM.nextInt(LETTERS.length())));
        }
        return new InvitationCode(text.toString());
    }

    /** As it is kept, however it was spaced. */
    String digest() {
        return KeyFilter.hash(text.replaceAll("[\\s-]", "").toUpperCase(Locale.ROOT));
    }
}
