package app.tychon.server.door;

import app.tychon.server.people.OwnAccount;
import app.tychon.server.people.People;
import com.fasterxml.jackson.databind.ObjectMapper;
import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.security.authorization.AuthorizationDecision;
import org.springframework.security.config.annotation.web.builders.HttpSecurity;
import org.springframework.security.config.annotation.web.configurers.AbstractHttpConfigurer;
import org.springframework.security.config.http.SessionCreationPolicy;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.oauth2.client.registration.ClientRegistrationRepository;
import org.springframework.security.web.SecurityFilterChain;
import org.springframework.security.web.access.intercept.AuthorizationFilter;
import org.springframework.security.web.authentication.session.ChangeSessionIdAuthenticationStrategy;
import org.springframework.security.web.authentication.session.CompositeSessionAuthenticationStrategy;
import org.springframework.security.web.authentication.session.SessionAuthenticationStrategy;
import org.springframework.security.web.context.HttpSessionSecurityContextRepository;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.security.web.csrf.CookieCsrfTokenRepository;
import org.springframework.security.web.csrf.CsrfAuthenticationStrategy;
import org.springframework.security.web.csrf.CsrfFilter;
import org.springframework.security.web.csrf.CsrfTokenRepository;
import org.springframework.security.web.header.writers.CrossOriginOpenerPolicyHeaderWriter.CrossOriginOpenerPolicy;
import org.springframework.security.web.header.writers.CrossOriginResourcePolicyHeaderWriter.CrossOriginResourcePolicy;
import org.springframework.security.web.header.writers.ReferrerPolicyHeaderWriter.ReferrerPolicy;

/**
 * Who is let in, and what a browser may do with what it gets. Which project somebody may read or edit is said where it is asked
 * for, by the annotations of {@code rights}.
 */
@Configuration
class Door {
    /** Styles are made while the application runs; pictures and type may lie within them. */
    private static final String CONTENT_POLICY = "default-src 'self'; style-src 'self' 'unsafe-inline';"
            + " img-src 'self' data: blob:; font-src 'self' data:; connect-src 'self' data: blob:; object-src 'none';"
            + " base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

    private static final String NOTHING_OF_THE_DEVICE = "camera=(), microphone=(), geolocation=(), payment=(), usb=()";
    private static final Duration A_YEAR = Duration.ofDays(365);

    private final ObjectMapper json;

    Door(ObjectMapper json) {
        this.json = json;
    }

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }

    @Bean
    CsrfTokenRepository csrfTokens(@Value("${server.servlet.session.cookie.secure:false}") boolean secure) {
        CookieCsrfTokenRepository tokens = CookieCsrfTokenRepository.withHttpOnlyFalse();
        tokens.setCookieCustomizer(cookie -> cookie.secure(secure).sameSite("Lax"));
        return tokens;
    }

    @Bean
    SecurityContextRepository contexts() {
        return new HttpSessionSecurityContextRepository();
    }

    /** Whoever signs in gets a key of their session that nobody knew before, and another token against foreign forms. */
    @Bean
    SessionAuthenticationStrategy freshSession(CsrfTokenRepository tokens) {
        return new CompositeSessionAuthenticationStrategy(
                List.of(new ChangeSessionIdAuthenticationStrategy(), new CsrfAuthenticationStrategy(tokens)));
    }

    /** There are no users but our accounts; without this one would be made up. */
    @Bean
    UserDetailsService noOtherUsers() {
        return name -> {
            throw new UsernameNotFoundException(name);
        };
    }

    @Bean
    SecurityFilterChain chain(
            HttpSecurity http,
            MachineKey machine,
            OwnAccount accounts,
            People people,
            CsrfTokenRepository tokens,
            SecurityContextRepository contexts,
            Clock clock,
            Optional<SingleSignOn> singleSignOn,
            Optional<ClientRegistrationRepository> provider,
            @Value("${tychon.session-longest:PT12H}") Duration longest)
            throws Exception {
        http.securityContext(security -> security.securityContextRepository(contexts))
                .sessionManagement(sessions -> sessions.sessionCreationPolicy(SessionCreationPolicy.IF_REQUIRED))
                .requestCache(AbstractHttpConfigurer::disable)
                .formLogin(AbstractHttpConfigurer::disable)
                .httpBasic(AbstractHttpConfigurer::disable)
                .logout(AbstractHttpConfigurer::disable)
                .csrf(csrf -> csrf.csrfTokenRepository(tokens)
                        .csrfTokenRequestHandler(new SpaCsrfHandler())
                        .ignoringRequestMatchers(BearerFilter::bears))
                .authorizeHttpRequests(requests -> requests.dispatcherTypeMatchers(
                                DispatcherType.ASYNC, DispatcherType.ERROR, DispatcherType.FORWARD)
                        .permitAll()
                        .requestMatchers("/api/me", "/api/session", "/api/lost", "/api/join/*")
                        .permitAll()
                        .requestMatchers("/metrics")
                        .access((asking, request) -> new AuthorizationDecision(people.administer()))
                        .requestMatchers("/api/**")
                        .authenticated()
                        .anyRequest()
                        .permitAll())
                .exceptionHandling(
                        faults -> faults.authenticationEntryPoint(
                                        (request, response, e) -> answer(
                                                response,
                                                HttpStatus.UNAUTHORIZED,
                                                people.areHere()
                                                        ? "You are not signed in, or no longer. Nothing was changed."
                                                        : "This server lets in only whoever started it: open the address that it printed. Nothing was changed."))
                                .accessDeniedHandler(
                                        (request, response, e) -> answer(
                                                response,
                                                HttpStatus.FORBIDDEN,
                                                "The page is too old to change anything, or it is not one of ours. Nothing was changed; load the page anew.")))
                .headers(headers -> headers.contentSecurityPolicy(policy -> policy.policyDirectives(CONTENT_POLICY))
                        .frameOptions(frames -> frames.deny())
                        .referrerPolicy(referrer -> referrer.policy(ReferrerPolicy.SAME_ORIGIN))
                        .permissionsPolicyHeader(permissions -> permissions.policy(NOTHING_OF_THE_DEVICE))
                        .crossOriginOpenerPolicy(opener -> opener.policy(CrossOriginOpenerPolicy.SAME_ORIGIN))
                        .crossOriginResourcePolicy(resource -> resource.policy(CrossOriginResourcePolicy.SAME_ORIGIN))
                        .httpStrictTransportSecurity(strict ->
                                strict.maxAgeInSeconds(A_YEAR.toSeconds()).includeSubDomains(false)));
        if (singleSignOn.isPresent()) {
            http.oauth2Login(login -> singleSignOn.get().configure(login, provider.orElseThrow()));
        }
        BearerFilter bearer = new BearerFilter(machine, accounts, people);
        http.addFilterBefore(bearer, CsrfFilter.class);
        http.addFilterBefore(new SessionLimits(people, longest, clock), AuthorizationFilter.class);
        return http.build();
    }

    private void answer(HttpServletResponse response, HttpStatus status, String sentence) throws IOException {
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding("UTF-8");
        json.writeValue(response.getWriter(), ProblemDetail.forStatusAndDetail(status, sentence));
    }
}
