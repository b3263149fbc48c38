package app.tychon.server.problems;

import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.is;
import static org.hamcrest.Matchers.not;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import com.fasterxml.jackson.databind.JsonMappingException;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.sql.SQLException;
import java.sql.SQLNonTransientConnectionException;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.http.converter.HttpMessageNotWritableException;
import org.springframework.http.converter.json.MappingJackson2HttpMessageConverter;
import org.springframework.orm.jpa.JpaSystemException;
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
            .setControllerAdvice(new ApiProblems(new Commits()))
            .build();

    @Test
    void aDatabaseThatIsGoneIsSaidSoWithoutItsInnards() throws Exception {
        failing.how = new DataAccessResourceFailureException("Socket closed by secret-host");
        http.perform(get(THING))
                .andExpect(status().isServiceUnavailable())
                .andExpect(jsonPath("$.detail", containsString("The database does not answer. Try again")))
                .andExpect(content().string(not(containsString("secret-host"))));
    }

    /** Wherever it shows: wrapped by whoever noticed, or when the session is kept as the answer is written. */
    @ParameterizedTest
    @MethodSource
    void aConnectionThatIsLostIsSaidSoWhateverItIsWrappedIn(RuntimeException how) throws Exception {
        failing.how = how;
        http.perform(post(THING))
                .andExpect(status().isServiceUnavailable())
                .andExpect(jsonPath("$.outcome", is("unknown")));
    }

    static Stream<RuntimeException> aConnectionThatIsLostIsSaidSoWhateverItIsWrappedIn() {
        SQLException lost = new SQLNonTransientConnectionException("socket closed", "08000");
        return Stream.of(
                new IllegalStateException("while something else was done", lost),
                new JpaSystemException(new IllegalStateException("rollback", new SQLException("closed", "08003"))),
                new UncheckedIOException(new IOException(lost)),
                new HttpMessageNotWritableException(
                        "not written",
                        new JsonMappingException(
                                null, "not written", new CannotCreateTransactionException("no", lost))));
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
