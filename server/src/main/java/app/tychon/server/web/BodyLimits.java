package app.tychon.server.web;

import app.tychon.server.problems.BodyTooMuch;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Every body has a largest size, by what is sent, and a time in which it must have come. */
@Component
@Order(0)
class BodyLimits extends OncePerRequestFilter {
    private static final long MEGABYTE = 1_000_000;
    private static final long WHOLE_PLAN = 200 * MEGABYTE;
    private static final long TABLE = 64 * MEGABYTE;
    private static final long ROWS = 32 * MEGABYTE;
    private static final long FORM = 4 * MEGABYTE;

    private final Duration deadline;

    BodyLimits(@Value("${tychon.body-deadline:PT3M}") Duration deadline) {
        this.deadline = deadline;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        chain.doFilter(new Bounded(request, most(request), deadline), response);
    }

    private static long most(HttpServletRequest request) {
        String path = request.getRequestURI();
        String type = request.getContentType() == null ? "" : request.getContentType();
        if (path.equals("/api/projects")) {
            return WHOLE_PLAN;
        }
        if (!type.startsWith("application/json")) {
            return TABLE;
        }
        return path.contains("/rows") || path.endsWith("/branches") ? ROWS : FORM;
    }

    private static final class Bounded extends HttpServletRequestWrapper {
        private final long most;
        private final Duration deadline;

        Bounded(HttpServletRequest request, long most, Duration deadline) {
            super(request);
            this.most = most;
            this.deadline = deadline;
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            return new BoundedStream(super.getInputStream(), most, deadline);
        }

        @Override
        public BufferedReader getReader() throws IOException {
            return new BufferedReader(new InputStreamReader(getInputStream(), StandardCharsets.UTF_8));
        }
    }

    private static final class BoundedStream extends ServletInputStream {
        private final ServletInputStream whole;
        private final long most;
        private final long until;
        private long read;

        BoundedStream(ServletInputStream whole, long most, Duration deadline) {
            this.whole = whole;
            this.most = most;
            until = System.nanoTime() + deadline.toNanos();
        }

        @Override
        public int read() throws IOException {
            int one = whole.read();
            count(one < 0 ? 0 : 1);
            return one;
        }

        @Override
        public int read(byte[] bytes, int offset, int length) throws IOException {
            int count = whole.read(bytes, offset, length);
            count(Math.max(0, count));
            return count;
        }

        private void count(int more) throws BodyTooMuch {
            read += more;
            if (read > most) {
                throw new BodyTooMuch("What was sent is larger than the " + most / MEGABYTE
                        + " MB that are read here. Nothing was changed.");
            }
            if (more > 0 && System.nanoTime() > until) {
                throw new BodyTooMuch("What was sent took too long to come. Nothing was changed; try again.");
            }
        }

        @Override
        public boolean isFinished() {
            return whole.isFinished();
        }

        @Override
        public boolean isReady() {
            return whole.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
            whole.setReadListener(listener);
        }
    }
}
