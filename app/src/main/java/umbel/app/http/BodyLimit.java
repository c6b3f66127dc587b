package umbel.app.http;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import org.springframework.core.annotation.Order;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import umbel.app.UmbelSettings;
import umbel.text.Statement;
import umbel.text.Value;

/**
 * Refuses bodies larger than the program will read, by their stated length or, where none is stated, as they are read; gives up
 * those that take too long to come, and lets no address send more than so many at a time, so that nobody can hold all threads by
 * sending slowly.
 */
@Component
@Order(1)
public class BodyLimit extends OncePerRequestFilter {

    /** The request attribute that drops what is left of its body, as a {@link Runnable}; the connection ends with the answer. */
    public static final String DROP = "umbel.drop-body";

    /** The request attribute with what whoever sent a refused body is told, as a {@link Statement}. */
    static final String TOLD = "umbel.told";

    /** What pages and phones send is mostly smaller, in bytes, and read whole before anything waits for anything else. */
    private static final int SMALL = 1 << 16;

    private static final long REST_NANOS = 2_000_000_000L;
    private static final int REST_BLOCK = 1 << 14;
    /** What is sent to these may be as large as a backup. */
    private static final Set<String> BACKUPS = Set.of("/api/backup/restore", "/api/farms/archive");

    private static final int MOST_AT_A_TIME = 100;
    private static final int MOST_OF_AN_ADDRESS = 40;

    private final long most;
    private final long mostOfBackup;
    private final long nanos;
    private final long nanosOfBackup;
    private final AtomicInteger coming = new AtomicInteger();
    private final ConcurrentHashMap<String, AtomicInteger> comingFrom = new ConcurrentHashMap<>();

    BodyLimit(UmbelSettings settings) {
        most = settings.largestBody().toBytes();
        mostOfBackup = settings.largestBackup().toBytes();
        nanos = settings.bodyTime().toNanos();
        nanosOfBackup = nanos * 90;
    }

    /** A body that turned out too large while it was read. */
    static final class TooLarge extends IOException {
        private static final long serialVersionUID = 1L;
    }

    /** A body that did not come in time. */
    static final class TooSlow extends IOException {
        private static final long serialVersionUID = 1L;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        boolean backup = BACKUPS.contains(request.getRequestURI());
        long limit = backup ? mostOfBackup : most;
        long length = request.getContentLengthLong();
        if (length > limit) {
            refuse(
                    request,
                    response,
                    413,
                    Statement.of("problem.too-large").with("most", Value.count(limit / 1_000_000)));
            refuseTooLarge(request, length);
            return;
        }
        if (length == 0 || length < 0 && request.getHeader("Transfer-Encoding") == null && reads(request)) {
            chain.doFilter(request, response);
            return;
        }
        String address = request.getRemoteAddr() == null ? "" : request.getRemoteAddr();
        Arrival arrival = new Arrival(address, limit, length, System.nanoTime() + (backup ? nanosOfBackup : nanos));
        if (!arrival.begin()) {
            drop(request);
            response.setHeader("Retry-After", "10");
            refuse(request, response, 503, Statement.of("problem.too-many-requests"));
            return;
        }
        Counted counted = new Counted(request, arrival);
        try {
            if (length >= 0 && length <= SMALL && isJson(request)) {
                counted.getInputStream().takeIn();
            }
            chain.doFilter(counted, response);
        } finally {
            readTheRest(counted, arrival);
            arrival.end();
        }
    }

    /** Tells it twice: where the connection ends with the answer, the server has it written anew. */
    private static void refuse(HttpServletRequest request, HttpServletResponse response, int status, Statement told)
            throws IOException {
        request.setAttribute(TOLD, told);
        Problems.write(response, status, told);
    }

    /** Fields of a form are read by the server itself, past what was taken in here. */
    private static boolean isJson(HttpServletRequest request) {
        return request.getContentType() != null
                && request.getContentType().startsWith(MediaType.APPLICATION_JSON_VALUE);
    }

