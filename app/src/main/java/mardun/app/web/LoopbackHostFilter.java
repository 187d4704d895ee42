package mardun.app.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Set;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Answers only requests that name this machine as their host. A page on another site could make a browser send requests
 * here under a name of its own that points to this machine; such a request names that other host.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class LoopbackHostFilter extends OncePerRequestFilter {

    private static final Set<String> OWN_NAMES = Set.of("localhost", "127.0.0.1", "[::1]", "::1");

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (OWN_NAMES.contains(request.getServerName())) {
            chain.doFilter(request, response);
            return;
        }
        response.setStatus(HttpServletResponse.SC_MISDIRECTED_REQUEST);
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.getWriter()
                .write("{\"type\":\"/problems/other-host\",\"status\":421,\"detail\":\"Mardun answers only on this"
                        + " machine, as localhost or 127.0.0.1.\"}");
    }
}
