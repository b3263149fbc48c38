package app.tychon.server.door;

import app.tychon.server.audit.Audit;
import app.tychon.server.people.People;
import app.tychon.server.people.SignIn;
import app.tychon.server.rights.Who;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.security.config.annotation.web.configurers.oauth2.client.OAuth2LoginConfigurer;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.security.oauth2.client.registration.ClientRegistration;
import org.springframework.security.oauth2.client.registration.ClientRegistrationRepository;
import org.springframework.security.oauth2.client.registration.ClientRegistrations;
import org.springframework.security.oauth2.client.registration.InMemoryClientRegistrationRepository;
import org.springframework.security.oauth2.client.registration.SupplierClientRegistrationRepository;
import org.springframework.security.oauth2.client.web.DefaultOAuth2AuthorizationRequestResolver;
import org.springframework.security.oauth2.client.web.OAuth2AuthorizationRequestCustomizers;
import org.springframework.security.oauth2.core.oidc.user.OidcUser;

/**
 * Single sign-on by OpenID Connect, where a provider is named: the authorization code flow with PKCE, by Spring Security. Whoever
 * comes in must have an account here with the address that the provider has verified.
 */
@Configuration
@ConditionalOnProperty("tychon.oidc.issuer")
class SingleSignOn {
    static final String REGISTRATION = "sso";
    static final String START = "/oidc/start";
    private static final String BACK = "/oidc/back";
    private static final String REFUSED = "/projects?refused=";

    private final People people;
    private final SignIn signIn;
    private final Audit audit;

    SingleSignOn(People people, SignIn signIn, Audit audit) {
        this.people = people;
        this.signIn = signIn;
        this.audit = audit;
    }

    /** The provider is asked for what it offers when somebody comes for the first time, so that we start without it. */
    @Bean
    ClientRegistrationRepository provider(
            @Value("${tychon.oidc.issuer}") String issuer,
            @Value("${tychon.oidc.client}") String client,
            @Value("${tychon.oidc.secret}") String secret) {
        return new SupplierClientRegistrationRepository(() -> {
            ClientRegistration registration = ClientRegistrations.fromIssuerLocation(issuer)
                    .registrationId(REGISTRATION)
                    .clientId(client)
                    .clientSecret(secret)
                    .redirectUri("{baseUrl}" + BACK + "/" + REGISTRATION)
                    .scope("openid", "email", "profile")
                    .build();
            return new InMemoryClientRegistrationRepository(registration);
        });
    }

    void configure(OAuth2LoginConfigurer<?> login, ClientRegistrationRepository provider) {
        DefaultOAuth2AuthorizationRequestResolver requests =
                new DefaultOAuth2AuthorizationRequestResolver(provider, START);
        requests.setAuthorizationRequestCustomizer(OAuth2AuthorizationRequestCustomizers.withPkce());
        login.loginPage("/projects")
                .authorizationEndpoint(start -> start.authorizationRequestResolver(requests))
                .redirectionEndpoint(back -> back.baseUri(BACK + "/*"))
                .successHandler(this::known)
                .failureHandler(this::refused);
    }

    /** The provider knows them; whether they have an account here is another matter. */
    private void known(HttpServletRequest request, HttpServletResponse response, Authentication authentication)
            throws IOException {
        OidcUser user = (OidcUser) authentication.getPrincipal();
        Optional<UUID> account = Boolean.TRUE.equals(user.getEmailVerified())
                ? people.bySubject(user.getIssuer() + " " + user.getSubject(), user.getEmail())
                : Optional.empty();
        if (account.isEmpty()) {
            audit.note("sign-in-refused", "email", user.getEmail(), "for", "no account");
            leave(request);
            response.sendRedirect(REFUSED + "account");
            return;
        }
        signIn.open(Who.person(account.get()), request, response);
        response.sendRedirect("/projects");
    }

    private void refused(HttpServletRequest request, HttpServletResponse response, AuthenticationException e)
            throws IOException {
        audit.note("sign-in-refused", "for", "single sign-on", "why", e.getMessage());
        leave(request);
        response.sendRedirect(REFUSED + "provider");
    }

    private static void leave(HttpServletRequest request) {
        SecurityContextHolder.clearContext();
        if (request.getSession(false) != null) {
            request.getSession().invalidate();
        }
    }
}
