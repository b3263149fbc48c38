package app.tychon.server.calendars;

import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.Plan;
import app.tychon.exchange.calendar.HolidayFile;
import app.tychon.exchange.calendar.UnreadableCalendarException;
import app.tychon.exchange.calendar.WorkCalendarFile;
import app.tychon.server.edits.EditResult;
import app.tychon.server.edits.Editor;
import app.tychon.server.edits.Edits;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.problems.NotFoundException;
import app.tychon.server.rights.MayEdit;
import app.tychon.server.rights.MayRead;
import app.tychon.server.web.Download;
import app.tychon.server.web.Words;
import com.fasterxml.jackson.databind.JsonNode;
import jakarta.servlet.http.HttpServletRequest;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The working calendars of a project and their iCalendar files. */
@RestController
@MayRead
@RequestMapping("/api/projects/{id}/calendars")
class CalendarController {
    /** How far beyond the project's start holidays are taken over. */
    private static final int YEARS = 15;

    private final PlanStore plans;
    private final Edits edits;

    CalendarController(PlanStore plans, Edits edits) {
        this.edits = edits;
        this.plans = plans;
    }

    @GetMapping
    List<CalendarWords> listCalendars(@PathVariable UUID id) {
        return plans.find(id).plan().calendars().stream().map(CalendarWords::of).toList();
    }

    /** The days off in an iCalendar file, the body of the request; nothing is kept of them. */
    @PostMapping(path = "/holidays", consumes = "text/calendar")
    List<CalendarWords.ExceptionWords> readHolidays(@PathVariable UUID id, HttpServletRequest request)
            throws IOException {
        LocalDate start = plans.find(id).plan().project().start().toLocalDate();
        try {
            return HolidayFile.read(request.getInputStream(), start.minusYears(1), start.plusYears(YEARS)).stream()
                    .map(CalendarWords.ExceptionWords::of)
                    .toList();
        } catch (UnreadableCalendarException e) {
            throw new IllegalArgumentException(e.getMessage(), e);
        }
    }

    @GetMapping("/{calendar}/file")
    ResponseEntity<byte[]> downloadCalendar(@PathVariable UUID id, @PathVariable String calendar) throws IOException {
        Plan plan = plans.find(id).plan();
        CalendarDefinition wanted = plan.calendars().stream()
                .filter(c -> c.id().equals(calendar))
                .findFirst()
                .orElseThrow(() -> new NotFoundException("There is no such calendar."));
        ByteArrayOutputStream file = new ByteArrayOutputStream();
        WorkCalendarFile.write(wanted, plan.project().start().toLocalDate(), file);
        return Download.of(file, "text/calendar", wanted.name() + ".ics");
    }

    /** A calendar in the words of the project file, new or in place of the one with its id. */
    @MayEdit
    @PutMapping
    EditResult putCalendar(Editor editor, @Words(CalendarWords.class) @RequestBody JsonNode body) {
        return edits.edit(editor, new CalendarEdit(body));
    }

    /** When the plan would finish with a calendar, without keeping it. */
    @PostMapping("/look")
    CalendarLook lookAtCalendar(@PathVariable UUID id, @Words(CalendarWords.class) @RequestBody JsonNode body) {
        return CalendarLook.of(edits.look(id, new CalendarEdit(body)));
    }

    @MayEdit
    @DeleteMapping("/{calendar}")
    EditResult removeCalendar(Editor editor, @PathVariable String calendar) {
        return edits.edit(editor, new CalendarRemoval(calendar));
    }
}
