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
import umbel.text.Catalogue;
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

    /** By the parameter {@code lang} of a link to a file, else by the header. */
    private static String languageOf(HttpServletRequest request) {
        String asked = "GET".equals(request.getMethod()) ? request.getParameter("lang") : null;
        if (asked != null && Catalogue.LANGUAGES.contains(asked)) {
            return asked;
        }
        return request.getHeader("Accept-Language") == null
                ? ""
                : request.getLocale().getLanguage();
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Reader.begin(Speech.of(languageOf(request), UnitSystem.of(unitsOf(request))));
        try {
            chain.doFilter(request, response);
        } finally {
            Reader.end();
        }
    }
}
