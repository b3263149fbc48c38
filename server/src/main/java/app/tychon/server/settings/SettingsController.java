package app.tychon.server.settings;

import app.tychon.server.edits.EditResult;
import app.tychon.server.edits.Editor;
import app.tychon.server.edits.Edits;
import app.tychon.server.rights.MayEdit;
import app.tychon.server.rights.MayRead;
import app.tychon.server.web.Words;
import com.fasterxml.jackson.databind.JsonNode;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What holds for the project as a whole. */
@RestController
@MayRead
@RequestMapping("/api/projects/{id}")
class SettingsController {
    private final Edits edits;

    SettingsController(Edits edits) {
        this.edits = edits;
    }

    /** Fields of the project itself: name, currency, start, dataDate, calendar, lagCalendar, targetFinish, targetCost. */
    @MayEdit
    @PatchMapping("/settings")
    EditResult editSettings(Editor editor, @Words(SettingsWords.class) @RequestBody JsonNode body) {
        return edits.edit(editor, new SettingsEdit(body));
    }
}