    private void refuseTooLarge(HttpServletRequest request, long length) {
        Arrival arrival = new Arrival(
                String.valueOf(request.getRemoteAddr()), Long.MAX_VALUE, length, System.nanoTime() + REST_NANOS);
        if (arrival.begin()) {
            readTheRest(new Counted(request, arrival), arrival);
            arrival.end();
        } else {
            drop(request);
        }
    }

    /** Reads what a refused request still sends, so that its answer is heard, but not for long: then the rest is dropped. */
    private static void readTheRest(Counted request, Arrival arrival) {
        arrival.hurry();
        byte[] block = new byte[REST_BLOCK];
        try {
            ServletInputStream in = request.getInputStream();
            while (!arrival.there && in.read(block, 0, block.length) >= 0) {
                arrival.hurry();
            }
        } catch (IOException | IllegalStateException e) {
            drop(request);
        }
    }

    private static void drop(HttpServletRequest request) {
        if (request.getAttribute(DROP) instanceof Runnable drop) {
            drop.run();
        }
    }

    private static boolean reads(HttpServletRequest request) {
        return request.getMethod().equals("GET") || request.getMethod().equals("HEAD");
    }

    /** One body on its way. */
    private final class Arrival {

        private final String address;
        private final long limit;
        private final long length;
        private long until;
        private long count;
        private boolean there;

        Arrival(String address, long limit, long length, long until) {
            this.address = address;
            this.limit = limit;
            this.length = length;
            this.until = until;
        }

        boolean begin() {
            int all = coming.incrementAndGet();
            int own = comingFrom
                    .computeIfAbsent(address, key -> new AtomicInteger())
                    .incrementAndGet();
            if (all > MOST_AT_A_TIME || own > MOST_OF_AN_ADDRESS) {
                end();
                return false;
            }
            return true;
        }

        /** Counts what was read; the body is there once all of it was, and then holds nobody up. */
        int read(int bytes) throws IOException {
            count += Math.max(0, bytes);
            if (count > limit) {
                throw new TooLarge();
            }
            if (bytes < 0 || count == length) {
                end();
            } else if (System.nanoTime() > until) {
                throw new TooSlow();
            }
            return bytes;
        }

        /** Leaves a body that nobody waits for little time. */
        void hurry() {
            until = Math.min(until, System.nanoTime() + REST_NANOS);
        }

        void end() {
            if (!there) {
                there = true;
                coming.decrementAndGet();
                comingFrom.computeIfPresent(address, (key, own) -> own.decrementAndGet() <= 0 ? null : own);
            }
        }
    }

    private static final class Counted extends HttpServletRequestWrapper {
        private final Arrival arrival;
        private CountedStream stream;

        Counted(HttpServletRequest request, Arrival arrival) {
            super(request);
            this.arrival = arrival;
        }

        @Override
        public CountedStream getInputStream() throws IOException {
            if (stream == null) {
                stream = new CountedStream(super.getInputStream(), arrival);
            }
            return stream;
        }
    }

    private static final class CountedStream extends ServletInputStream {
        private final ServletInputStream in;
        private final Arrival arrival;
        private ByteArrayInputStream taken = new ByteArrayInputStream(new byte[0]);
        private IOException failed;

        CountedStream(ServletInputStream in, Arrival arrival) {
            this.in = in;
            this.arrival = arrival;
        }

        /** Reads all there is beforehand; what goes wrong with that is told where it would have been read. */
        void takeIn() {
            try {
                taken = new ByteArrayInputStream(readAllBytes());
            } catch (IOException e) {
                failed = e;
            }
        }

        private void requireWhole() throws IOException {
            if (failed != null) {
                throw failed;
            }
        }

        @Override
        public int read() throws IOException {
            requireWhole();
            if (taken.available() > 0) {
                return taken.read();
            }
            int one = in.read();
            arrival.read(one < 0 ? -1 : 1);
            return one;
        }

        @Override
        public int read(byte[] into, int from, int length) throws IOException {
            requireWhole();
            return taken.available() > 0 ? taken.read(into, from, length) : arrival.read(in.read(into, from, length));
        }

        @Override
        public boolean isFinished() {
            return taken.available() == 0 && in.isFinished();
        }

        @Override
        public boolean isReady() {
            return taken.available() > 0 || in.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
            in.setReadListener(listener);
        }
    }
}
