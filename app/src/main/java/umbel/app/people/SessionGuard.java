package umbel.app.people;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.util.List;
import org.springframework.security.authentication.AnonymousAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.core.context.SecurityContextImpl;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Ends a session at its next request once the rights it was opened with were changed or withdrawn. */
@Component
class SessionGuard extends OncePerRequestFilter {

    /** The session's attribute that holds the epoch of the rights it was opened with. */
    static final String EPOCH = "umbel.epoch";

    private final PersonRepository people;

    SessionGuard(PersonRepository people) {
        this.people = people;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Authentication now = SecurityContextHolder.getContext().getAuthentication();
        HttpSession session = request.getSession(false);
        boolean signedIn = session != null && now != null && !(now instanceof AnonymousAuthenticationToken);
        if (signedIn && !holds(session, now.getName())) {
            session.invalidate();
            SecurityContextHolder.setContext(new SecurityContextImpl(new AnonymousAuthenticationToken(
                    "ended", "anonymousUser", List.of(new SimpleGrantedAuthority("ROLE_ANONYMOUS")))));
        }
        chain.doFilter(request, response);
    }

    private boolean holds(HttpSession session, String login) {
        return session.getAttribute(EPOCH) instanceof Long epoch
                && people.findEpochOf(login).filter(epoch::equals).isPresent();
    }
}
