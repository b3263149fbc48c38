package app.tychon.server.door;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.tychon.server.ServerTest;
import jakarta.servlet.http.Cookie;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Arrays;
import java.util.Base64;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/** How somebody alone on their machine comes in, and stays. */
class AloneTest extends ServerTest {
    private static final int A_MONTH = (int) Duration.ofDays(30).toSeconds();

    @Autowired
    private MachineKey machine;

    @Autowired
    private JdbcTemplate sql;

    @Test
    void aBrowserThatWasLetInStaysForAMonthFromItsLastUse() throws Exception {
        Cookie session = Arrays.stream(http.perform(get(machine.freshAddress()))
                        .andExpect(status().isSeeOther())
                        .andReturn()
                        .getResponse()
                        .getCookies())
                .filter(cookie -> !cookie.getName().startsWith("XSRF"))
                .findFirst()
                .orElseThrow();
        assertThat(session.getMaxAge()).as("the browser keeps it").isGreaterThan(A_MONTH);
        String id = new String(Base64.getDecoder().decode(session.getValue()), StandardCharsets.UTF_8);
        assertThat(sql.queryForObject(
                        "SELECT MAX_INACTIVE_INTERVAL FROM WEB_SESSION WHERE SESSION_ID = ?", Integer.class, id))
                .as("it is in the database, so a restart ends nothing")
                .isEqualTo(A_MONTH);
    }
}
