package app.tychon.server.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.tychon.server.rights.Who;
import jakarta.mail.internet.MimeMessage;
import jakarta.servlet.http.Cookie;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.awaitility.Awaitility;
import org.junit.jupiter.api.Test;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.ResultActions;

class LettersTest extends PeopledTest {
    private static final Pattern LINK = Pattern.compile("https://risk\\.ridge\\.example(/join/\\S+)");

    private final String email = UUID.randomUUID() + "@ridge.example";

    private String added() {
        String link = people.add(email, "Ines Newcomer", false);
        own.join(link.substring(JoinController.PAGE.length() + 1), PASSWORD);
        return link;
    }

    private ResultActions lost(String address) throws Exception {
        return http.perform(post("/api/lost")
                .cookie(new Cookie("XSRF-TOKEN", "t"))
                .header("X-XSRF-TOKEN", "t")
                .with(request -> {
                    request.setRemoteAddr("10.1." + (email.hashCode() >>> 24) + "." + (email.hashCode() & 0xff));
                    return request;
                })
                .contentType(MediaType.APPLICATION_JSON)
                .content("{\"email\":\"" + address + "\"}"));
    }

    /** What has come for somebody, once so much has. */
    private List<String> letters(int many) {
        return Awaitility.await().atMost(20, TimeUnit.SECONDS).until(this::come, come -> come.size() >= many);
    }

    private List<String> come() {
        return Arrays.stream(POST_OFFICE.getReceivedMessages())
                .filter(this::isForMe)
                .map(LettersTest::words)
                .toList();
    }

    private boolean isForMe(MimeMessage letter) {
        try {
            return letter.getAllRecipients()[0].toString().equals(email);
        } catch (Exception e) {
            throw new AssertionError(e);
        }
    }

    private static String words(MimeMessage letter) {
        try {
            return letter.getContent().toString();
        } catch (Exception e) {
            throw new AssertionError(e);
        }
    }

    @Test
    void whoeverForgotThePasswordIsSentALinkThatSetsAnother() throws Exception {
        added();
        lost(email).andExpect(status().isAccepted());
        String letter = letters(3).get(2);
        Matcher link = LINK.matcher(letter);
        assertThat(letter).contains("Dear Ines Newcomer");
        assertThat(link.find()).isTrue();
        http.perform(get("/api" + link.group(1))).andExpect(jsonPath("$.email").value(email));
    }

    @Test
    void nobodyLearnsWhoHasAnAccountAndNobodyIsFloodedWithLetters() throws Exception {
        lost(email).andExpect(status().isAccepted());
        for (int i = 1; i < Tries.FREE; i++) {
            lost(email).andExpect(status().isAccepted());
        }
        lost(email).andExpect(status().isTooManyRequests()).andExpect(jsonPath("$.detail", containsString("seconds")));
        // All that was asked for would have been handed over before this is.
        added();
        assertThat(letters(2).get(1)).contains("your password was set by a link");
    }

    @Test
    void oneIsToldOfEverythingThatOpensOnesAccount() throws Exception {
        added();
        own.token(account(email), "Nightly", Who.Scope.READING, null, 30);
        people.change(account(email), new PeopleController.PersonChange(null, true, null, null));
        assertThat(letters(4))
                .anySatisfy(words -> assertThat(words).contains("your password was set by a link"))
                .anySatisfy(
                        words -> assertThat(words).contains("a token was made").contains("\"Nightly\""))
                .anySatisfy(words -> assertThat(words).contains("you look after the people of this server"));
    }
}
