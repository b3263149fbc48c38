package app.tychon.server.web;

import app.tychon.server.rights.ForEverybody;
import java.sql.Connection;
import java.sql.SQLException;
import javax.sql.DataSource;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** For whoever watches over the server. */
@RestController
@ForEverybody
class HealthController {
    private static final int SECONDS = 2;

    private final DataSource database;

    HealthController(DataSource database) {
        this.database = database;
    }

    /**
     * @param live it answers at all
     * @param ready its database answers too, so that work can be done
     */
    record Health(boolean live, boolean ready) {}

    /** 200 where work can be done, 503 where the database does not answer; both say that the server lives. */
    @GetMapping("/health")
    ResponseEntity<Health> health() {
        boolean ready = isReady();
        return ResponseEntity.status(ready ? HttpStatus.OK : HttpStatus.SERVICE_UNAVAILABLE)
                .body(new Health(true, ready));
    }

    private boolean isReady() {
        try (Connection connection = database.getConnection()) {
            return connection.isValid(SECONDS);
        } catch (SQLException e) {
            return false;
        }
    }
}
