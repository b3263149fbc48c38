package app.tychon.server.edits;

import com.fasterxml.jackson.databind.JsonNode;
import io.swagger.v3.oas.annotations.Parameter;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/**
 * Changes of a plan. {@code If-Match} carries the revision the editor saw, as the ETag of the plan gave it;
 * {@code Tychon-Person} says who edits, so that everybody takes back their own.
 */
@RestController
@RequestMapping("/api/projects/{id}")
class EditController {
    private final Edits edits;

    EditController(Edits edits) {
        this.edits = edits;
    }

    @PatchMapping("/rows")
    EditResult editRows(
            @Parameter(hidden = true) @ModelAttribute Editor editor,
            @RequestBody @Size(min = 1, max = 20_000) List<RowEdit> body) {
        return edits.edit(editor, new RowEdits(body));
    }

    @PatchMapping("/branches")
    EditResult editBranches(
            @Parameter(hidden = true) @ModelAttribute Editor editor,
            @RequestBody @Size(min = 1, max = 20_000) List<BranchEdit> body) {
        return edits.edit(editor, new BranchEdits(body));
    }

    @PostMapping("/rows/move")
    EditResult moveRows(@Parameter(hidden = true) @ModelAttribute Editor editor, @RequestBody @Valid RowMove body) {
        return edits.edit(editor, body);
    }

    @PostMapping("/rows/remove")
    EditResult removeRows(
            @Parameter(hidden = true) @ModelAttribute Editor editor, @RequestBody @Valid RowRemoval body) {
        return edits.edit(editor, body);
    }

    /** Fields of the project itself: name, currency, start, dataDate, calendar, lagCalendar, targetFinish, targetCost. */
    @PatchMapping("/settings")
    EditResult editSettings(@Parameter(hidden = true) @ModelAttribute Editor editor, @RequestBody JsonNode body) {
        return edits.edit(editor, new SettingsEdit(body));
    }

    /** A calendar in the words of the project file, new or in place of the one with its id. */
    @PutMapping("/calendars")
    EditResult putCalendar(@Parameter(hidden = true) @ModelAttribute Editor editor, @RequestBody JsonNode body) {
        return edits.edit(editor, new CalendarEdit(body));
    }

    /** When the plan would finish with a calendar, without keeping it. */
    @PostMapping("/calendars/look")
    CalendarLook lookAtCalendar(@PathVariable UUID id, @RequestBody JsonNode body) {
        return CalendarLook.of(edits.look(id, new CalendarEdit(body)));
    }

    @DeleteMapping("/calendars/{calendar}")
    EditResult removeCalendar(@Parameter(hidden = true) @ModelAttribute Editor editor, @PathVariable String calendar) {
        return edits.edit(editor, new CalendarRemoval(calendar));
    }

    @PostMapping("/check/accept")
    EditResult acceptFindings(
            @Parameter(hidden = true) @ModelAttribute Editor editor, @RequestBody @Valid Accepting body) {
        return edits.edit(editor, body);
    }

    @PostMapping("/check/fix")
    EditResult fixFindings(@Parameter(hidden = true) @ModelAttribute Editor editor, @RequestBody @Valid Fixing body) {
        return edits.edit(editor, body);
    }

    @PostMapping("/undo")
    EditResult undo(@Parameter(hidden = true) @ModelAttribute Editor editor) {
        return edits.undo(editor);
    }

    @PostMapping("/redo")
    EditResult redo(@Parameter(hidden = true) @ModelAttribute Editor editor) {
        return edits.redo(editor);
    }

    @GetMapping("/undoing")
    Undoing undoing(@Parameter(hidden = true) @ModelAttribute Editor editor) {
        return edits.undoing(editor);
    }

    /** The last edits, newest first. */
    @GetMapping("/edits")
    List<EditView> listEdits(@Parameter(hidden = true) @ModelAttribute Editor editor) {
        return edits.history(editor);
    }
}
