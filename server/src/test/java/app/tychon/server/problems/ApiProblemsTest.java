package app.tychon.server.problems;

import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.http.converter.json.MappingJackson2HttpMessageConverter;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.transaction.TransactionSystemException;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;

class ApiProblemsTest {
    private static final String THING = "/things/00000000-0000-7000-8000-000000000000";

    /** Whatever is asked of it goes wrong. */
    @RestController
    static class Failing {
        private RuntimeException how = new IllegalStateException();

        @GetMapping("/things/{id}")
        void find(@PathVariable UUID id) {
            throw how;
        }

        @PostMapping("/things/{id}")
        void change(@PathVariable UUID id) {
            throw how;
        }
    }

    private final Failing failing = new Failing();
    private final MockMvc http = MockMvcBuilders.standaloneSetup(failing)
            .setMessageConverters(new MappingJackson2HttpMessageConverter())
            .setControllerAdvice(new ApiProblems())
            .build();

    @Test
    void aDatabaseThatIsGoneIsSaidSoWithoutItsInnards() throws Exception {
        failing.how = new DataAccessResourceFailureException("Socket closed by secret-host");
        http.perform(get(THING))
                .andExpect(status().isServiceUnavailable())
                .andExpect(jsonPath("$.detail", containsString("The database does not answer. Try again")))
                .andExpect(content().string(not(containsString("secret-host"))));
    }

    @Test
    void ofAChangeThatTheDatabaseDidNotConfirmTheOutcomeIsSaidToBeUnknown() throws Exception {
        failing.how = new TransactionSystemException("commit failed on secret-host");
        http.perform(post(THING))
                .andExpect(status().isServiceUnavailable())
                .andExpect(jsonPath("$.outcome").value("unknown"))
                .andExpect(jsonPath("$.detail", containsString("not known whether it was kept")))
                .andExpect(content().string(not(containsString("secret-host"))));
    }

    @Test
    void whereNoTransactionBeganNothingWasChanged() throws Exception {
        failing.how = new CannotCreateTransactionException("no connection");
        http.perform(post(THING))
                .andExpect(status().isServiceUnavailable())
                .andExpect(jsonPath("$.detail", containsString("Nothing was changed")));
    }

    @Test
    void whatIsNotThereIsAProblemDetailToo() throws Exception {
        failing.how = new NotFoundException("There is no such thing.");
        http.perform(get(THING))
                .andExpect(status().isNotFound())
                .andExpect(content().contentType("application/problem+json"))
                .andExpect(jsonPath("$.detail").value("There is no such thing."));
    }

    @Test
    void aKeyThatIsNoneIsABadRequest() throws Exception {
        http.perform(get("/things/none"))
                .andExpect(status().isBadRequest())
                .andExpect(content().contentType("application/problem+json"));
    }
}
