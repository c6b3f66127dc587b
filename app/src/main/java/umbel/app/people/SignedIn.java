package umbel.app.people;

import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;

/** Who asks, in the thread of the request. */
public final class SignedIn {

    private SignedIn() {}

    /** The name they sign in with. */
    public static String name() {
        Authentication now = SecurityContextHolder.getContext().getAuthentication();
        return now == null ? "" : now.getName();
    }

    /** Whether they have a role. */
    public static boolean is(Role role) {
        Authentication now = SecurityContextHolder.getContext().getAuthentication();
        return now != null
                && now.getAuthorities().stream().anyMatch(one -> ("ROLE_" + role.name()).equals(one.getAuthority()));
    }
}
