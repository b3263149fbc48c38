package app.tychon.server.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.put;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.fasterxml.jackson.databind.JsonNode;
import jakarta.servlet.http.Cookie;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.Collections;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.AbstractMockHttpServletRequestBuilder;
import org.springframework.transaction.CannotCreateTransactionException;

class SignInTest extends PeopledTest {
    private static final Cookie TOKEN = new Cookie("XSRF-TOKEN", "t");

    @Autowired
    private OneTimeCodes codes;

    /** Somebody of this test alone, so that what is tried of them hinders nobody else. */
    private String newcomer() {
        String email = UUID.randomUUID() + "@ridge.example";
        String link = people.add(email, "Ines Newcomer", false);
        own.join(link.substring(JoinController.PAGE.length() + 1), PASSWORD);
        return email;
    }

    private ResultActions signIn(String email, String password, String code) throws Exception {
        String body = json.writeValueAsString(json.createObjectNode()
                .put("email", email)
                .put("password", password)
                .put("code", code));
        return http.perform(post("/api/session")
                .with(request -> {
                    // Many come from the address of the tests; each newcomer has one of their own.
                    request.setRemoteAddr("10.0." + (email.hashCode() >>> 24) + "." + (email.hashCode() & 0xff));
                    return request;
                })
                .cookie(TOKEN)
                .header("X-XSRF-TOKEN", "t")
                .contentType(MediaType.APPLICATION_JSON)
                .content(body));
    }

    private static Cookie session(ResultActions signedIn) {
        return Arrays.stream(signedIn.andReturn().getResponse().getCookies())
                .filter(cookie -> !cookie.getName().equals("XSRF-TOKEN"))
                .findFirst()
                .orElseThrow();
    }

    private ResultActions in(Cookie session, AbstractMockHttpServletRequestBuilder<?> request) throws Exception {
        return http.perform(
                request.cookie(session, TOKEN).header("X-XSRF-TOKEN", "t").contentType(MediaType.APPLICATION_JSON));
    }

