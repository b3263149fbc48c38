package app.tychon.server.imports;

import app.tychon.exchange.table.DateWords;
import app.tychon.server.edits.EditResult;
import app.tychon.server.edits.Editor;
import app.tychon.server.rights.MayEdit;
import app.tychon.server.rights.MayRead;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.io.InputStream;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;

/** A newer file of the schedule that a plan was made of. */
@RestController
@MayRead
@RequestMapping("/api/projects/{id}/update")
class PlanUpdateController {
    private final PlanUpdates updates;

    PlanUpdateController(PlanUpdates updates) {
        this.updates = updates;
    }

    @PostMapping(
            path = "/preview",
            consumes = {ScheduleImportController.TEXT, ScheduleImportController.SHEET})
    UpdatePreview previewUpdate(
            @PathVariable UUID id,
            HttpServletRequest request,
            @RequestParam(defaultValue = "") List<String> columns,
            @RequestParam Optional<DateWords.Order> dates,
            @RequestParam Optional<LocalDate> dataDate,
            @RequestParam(defaultValue = "") String mended)
            throws IOException {
        return updates.preview(id, Reading.of(request.getInputStream(), columns, dates, dataDate, mended));
    }

    /** The file again, and {@code except}, the rows of which nothing is taken over. */
    @MayEdit
    @PostMapping(consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    EditResult updatePlan(
            Editor editor,
            @RequestPart MultipartFile file,
            @RequestParam(defaultValue = "") Set<String> except,
            @RequestParam(defaultValue = "") List<String> columns,
            @RequestParam Optional<DateWords.Order> dates,
            @RequestParam Optional<LocalDate> dataDate,
            @RequestParam(defaultValue = "") String mended)
            throws IOException {
        try (InputStream in = file.getInputStream()) {
            return updates.takeOver(editor, Reading.of(in, columns, dates, dataDate, mended), except);
        }
    }
}
