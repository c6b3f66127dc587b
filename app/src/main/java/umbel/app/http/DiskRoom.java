package umbel.app.http;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import umbel.app.UmbelSettings;
import umbel.text.Statement;

/**
 * Saves nothing once the disk is nearly full, and says so. A database that meets the end of the disk in the midst of a write
 * gives up; refusing before leaves it whole, and it goes on by itself as soon as there is room.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 2)
public class DiskRoom extends OncePerRequestFilter {

    private static final Set<String> READING = Set.of("GET", "HEAD", "OPTIONS");

    private final Path data;
    private final long least;

    DiskRoom(UmbelSettings settings) {
        data = settings.data();
        least = settings.leastDisk().toBytes();
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return READING.contains(request.getMethod());
    }

    /** Whether there is too little room to save anything; whatever saves without being asked looks here first. */
    public boolean full() throws IOException {
        return Files.exists(data) && Files.getFileStore(data).getUsableSpace() < least;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (full()) {
            Problems.write(response, 507, Statement.of("problem.disk-full"));
        } else {
            chain.doFilter(request, response);
        }
    }
}
