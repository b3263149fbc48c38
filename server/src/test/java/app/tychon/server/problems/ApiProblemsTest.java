package app.tychon.server.problems;

import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.not;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.when;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.tychon.server.ServerTest;
import app.tychon.server.projects.ProjectService;
import org.junit.jupiter.api.Test;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.test.context.bean.override.mockito.MockitoBean;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.transaction.TransactionSystemException;

class ApiProblemsTest extends ServerTest {
    private static final String PROJECT = "/api/projects/00000000-0000-7000-8000-000000000000";

    @MockitoBean
    private ProjectService projects;

    @Test
    void aDatabaseThatIsGoneIsSaidSoWithoutItsInnards() throws Exception {
        when(projects.find(any())).thenThrow(new DataAccessResourceFailureException("Socket closed by secret-host"));
        http.perform(get(PROJECT))
                .andExpect(status().isServiceUnavailable())
                .andExpect(jsonPath("$.detail", containsString("The database does not answer. Try again")))
                .andExpect(content().string(not(containsString("secret-host"))));
    }

    @Test
    void ofAChangeThatTheDatabaseDidNotConfirmTheOutcomeIsSaidToBeUnknown() throws Exception {
        when(projects.duplicate(any())).thenThrow(new TransactionSystemException("commit failed on secret-host"));
        http.perform(post(PROJECT + "/duplicate").header("Tychon-Person", "ann"))
                .andExpect(status().isServiceUnavailable())
                .andExpect(jsonPath("$.outcome").value("unknown"))
                .andExpect(jsonPath("$.detail", containsString("not known whether it was kept")))
                .andExpect(content().string(not(containsString("secret-host"))));
    }

    @Test
    void whereNoTransactionBeganNothingWasChanged() throws Exception {
        when(projects.duplicate(any())).thenThrow(new CannotCreateTransactionException("no connection"));
        http.perform(post(PROJECT + "/duplicate").header("Tychon-Person", "ann"))
                .andExpect(status().isServiceUnavailable())
                .andExpect(jsonPath("$.detail", containsString("Nothing was changed")));
    }

    @Test
    void whatIsNotThereIsAProblemDetailToo() throws Exception {
        when(projects.find(any())).thenThrow(new NotFoundException("There is no such project."));
        http.perform(get(PROJECT))
                .andExpect(status().isNotFound())
                .andExpect(content().contentType("application/problem+json"))
                .andExpect(jsonPath("$.detail").value("There is no such project."));
    }

    @Test
    void aKeyThatIsNoneIsABadRequest() throws Exception {
        http.perform(get("/api/projects/none"))
                .andExpect(status().isBadRequest())
                .andExpect(content().contentType("application/problem+json"));
    }
}
