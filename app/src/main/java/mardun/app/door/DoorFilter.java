package mardun.app.door;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.Arrays;
import java.util.Optional;
import java.util.Set;
import mardun.app.problem.RefusalWriter;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Answers only requests that name this machine as their host, and that no page of another site sends. A page on another site could make a
 * browser send requests here under a name of its own that points to this machine; such a request names that other host. What comes over the
 * workroom's network has to carry what was given for the passphrase; the interface itself, in which it is typed, is no secret.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
class DoorFilter extends OncePerRequestFilter {

    /** What a device carries that came in. */
    static final String COOKIE = "mardun-door";

    private static final String SEC_FETCH_SITE = "Sec-Fetch-Site";
    private static final Set<String> OWN_NAMES = Set.of("localhost", "127.0.0.1", "[::1]", "::1");
    private static final Set<String> OWN_ADDRESSES = Set.of("127.0.0.1", "0:0:0:0:0:0:0:1", "::1");
    private static final Set<String> AT_THE_DOOR = Set.of("/api/door", "/api/door/enter");

    /** Asked for when somebody is at the door: the filter is there before the store is. */
    private final ObjectProvider<DoorService> door;

    private final OpenAddresses addresses;

    DoorFilter(ObjectProvider<DoorService> door, OpenAddresses addresses) {
        this.door = door;
        this.addresses = addresses;
    }

    /** Whether a request comes from the machine itself. */
    static boolean isHere(HttpServletRequest request) {
        return OWN_ADDRESSES.contains(request.getLocalAddr());
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        boolean here = isHere(request);
        String host = request.getServerName();
        if (here ? !OWN_NAMES.contains(host) : !addresses.has(host)) {
            RefusalWriter.write(
                    response,
                    HttpServletResponse.SC_MISDIRECTED_REQUEST,
                    "other-host",
                    "Mardun answers only on this machine, as localhost or 127.0.0.1, and at the addresses that it shows"
                            + " while its door is open.");
        } else if (isOfAnotherPage(request)) {
            RefusalWriter.write(
                    response,
                    HttpServletResponse.SC_FORBIDDEN,
                    "other-page",
                    "Another page sent this. Only Mardun's own pages may.");
        } else if (here || !isGuarded(request)) {
            chain.doFilter(request, response);
        } else {
            asGuest(request, response, chain);
        }
    }

    private void asGuest(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Optional<DoorRole> role = role(request);
        if (role.isEmpty()) {
            RefusalWriter.write(
                    response,
                    HttpServletResponse.SC_UNAUTHORIZED,
                    "at-the-door",
                    "This device hasn't said the passphrase yet, or was sent out since.");
        } else if (!role.get().may(request.getMethod(), plainPath(request))) {
            RefusalWriter.write(
                    response,
                    HttpServletResponse.SC_FORBIDDEN,
                    "not-as-this-guest",
                    "This device came in as " + role.get().words()
                            + ", and this isn't among what that may do. With the maker's passphrase it may.");
        } else {
            chain.doFilter(request, response);
        }
    }

    private static boolean isOfAnotherPage(HttpServletRequest request) {
        String origin = request.getHeader(HttpHeaders.ORIGIN);
        boolean isForeign = origin != null && !isSame(origin, request.getHeader(HttpHeaders.HOST));
        return isForeign || isGuarded(request) && !isAskedHere(request.getHeader(SEC_FETCH_SITE));
    }

    /** Browsers say whose page asks, also where they send no origin; who opens an address by hand is nobody's page. */
    private static boolean isAskedHere(@Nullable String site) {
        return site == null || site.equals("same-origin") || site.equals("none");
    }

    private static boolean isSame(String origin, @Nullable String host) {
        try {
            return host != null && host.equals(URI.create(origin).getRawAuthority());
        } catch (IllegalArgumentException unreadable) {
            return false;
        }
    }

    private static boolean isGuarded(HttpServletRequest request) {
        String path = request.getRequestURI();
        boolean isOfTheInterface =
                !path.startsWith("/api/") && !path.startsWith("/v3/") && !path.startsWith("/actuator");
        return !isOfTheInterface && !AT_THE_DOOR.contains(path);
    }

    /** The path, if it is written plainly: one with dots, semicolons or codes in it could mean another than it seems, and is none. */
    private static String plainPath(HttpServletRequest request) {
        String path = request.getRequestURI();
        return path.equals(request.getServletPath()) ? path : "";
    }

    /** As what a device of the workroom's network came in. */
    Optional<DoorRole> role(HttpServletRequest request) {
        return token(request).flatMap(door.getObject()::role);
    }

    private static Optional<String> token(HttpServletRequest request) {
        return request.getCookies() == null
                ? Optional.empty()
                : Arrays.stream(request.getCookies())
                        .filter(cookie -> cookie.getName().equals(COOKIE))
                        .map(Cookie::getValue)
                        .findFirst();
    }
}
