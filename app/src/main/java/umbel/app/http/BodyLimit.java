package umbel.app.http;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import umbel.app.UmbelSettings;

/** Refuses bodies larger than the program will read, by their stated length or, where none is stated, as they are read. */
@Component
@Order(1)
class BodyLimit extends OncePerRequestFilter {

    private final long most;

    BodyLimit(UmbelSettings settings) {
        most = settings.largestBody().toBytes();
    }

    /** A body that turned out too large while it was read. */
    static final class TooLarge extends IOException {
        private static final long serialVersionUID = 1L;

        TooLarge(long most) {
            super("The request is larger than " + most / 1_000_000 + " MB.");
        }
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (request.getContentLengthLong() > most) {
            Problems.write(response, 413, "Too large", new TooLarge(most).getMessage());
            return;
        }
        chain.doFilter(new Counted(request, most), response);
    }

    private static final class Counted extends HttpServletRequestWrapper {
        private final long most;
        private CountedStream stream;

        Counted(HttpServletRequest request, long most) {
            super(request);
            this.most = most;
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            if (stream == null) {
                stream = new CountedStream(super.getInputStream(), most);
            }
            return stream;
        }
    }

    private static final class CountedStream extends ServletInputStream {
        private final ServletInputStream in;
        private final long most;
        private long count;

        CountedStream(ServletInputStream in, long most) {
            this.in = in;
            this.most = most;
        }

        private int counted(int read) throws IOException {
            count += Math.max(0, read);
            if (count > most) {
                throw new TooLarge(most);
            }
            return read;
        }

        @Override
        public int read() throws IOException {
            int one = in.read();
            counted(one < 0 ? 0 : 1);
            return one;
        }

        @Override
        public int read(byte[] into, int from, int length) throws IOException {
            return counted(in.read(into, from, length));
        }

        @Override
        public boolean isFinished() {
            return in.isFinished();
        }

        @Override
        public boolean isReady() {
            return in.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
            in.setReadListener(listener);
        }
    }
}
