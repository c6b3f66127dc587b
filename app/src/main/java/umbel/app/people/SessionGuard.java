package umbel.app.people;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.security.authentication.AnonymousAuthenticationToken;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.core.context.SecurityContextImpl;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import umbel.app.UmbelSettings;
import umbel.app.farm.FarmAddress;
import umbel.app.farm.FarmScope;
import umbel.app.farm.Farms;
import umbel.app.http.Problems;
import umbel.text.Statement;

/**
 * Finds out, for every request, in which farm it is asked and what whoever asks may do there; a farm in which they have no role is told
 * in the same words as one that there is not. A session ends at its next request once the rights it was opened with were changed or withdrawn.
 */
@Component
class SessionGuard extends OncePerRequestFilter {

    /** The session's attribute that holds the epoch of the rights it was opened with. */
    static final String EPOCH = "umbel.epoch";

    private final Memberships memberships;
    private final Farms farms;
    private final boolean openDemo;

    SessionGuard(
            Memberships memberships,
            Farms farms,
            UmbelSettings settings,
            @Value("${server.address:127.0.0.1}") String address) {
        this.memberships = memberships;
        this.farms = farms;
        this.openDemo = Security.openDemo(settings, address);
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getRequestURI().startsWith("/api/");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Optional<String> asked = FarmAddress.of(request);
        if (openDemo) {
            go(
                    asked.isPresent() ? farms.numberOf(asked.get()) : Optional.of(farms.numberOfFirst()),
                    request,
                    response,
                    chain);
            return;
        }
        Authentication now = SecurityContextHolder.getContext().getAuthentication();
        HttpSession session = request.getSession(false);
        if (session == null || now == null || now instanceof AnonymousAuthenticationToken) {
            chain.doFilter(request, response);
            return;
        }
        Optional<Membership> first = memberships.of(now.getName(), Optional.empty());
        if (first.filter(one -> Long.valueOf(one.epoch()).equals(session.getAttribute(EPOCH)))
                .isEmpty()) {
            session.invalidate();
            SecurityContextHolder.setContext(new SecurityContextImpl(new AnonymousAuthenticationToken(
                    "ended", "anonymousUser", List.of(new SimpleGrantedAuthority("ROLE_ANONYMOUS")))));
            chain.doFilter(request, response);
            return;
        }
        Optional<Membership> here = asked.isPresent() ? memberships.of(now.getName(), asked) : first;
        here.ifPresent(one -> SecurityContextHolder.setContext(new SecurityContextImpl(authentication(one))));
        go(here.map(Membership::farm), request, response, chain);
    }

    private static void go(
            Optional<Long> farm, HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (farm.isEmpty()) {
            Problems.write(response, 404, Statement.of("problem.no-such-farm"));
            return;
        }
        FarmScope.filter(farm.get(), () -> chain.doFilter(request, response));
    }

    /** Somebody, with what they may do in a farm. */
    static Authentication authentication(Membership one) {
        return UsernamePasswordAuthenticationToken.authenticated(
                one.login(),
                null,
                List.of(new SimpleGrantedAuthority("ROLE_" + one.as().name())));
    }
}