    @Test
    void whoeverKnowsThePasswordIsLetInAndOutAgain() throws Exception {
        String email = newcomer();
        Cookie session = session(signIn(email.toUpperCase(java.util.Locale.ROOT), PASSWORD, "")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.codeNeeded").value(false)));
        assertThat(session.isHttpOnly()).isTrue();
        assertThat(session.getAttribute("SameSite")).isEqualToIgnoringCase("Lax");
        in(session, get("/api/me"))
                .andExpect(jsonPath("$.signedIn").value(true))
                .andExpect(jsonPath("$.email").value(email));
        in(session, delete("/api/session")).andExpect(status().isNoContent());
        in(session, get("/api/projects")).andExpect(status().isUnauthorized());
    }

    @Test
    void itIsNotToldWhetherThereIsSuchAnAccount() throws Exception {
        String known = signIn(newcomer(), "not the password", "")
                .andExpect(status().isUnprocessableEntity())
                .andReturn()
                .getResponse()
                .getContentAsString();
        String unknown = signIn("nobody@ridge.example", "not the password", "")
                .andExpect(status().isUnprocessableEntity())
                .andReturn()
                .getResponse()
                .getContentAsString();
        assertThat(unknown).isEqualTo(known).contains("The e-mail address or the password is not right.");
    }

    @Test
    void whoeverTriesTooOftenWaitsAndIsToldHowLong() throws Exception {
        String email = newcomer();
        Instant now = Instant.now();
        at(now);
        for (int i = 0; i < Tries.FREE; i++) {
            signIn(email, "not the password", "").andExpect(status().isUnprocessableEntity());
        }
        signIn(email, PASSWORD, "")
                .andExpect(status().isTooManyRequests())
                .andExpect(header().string("Retry-After", "15"))
                .andExpect(jsonPath("$.detail").value("Too many tries. Try again in 15 seconds."));
        at(now.plusSeconds(16));
        signIn(email, "not the password", "").andExpect(status().isUnprocessableEntity());
        signIn(email, PASSWORD, "").andExpect(header().string("Retry-After", "30"));
        at(now.plusSeconds(60));
        signIn(email, PASSWORD, "").andExpect(status().isOk());
    }

    @Test
    void aChangeWithoutTheTokenOfThePageIsRefused() throws Exception {
        Cookie session = session(signIn(newcomer(), PASSWORD, ""));
        String body = "{\"name\":\"A\",\"start\":\"2027-03-01\"}";
        http.perform(post("/api/projects/blank")
                        .cookie(session)
                        .header("Origin", "https://elsewhere.example")
                        .contentType(MediaType.APPLICATION_JSON)
                        .content(body))
                .andExpect(status().isForbidden())
                .andExpect(jsonPath("$.detail", containsString("Nothing was changed")));
        in(session, post("/api/projects/blank").content(body)).andExpect(status().isCreated());
    }

    @Test
    void aSessionEndsAfterTwelveHoursHoweverBusy() throws Exception {
        Instant now = Instant.now();
        at(now);
        Cookie session = session(signIn(newcomer(), PASSWORD, ""));
        at(now.plus(Duration.ofHours(11)));
        in(session, get("/api/projects")).andExpect(status().isOk());
        at(now.plus(Duration.ofHours(13)));
        in(session, get("/api/projects")).andExpect(status().isUnauthorized());
    }

    @Test
    void whereTheDatabaseIsAwayItIsToldBeforeAnyHandlerIsReached() throws Exception {
        Cookie session = session(signIn(newcomer(), PASSWORD, ""));
        org.mockito.Mockito.doThrow(new CannotCreateTransactionException("away"))
                .when(clock)
                .instant();
        in(session, get("/api/projects"))
                .andExpect(status().isServiceUnavailable())
                .andExpect(jsonPath("$.detail").value("The database does not answer. Try again in a moment."));
        in(session, post("/api/projects/blank").content("{}"))
                .andExpect(status().isServiceUnavailable())
                .andExpect(jsonPath("$.outcome").value("unknown"));
        // The interface itself needs no database.
        in(session, get("/projects")).andExpect(status().isOk());
    }

    @Test
    void manyTriesAtOnceEachCount() throws Exception {
        String email = newcomer();
        ExecutorService together = Executors.newFixedThreadPool(4);
        try {
            together.invokeAll(Collections.nCopies(Tries.FREE, () -> signIn(email, "not the password", "")
                    .andExpect(status().isUnprocessableEntity())));
        } finally {
            together.shutdown();
        }
        signIn(email, PASSWORD, "").andExpect(status().isTooManyRequests());
    }

    @Test
    void signingInGivesTheSessionAKeyThatNobodyKnewBefore() throws Exception {
        String email = newcomer();
        Cookie first = session(signIn(email, PASSWORD, ""));
        MockHttpServletResponse again = in(
                        first,
                        post("/api/session").content("{\"email\":\"" + email + "\",\"password\":\"" + PASSWORD + "\"}"))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse();
        assertThat(Arrays.stream(again.getCookies()).map(Cookie::getValue)).doesNotContain(first.getValue());
        in(first, get("/api/projects")).andExpect(status().isUnauthorized());
    }

    @Test
    void oneIsSignedOutThereAndEverywhere() throws Exception {
        String email = newcomer();
        Cookie here = session(signIn(email, PASSWORD, ""));
        Cookie there = session(signIn(email, PASSWORD, ""));
        JsonNode sessions = answer(in(here, get("/api/me/sessions")));
        assertThat(sessions).hasSize(2);
        for (JsonNode one : sessions) {
            if (!one.get("here").asBoolean()) {
                in(here, delete("/api/me/sessions/" + one.get("id").asText())).andExpect(status().isNoContent());
            }
        }
        in(there, get("/api/projects")).andExpect(status().isUnauthorized());
        Cookie another = session(signIn(email, PASSWORD, ""));
        in(here, delete("/api/me/sessions")).andExpect(status().isNoContent());
        in(here, get("/api/projects")).andExpect(status().isUnauthorized());
        in(another, get("/api/projects")).andExpect(status().isUnauthorized());
    }

    @Test
    void oneTimeCodesAreAskedForEachOnceAndRecoveryCodesLetInWithoutTheApp() throws Exception {
        String email = newcomer();
        Instant now = Instant.parse("2026-11-26T12:00:00Z");
        at(now);
        Cookie session = session(signIn(email, PASSWORD, ""));
        in(session, post("/api/me/codes").content("{\"password\":\"wrong\"}"))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.problems[0].pointer").value("/password"));
        in(session, post("/api/me/codes").content("{\"password\":\"" + PASSWORD + "\"}"))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.address", containsString("otpauth://totp/Tychon:")));
        byte[] secret = people.byEmail(email).orElseThrow().codesSecret().orElseThrow();
        long step = now.getEpochSecond() / 30;
        in(session, put("/api/me/codes").content("{\"code\":\"000000x\"}")).andExpect(status().isUnprocessableEntity());
        JsonNode recovery =
                answer(in(session, put("/api/me/codes").content("{\"code\":\"" + codes.code(secret, step) + "\"}"))
                        .andExpect(status().isOk()));
        assertThat(recovery).hasSize(10);

        signIn(email, PASSWORD, "").andExpect(jsonPath("$.codeNeeded").value(true));
        // The code that turned them on was used already.
        signIn(email, PASSWORD, codes.code(secret, step)).andExpect(status().isUnprocessableEntity());
        at(now.plusSeconds(30));
        signIn(email, PASSWORD, codes.code(secret, step + 1))
                .andExpect(jsonPath("$.codeNeeded").value(false));
        signIn(email, PASSWORD, codes.code(secret, step + 1)).andExpect(status().isUnprocessableEntity());
        String kept = recovery.get(0).asText();
        signIn(email, PASSWORD, kept.toLowerCase(java.util.Locale.ROOT))
                .andExpect(jsonPath("$.codeNeeded").value(false));
        signIn(email, PASSWORD, kept).andExpect(status().isUnprocessableEntity());

        in(session, post("/api/me/codes/off").content("{\"password\":\"" + PASSWORD + "\"}"))
                .andExpect(status().isNoContent());
        signIn(email, PASSWORD, "").andExpect(jsonPath("$.codeNeeded").value(false));
    }

    /** The test vectors of RFC 6238, appendix B, for SHA-1, cut to six digits. */
    @Test
    void codesAreThoseOfTheStandard() {
        byte[] secret = codes.encipher("12345678901234567890".getBytes(java.nio.charset.StandardCharsets.US_ASCII));
        assertThat(codes.code(secret, 59 / 30)).isEqualTo("287082");
        assertThat(codes.code(secret, 1111111109L / 30)).isEqualTo("081804");
        assertThat(codes.code(secret, 20000000000L / 30)).isEqualTo("353130");
        assertThat(codes.letters(secret)).isEqualTo("GEZDGNBVGY3TQOJQGEZDGNBVGY3TQOJQ");
    }

    @Test
    void passwordsThatAreGuessedEasilyAreRefusedWithTheReason() throws Exception {
        Cookie session = session(signIn(newcomer(), PASSWORD, ""));
        refused(session, "short", "at least 12 characters; this has 5");
        refused(session, "x".repeat(129), "at most 128 characters");
        refused(session, "password1234", "many people use");
        refused(session, "InesNewcomer2026", "guessed too easily");
        refused(session, "qwertyuiop12", "guessed too easily");
        in(session, put("/api/me/password").content(passwords("four brisk pelicans 81")))
                .andExpect(status().isNoContent());
    }

    private void refused(Cookie session, String password, String reason) throws Exception {
        in(session, put("/api/me/password").content(passwords(password)))
                .andExpect(status().isUnprocessableEntity())
                .andExpect(jsonPath("$.problems[0].pointer").value("/fresh"))
                .andExpect(jsonPath("$.problems[0].message", containsString(reason)));
    }

    private static String passwords(String fresh) {
        return "{\"password\":\"" + PASSWORD + "\",\"fresh\":\"" + fresh + "\"}";
    }

    @Test
    void aLinkIsGoodOnceAndForThreeDaysAndWhoeverWasSignedInIsSoNoLonger() throws Exception {
        String email = newcomer();
        Cookie session = session(signIn(email, PASSWORD, ""));
        String older = people.reset(account(email));
        String link = people.reset(account(email));
        http.perform(get("/api" + older)).andExpect(status().isNotFound());
        http.perform(get("/api" + link)).andExpect(jsonPath("$.email").value(email));
        String body = "{\"password\":\"nine copper otters 63\"}";
        in(new Cookie("none", "none"), post("/api" + link).content(body)).andExpect(status().isNoContent());
        in(new Cookie("none", "none"), post("/api" + link).content(body))
                .andExpect(status().isNotFound())
                .andExpect(jsonPath("$.detail", containsString("no longer good")));
        in(session, get("/api/projects")).andExpect(status().isUnauthorized());
        signIn(email, "nine copper otters 63", "").andExpect(status().isOk());
    }

    @Test
    void aTokenWorksUntilItIsWithdrawnOrItsPersonIsShutOut() throws Exception {
        String email = newcomer();
        Cookie session = session(signIn(email, PASSWORD, ""));
        String key = answer(in(
                                session,
                                post("/api/me/tokens")
                                        .content("{\"name\":\"Nightly\",\"scope\":\"EVERYTHING\",\"days\":30}"))
                        .andExpect(status().isCreated()))
                .get("token")
                .asText();
        bearing(key, 200);
        in(session, post("/api/me/tokens").content("{\"name\":\"N\",\"scope\":\"READING\",\"days\":900}"))
                .andExpect(status().isUnprocessableEntity());
        String id = answer(in(session, get("/api/me/tokens"))).at("/0/id").asText();
        in(session, delete("/api/me/tokens/" + id)).andExpect(status().isNoContent());
        bearing(key, 401);
        String other = token(email);
        bearing(other, 200);
        people.change(account(email), new PeopleController.PersonChange(null, null, true, null));
        bearing(other, 401);
        in(session, get("/api/projects")).andExpect(status().isUnauthorized());
        signIn(email, PASSWORD, "").andExpect(status().isUnprocessableEntity());
    }

    private void bearing(String key, int status) throws Exception {
        http.perform(get("/api/projects").header("Authorization", "Bearer " + key))
                .andExpect(status().is(status));
    }
}
