package mardun.app.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Set;
import mardun.app.problem.RefusalWriter;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Turns what is far too large away before anything of it is read: the largest layout of the largest batch takes a few
 * megabytes. Lists and photos have smaller limits of their own.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 1)
class RequestSizeFilter extends OncePerRequestFilter {

    static final int MOST_BYTES = 25_000_000;

    /** Archives hold photos; whoever takes them in writes them to the disk as they come, up to a limit of their own. */
    private static final Set<String> ARCHIVES = Set.of("/api/backups/restore", "/api/design-files");

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        long length = request.getContentLengthLong();
        if (length > MOST_BYTES && !ARCHIVES.contains(request.getRequestURI())) {
            refuse(
                    response,
                    HttpServletResponse.SC_REQUEST_ENTITY_TOO_LARGE,
                    "too-large",
                    "This has " + length / 1_000_000 + " MB, and Mardun takes at most " + MOST_BYTES / 1_000_000
                            + " MB at once. Nothing of it was read.");
        } else if (request.getHeader(HttpHeaders.TRANSFER_ENCODING) != null) {
            refuse(
                    response,
                    HttpServletResponse.SC_LENGTH_REQUIRED,
                    "length",
                    "This doesn't say how long it is. Send it with its length.");
        } else {
            chain.doFilter(request, response);
        }
    }

    private static void refuse(HttpServletResponse response, int status, String type, String detail)
            throws IOException {
        // The rest may still be on its way, so nothing more can come over this connection.
        response.setHeader(HttpHeaders.CONNECTION, "close");
        RefusalWriter.write(response, status, type, detail);
    }
}
