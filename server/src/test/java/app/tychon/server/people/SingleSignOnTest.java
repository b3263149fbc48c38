package app.tychon.server.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.startsWith;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import jakarta.servlet.http.Cookie;
import java.util.Arrays;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.web.util.UriComponents;
import org.springframework.web.util.UriComponentsBuilder;

/** Coming in by a provider of OpenID Connect. */
class SingleSignOnTest extends PeopledTest {
    /** The way there and back: what the provider says in between is given. */
    private ResultActions comeAs(String subject, String email, boolean verified) throws Exception {
        MockHttpServletResponse start = http.perform(get("/oidc/start/sso"))
                .andExpect(status().is3xxRedirection())
                .andReturn()
                .getResponse();
        UriComponents asked =
                UriComponentsBuilder.fromUriString(start.getRedirectedUrl()).build();
        assertThat(start.getRedirectedUrl()).startsWith(PROVIDER.issuer() + "/authorize");
        assertThat(asked.getQueryParams().getFirst("code_challenge_method")).isEqualTo("S256");
        PROVIDER.willBe(subject, email, verified, decoded(asked, "nonce"));
        return http.perform(get("/oidc/back/sso")
                .cookie(session(start))
                .param("code", "c")
                .param("state", decoded(asked, "state")));
    }

    private static String decoded(UriComponents asked, String name) {
        return java.net.URLDecoder.decode(
                asked.getQueryParams().getFirst(name), java.nio.charset.StandardCharsets.UTF_8);
    }

    private static Cookie session(MockHttpServletResponse response) {
        return Arrays.stream(response.getCookies())
                .filter(cookie -> !cookie.getName().equals("XSRF-TOKEN"))
                .findFirst()
                .orElseThrow();
    }

    private String newcomer() {
        String email = UUID.randomUUID() + "@ridge.example";
        people.add(email, "Sina Signer", false);
        return email;
    }

    @Test
    void whoeverHasAnAccountComesInByTheProviderWithoutAPassword() throws Exception {
        http.perform(get("/api/me").header("Authorization", "none"))
                .andExpect(jsonPath("$.singleSignOn").value("the ridge"));
        String email = newcomer();
        ResultActions back = comeAs("s1" + email, email, true)
                .andExpect(status().is3xxRedirection())
                .andExpect(header().string("Location", "/projects"));
        assertThat(PROVIDER.lastTokenRequest()).contains("code_verifier=");
        http.perform(get("/api/me").cookie(session(back.andReturn().getResponse())))
                .andExpect(jsonPath("$.email").value(email))
                .andExpect(jsonPath("$.signedIn").value(true));
    }

    @Test
    void nobodyComesInWithoutAnAccountOrWithAnAddressThatWasNotVerified() throws Exception {
        comeAs("s2", "stranger@ridge.example", true)
                .andExpect(header().string("Location", startsWith("/projects?refused=account")));
        String email = newcomer();
        comeAs("s3", email, false).andExpect(header().string("Location", "/projects?refused=account"));
    }

    @Test
    void anAddressThatIsGivenToSomebodyElseThereLetsThemNotIn() throws Exception {
        String email = newcomer();
        comeAs("first" + email, email, true).andExpect(header().string("Location", "/projects"));
        comeAs("second" + email, email, true).andExpect(header().string("Location", "/projects?refused=account"));
        comeAs("first" + email, email, true).andExpect(header().string("Location", "/projects"));
    }

    @Test
    void anAnswerThatNobodyAskedForIsRefused() throws Exception {
        http.perform(get("/oidc/back/sso").param("code", "c").param("state", "made up"))
                .andExpect(header().string("Location", "/projects?refused=provider"));
    }
}
