package app.tychon.server.edits;

import app.tychon.server.rights.MayKeepRisks;
import app.tychon.server.rights.MayRead;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/**
 * Taking back and doing again, and the history. Of every edit {@code If-Match} carries the revision the editor saw, as the ETag of the plan gave it;
 * {@code Tychon-Person} says who edits, so that everybody takes back their own.
 */
@RestController
@MayRead
@RequestMapping("/api/projects/{id}")
class EditController {
    private final Edits edits;

    EditController(Edits edits) {
        this.edits = edits;
    }

    @MayKeepRisks
    @PostMapping("/undo")
    EditResult undo(Editor editor) {
        return edits.undo(editor);
    }

    @MayKeepRisks
    @PostMapping("/redo")
    EditResult redo(Editor editor) {
        return edits.redo(editor);
    }

    @GetMapping("/undoing")
    Undoing undoing(Editor editor) {
        return edits.undoing(editor);
    }

    /** The last edits, newest first. */
    @GetMapping("/edits")
    List<EditView> listEdits(Editor editor) {
        return edits.history(editor);
    }
}
