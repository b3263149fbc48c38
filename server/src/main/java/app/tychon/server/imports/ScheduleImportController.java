package app.tychon.server.imports;

import app.tychon.server.project.ProjectService;
import app.tychon.server.project.ProjectView;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.LocalDate;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/**
 * Schedules in text tables, the body of the request. {@code columns} says in the table's order what each column says, an
 * empty word for one that is left out; without it, that is guessed from the headers.
 */
@RestController
@RequestMapping(path = "/api/schedules", consumes = "text/csv")
class ScheduleImportController {
    private final ScheduleImport schedules;
    private final ProjectService projects;

    ScheduleImportController(ScheduleImport schedules, ProjectService projects) {
        this.schedules = schedules;
        this.projects = projects;
    }

    @PostMapping("/preview")
    SchedulePreview previewSchedule(
            HttpServletRequest request,
            @RequestParam LocalDate start,
            @RequestParam(defaultValue = "") List<String> columns)
            throws IOException {
        return schedules.preview(request.getInputStream(), start, columns);
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    ProjectView takeOverSchedule(
            HttpServletRequest request,
            @RequestParam String name,
            @RequestParam LocalDate start,
            @RequestParam(defaultValue = "") List<String> columns)
            throws IOException {
        return projects.find(schedules.takeOver(request.getInputStream(), name, start, columns));
    }
}
