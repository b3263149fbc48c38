package app.tychon.server.edits;

import app.tychon.server.rights.MayEdit;
import app.tychon.server.rights.MayKeepRisks;
import app.tychon.server.rights.MayRead;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
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

    /**
     * The last edits, newest first.
     *
     * @param person only those of one person, as the list names them
     * @param key only those of one object, such as a row with what leads into it
     * @param section where the key may be that of several: in which, such as {@code risks}
     * @param before only those before a revision
     */
    @GetMapping("/edits")
    List<EditView> listEdits(
            Editor editor,
            @RequestParam(required = false) String person,
            @RequestParam(required = false) String section,
            @RequestParam(required = false) String key,
            @RequestParam(required = false) Long before) {
        return edits.history(editor, new HistoryFilter(person, section, key, before));
    }

    /** Makes the plan what it was after an edit, as one more edit. */
    @MayEdit
    @PostMapping("/edits/{revision}/back")
    EditResult goBackTo(Editor editor, @PathVariable long revision) {
        return edits.backTo(editor, revision);
    }
}
