package umbel.app.reader;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import umbel.text.Speech;
import umbel.text.UnitSystem;

/** Learns from a request in which language ({@code Accept-Language}) and units ({@code Umbel-Units: us}) it is to be answered; before all others, which may refuse it. */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class ReaderFilter extends OncePerRequestFilter {

    static final String UNITS = "Umbel-Units";

    /** By the header, or for a link to a file by the parameter {@code units}. */
    private static String unitsOf(HttpServletRequest request) {
        String header = request.getHeader(UNITS);
        return header == null && "GET".equals(request.getMethod()) ? request.getParameter("units") : header;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String language = request.getHeader("Accept-Language") == null
                ? ""
                : request.getLocale().getLanguage();
        Reader.begin(Speech.of(language, UnitSystem.of(unitsOf(request))));
        try {
            chain.doFilter(request, response);
        } finally {
            Reader.end();
        }
    }
}
