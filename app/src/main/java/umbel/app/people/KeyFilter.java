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
import java.util.Optional;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.core.context.SecurityContextImpl;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import umbel.app.farm.FarmScope;

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
        Optional<AccessKey> key = header == null || !header.startsWith(BEARER)
                ? Optional.empty()
                : used(hash(header.substring(BEARER.length()).strip()));
        if (key.isEmpty()) {
            chain.doFilter(request, response);
            return;
        }
        SecurityContextHolder.setContext(new SecurityContextImpl(UsernamePasswordAuthenticationToken.authenticated(
                "key " + key.get().name(), null, List.of())));
        FarmScope.filter(key.get().farm(), () -> chain.doFilter(request, response));
    }

    /** The key by its digest, whichever farm made it; the farm of a request is the key's own. */
    private Optional<AccessKey> used(String digest) {
        return FarmScope.acrossFarms(() ->
                keys.findByKeyHashAndRevokedFalse(digest).filter(key -> keys.used(key.id(), clock.instant()) == 1));
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
