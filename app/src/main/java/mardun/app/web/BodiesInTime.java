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
    private final long longestNs;

    BodiesInTime() {
        this(LONGEST_NS);
    }

    /** @param longestNs so long a small body is waited for */
    BodiesInTime(long longestNs) {
        this.longestNs = longestNs;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        long bytes = request.getContentLengthLong();
        if (bytes <= 0) {
            chain.doFilter(request, response);
        } else if (places.tryAcquire()) {
            try {
                chain.doFilter(new Timed(request, longestNs + bytes / SLOWEST_BYTES_A_SECOND * NS_A_SECOND), response);
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

    /** A request whose body is waited for so long, and no longer; what the server takes for itself before it reads isn't counted. */
    private static final class Timed extends HttpServletRequestWrapper {

        private final long longest;

        private Timed(HttpServletRequest request, long longest) {
            super(request);
            this.longest = longest;
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            ServletInputStream body = super.getInputStream();
            return new ServletInputStream() {

                private long waited;

                @Override
                public int read() throws IOException {
                    long begin = System.nanoTime();
                    int one = body.read();
                    waitedSince(begin);
                    return one;
                }

                @Override
                public int read(byte[] into, int from, int most) throws IOException {
                    long begin = System.nanoTime();
                    int some = body.read(into, from, most);
                    waitedSince(begin);
                    return some;
                }

                private void waitedSince(long begin) throws IOException {
                    waited += System.nanoTime() - begin;
                    if (waited > longest) {
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
