package app.tychon.server.backup;

import app.tychon.server.audit.Audit;
import app.tychon.server.rights.ForTheMachine;
import io.swagger.v3.oas.annotations.Hidden;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** A backup, for whoever has the machine: {@code ./tychon backup}. */
@Hidden
@RestController
@ForTheMachine
class BackupController {
    private final Backup backup;
    private final Audit audit;

    BackupController(Backup backup, Audit audit) {
        this.backup = backup;
        this.audit = audit;
    }

    @GetMapping("/api/backup")
    ResponseEntity<StreamingResponseBody> backUp() {
        audit.note("backup");
        return ResponseEntity.ok()
                .contentType(MediaType.valueOf("application/zip"))
                .body(backup::write);
    }
}
