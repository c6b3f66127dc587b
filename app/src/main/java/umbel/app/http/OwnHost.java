package umbel.app.http;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.Locale;
import java.util.Set;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import umbel.app.UmbelSettings;
import umbel.text.Statement;

/**
 * The demo lets in whoever sits at this machine. A page from elsewhere, shown in a browser on this machine, must not: the demo
 * answers only under this machine's own names, and takes changes only from its own pages.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class OwnHost extends OncePerRequestFilter {

    private static final Set<String> OWN = Set.of("localhost", "127.0.0.1", "[::1]", "0:0:0:0:0:0:0:1", "::1");
    private static final Set<String> READING = Set.of("GET", "HEAD", "OPTIONS");

    private final boolean demo;

    OwnHost(UmbelSettings settings, @Value("${server.address:127.0.0.1}") String address) {
        this.demo = settings.demo() && OWN.contains(address);
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !demo;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (!OWN.contains(request.getServerName().toLowerCase(Locale.ROOT))) {
            Problems.write(response, 421, Statement.of("problem.not-this-host"));
        } else if (!READING.contains(request.getMethod()) && fromElsewhere(request)) {
            Problems.write(response, 403, Statement.of("problem.from-elsewhere"));
        } else {
            chain.doFilter(request, response);
        }
    }

    private static boolean fromElsewhere(HttpServletRequest request) {
        String origin = request.getHeader("Origin");
        if (origin == null) {
            return false;
        }
        try {
            URI from = URI.create(origin);
            return from.getHost() == null
                    || !OWN.contains(from.getHost().toLowerCase(Locale.ROOT))
                    || from.getPort() != request.getServerPort();
        } catch (IllegalArgumentException e) {
            return true;
        }
    }
}
