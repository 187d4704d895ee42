package mardun.app.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.concurrent.Semaphore;
import mardun.app.problem.RefusalWriter;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Bodies come in time, and so many at once that others are answered meanwhile: whoever sends them drop by drop can't hold what the server
 * answers with.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 2)
class BodiesInTime extends OncePerRequestFilter {

    /** Fewer than there are threads. */
    private static final int AT_ONCE = 300;

    private static final long LONGEST_NS = 10_000_000_000L;
    private static final long SLOWEST_BYTES_A_SECOND = 100_000;
    private static final long NS_A_SECOND = 1_000_000_000L;

    private final Semaphore places = new Semaphore(AT_ONCE);

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        long bytes = request.getContentLengthLong();
        if (bytes <= 0) {
            chain.doFilter(request, response);
        } else if (places.tryAcquire()) {
            try {
                chain.doFilter(new Timed(request, LONGEST_NS + bytes / SLOWEST_BYTES_A_SECOND * NS_A_SECOND), response);
            } finally {
                places.release();
            }
        } else {
            RefusalWriter.write(
                    response,
                    HttpServletResponse.SC_SERVICE_UNAVAILABLE,
                    "busy",
                    "Too much is coming in at once. Nothing of this was read; send it again.");
        }
    }

    /** A request whose body is read until a moment, and no longer. */
    private static final class Timed extends HttpServletRequestWrapper {

        private final long begin = System.nanoTime();
        private final long longest;

        private Timed(HttpServletRequest request, long longest) {
            super(request);
            this.longest = longest;
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            ServletInputStream body = super.getInputStream();
            return new ServletInputStream() {
                @Override
                public int read() throws IOException {
                    check();
                    return body.read();
                }

                @Override
                public int read(byte[] into, int from, int most) throws IOException {
                    check();
                    return body.read(into, from, most);
                }

                private void check() throws IOException {
                    if (System.nanoTime() - begin > longest) {
                        throw new IOException("the request came too slowly");
                    }
                }

                @Override
                public boolean isFinished() {
                    return body.isFinished();
                }

                @Override
                public boolean isReady() {
                    return body.isReady();
                }

                @Override
                public void setReadListener(ReadListener listener) {
                    body.setReadListener(listener);
                }
            };
        }
    }
}
