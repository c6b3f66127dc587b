package umbel.app.http;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import umbel.app.UmbelSettings;

/**
 * Saves nothing once the disk is nearly full, and says so. A database that meets the end of the disk in the midst of a write
 * gives up; refusing before leaves it whole, and it goes on by itself as soon as there is room.
 */
@Component
@Order(2)
class DiskRoom extends OncePerRequestFilter {

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

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (Files.exists(data) && Files.getFileStore(data).getUsableSpace() < least) {
            Problems.write(
                    response,
                    507,
                    "The disk is full",
                    "The disk is full: nothing can be saved until there is room on it. What was saved before is safe.");
        } else {
            chain.doFilter(request, response);
        }
    }
}
