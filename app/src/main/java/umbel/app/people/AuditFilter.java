package umbel.app.people;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import java.util.Set;
import org.springframework.security.authentication.AnonymousAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import umbel.app.farm.FarmScope;

/** Writes down every change somebody who is signed in asks for, and what came of it. Questions are not written down. */
@Component
class AuditFilter extends OncePerRequestFilter {

    private static final Set<String> CHANGING = Set.of("POST", "PUT", "DELETE");
    /** The request attribute that holds the number of the farm somebody entered by it. */
    static final String ENTERED = "umbel.entered";

    private static final int LONGEST_PATH = 300;

    private final AuditRepository trail;
    private final Clock clock;

    AuditFilter(AuditRepository trail, Clock clock) {
        this.trail = trail;
        this.clock = clock;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        String path = request.getRequestURI();
        return !CHANGING.contains(request.getMethod()) || !path.startsWith("/api/") || Asking.changesNothing(path);
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Authentication before = SecurityContextHolder.getContext().getAuthentication();
        chain.doFilter(request, response);
        Authentication after = SecurityContextHolder.getContext().getAuthentication();
        Authentication who = nobody(after) ? before : after;
        if (nobody(who)) {
            return; // whoever is not let in must not be able to fill the trail
        }
        String path = request.getRequestURI();
        AuditLine line = new AuditLine(
                clock.instant(),
                who.getName(),
                request.getMethod(),
                path.substring(0, Math.min(LONGEST_PATH, path.length())),
                response.getStatus());
        // whoever signs in does so before there is a farm the request is for
        long farm = request.getAttribute(ENTERED) instanceof Long entered ? entered : FarmScope.current();
        FarmScope.run(farm, () -> trail.save(line));
    }

    private static boolean nobody(Authentication who) {
        return who == null
                || who instanceof AnonymousAuthenticationToken && !who.getName().equals(Security.DEMO);
    }
}
