package umbel.app.farm;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Every address can be asked for in a farm: {@code /farms/CODE/api/holding} is {@code /api/holding} of that farm. Without it the first
 * farm is meant in which whoever asks has a role. Whether they have one is not decided here.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
public class FarmAddress extends OncePerRequestFilter {

    private static final String FARM = "umbel.farm";
    private static final String FIRST_PAGE = "/index.html";
    private static final Pattern IN_A_FARM = Pattern.compile("/farms/([a-z0-9]{1,20})(/.*)?");

    /** The code of the farm that a request is for; empty where it tells none. */
    public static Optional<String> of(HttpServletRequest request) {
        return Optional.ofNullable((String) request.getAttribute(FARM));
    }

    /** How addresses begin in a farm. */
    public static String prefix(String code) {
        return "/farms/" + code;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Matcher address = IN_A_FARM.matcher(request.getRequestURI());
        if (!address.matches()) {
            chain.doFilter(request, response);
            return;
        }
        request.setAttribute(FARM, address.group(1));
        String rest = address.group(2) == null || address.group(2).equals("/") ? FIRST_PAGE : address.group(2);
        chain.doFilter(new Within(request, rest), response);
    }

    /** The request, asking for the rest of its address. */
    private static final class Within extends HttpServletRequestWrapper {

        private final String uri;

        Within(HttpServletRequest request, String uri) {
            super(request);
            this.uri = uri;
        }

        /** Whether it is answered as it was asked: a forwarded request, such as that of an error page, has an address of its own. */
        private boolean asAsked() {
            return getDispatcherType() == DispatcherType.REQUEST || getDispatcherType() == DispatcherType.ASYNC;
        }

        @Override
        public String getRequestURI() {
            return asAsked() ? uri : super.getRequestURI();
        }

        @Override
        public StringBuffer getRequestURL() {
            StringBuffer whole = super.getRequestURL();
            return asAsked()
                    ? whole.replace(whole.length() - super.getRequestURI().length(), whole.length(), uri)
                    : whole;
        }

        @Override
        public String getServletPath() {
            return asAsked() ? uri : super.getServletPath();
        }
    }
}
