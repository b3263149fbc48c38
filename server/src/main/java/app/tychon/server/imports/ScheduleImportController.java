package app.tychon.server.imports;

import app.tychon.exchange.table.DateWords;
import app.tychon.server.project.ProjectView;
import app.tychon.server.projects.ProjectService;
import app.tychon.server.rights.MayBegin;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/**
 * Schedules in tables, the body of the request: text or a spreadsheet. {@code columns} says in the table's order what each
 * column says, an empty word for one that is left out; without it, that is guessed. {@code dates} says which number of
 * 3/4/27 is the day; without it, that is recognised. {@code mended} has cells typed anew, a line each: ROW:COLUMN:TEXT, the row
 * as the file counts them, the column from 0.
 */
@RestController
@MayBegin
@RequestMapping(
        path = "/api/schedules",
        consumes = {ScheduleImportController.TEXT, ScheduleImportController.SHEET})
class ScheduleImportController {
    static final String TEXT = "text/csv";
    static final String SHEET = "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet";

    private final ScheduleImport schedules;
    private final ProjectService projects;

    ScheduleImportController(ScheduleImport schedules, ProjectService projects) {
        this.schedules = schedules;
        this.projects = projects;
    }

    /** Without {@code start}, the first day is the earliest start in the table, or else next Monday. */
    @PostMapping("/preview")
    SchedulePreview previewSchedule(
            HttpServletRequest request,
            @RequestParam Optional<LocalDate> start,
            @RequestParam(defaultValue = "") List<String> columns,
            @RequestParam Optional<DateWords.Order> dates,
            @RequestParam Optional<LocalDate> dataDate,
            @RequestParam(defaultValue = "") String mended)
            throws IOException {
        return schedules.preview(Reading.of(request.getInputStream(), columns, dates, dataDate, mended), start);
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    ProjectView takeOverSchedule(
            HttpServletRequest request,
            @RequestParam String name,
            @RequestParam LocalDate start,
            @RequestParam(defaultValue = "") List<String> columns,
            @RequestParam Optional<DateWords.Order> dates,
            @RequestParam Optional<LocalDate> dataDate,
            @RequestParam(defaultValue = "") String mended)
            throws IOException {
        return projects.find(schedules.takeOver(
                Reading.of(request.getInputStream(), columns, dates, dataDate, mended), name, start));
    }
}
