package umbel.app.people;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.util.HexFormat;
import java.util.List;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.core.context.SecurityContextImpl;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Lets other programs have trees assessed by a key: {@code Authorization: Bearer …}, for POST /api/assess and nothing else. */
@Component
class KeyFilter extends OncePerRequestFilter {

    private static final String BEARER = "Bearer ";

    private final AccessKeyRepository keys;
    private final Clock clock;

    KeyFilter(AccessKeyRepository keys, Clock clock) {
        this.keys = keys;
        this.clock = clock;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getRequestURI().equals("/api/assess");
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String header = request.getHeader("Authorization");
        if (header != null && header.startsWith(BEARER)) {
            keys.findByKeyHashAndRevokedFalse(
                            hash(header.substring(BEARER.length()).strip()))
                    .filter(key -> keys.used(key.id(), clock.instant()) == 1)
                    .ifPresent(key -> {
                        SecurityContextHolder.setContext(
                                new SecurityContextImpl(UsernamePasswordAuthenticationToken.authenticated(
                                        "key " + key.name(), null, List.of())));
                    });
        }
        chain.doFilter(request, response);
    }

    /** The key as it is kept: keys are long and random, so a plain digest is enough. */
    static String hash(String key) {
        try {
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(key.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
