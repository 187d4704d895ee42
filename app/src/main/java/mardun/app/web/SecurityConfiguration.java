package mardun.app.web;

import jakarta.servlet.http.HttpServletResponse;
import mardun.app.problem.RefusalWriter;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

/** Nobody signs in on the loopback address, but no other page may act in the maker's name. */
@Configuration
class SecurityConfiguration {

    // Styles may stand in elements: the primitives place their layers with them. Scripts may not.
    private static final String CONTENT_POLICY = "default-src 'self'; style-src 'self' 'unsafe-inline'; img-src 'self'"
            + " data:; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

    private static final String FOREIGN =
            "This didn't come from a page of Mardun's own, or the page is older than the server. Load the page anew.";

    /** The token is sent with requests of Mardun's own pages alone. */
    private static CookieCsrfTokenRepository tokens() {
        CookieCsrfTokenRepository tokens = CookieCsrfTokenRepository.withHttpOnlyFalse();
        tokens.setCookieCustomizer(cookie -> cookie.sameSite("Strict"));
        return tokens;
    }

    @Bean
    SecurityFilterChain security(HttpSecurity http) {
        return http.authorizeHttpRequests(requests -> requests.anyRequest().permitAll())
                .csrf(csrf -> csrf.spa().csrfTokenRepository(tokens()))
                .exceptionHandling(refused -> refused.accessDeniedHandler((request, response, denied) ->
                        RefusalWriter.write(response, HttpServletResponse.SC_FORBIDDEN, "foreign", FOREIGN)))
                .sessionManagement(session -> session.sessionCreationPolicy(SessionCreationPolicy.STATELESS))
                .httpBasic(AbstractHttpConfigurer::disable)
                .formLogin(AbstractHttpConfigurer::disable)
                .logout(AbstractHttpConfigurer::disable)
                .requestCache(AbstractHttpConfigurer::disable)
                .headers(headers -> headers.contentSecurityPolicy(csp -> csp.policyDirectives(CONTENT_POLICY))
                        .referrerPolicy(referrer -> referrer.policy(ReferrerPolicy.NO_REFERRER))
                        .cacheControl(cache -> cache.disable()))
                .build();
    }
}
