package app.tychon.server.rows;

import app.tychon.server.edits.EditResult;
import app.tychon.server.edits.Editor;
import app.tychon.server.edits.Edits;
import app.tychon.server.rights.MayEdit;
import app.tychon.server.rights.MayRead;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Rows of the plan: changed, added, moved and removed. */
@RestController
@MayRead
@RequestMapping("/api/projects/{id}")
class RowController {
    private final Edits edits;

    RowController(Edits edits) {
        this.edits = edits;
    }

    @MayEdit
    @PatchMapping("/rows")
    EditResult editRows(Editor editor, @RequestBody @Size(min = 1, max = 20_000) List<RowEdit> body) {
        return edits.edit(editor, new RowEdits(body));
    }

    @MayEdit
    @PatchMapping("/branches")
    EditResult editBranches(Editor editor, @RequestBody @Size(min = 1, max = 20_000) List<BranchEdit> body) {
        return edits.edit(editor, new BranchEdits(body));
    }

    @MayEdit
    @PostMapping("/rows/move")
    EditResult moveRows(Editor editor, @RequestBody @Valid RowMove body) {
        return edits.edit(editor, body);
    }

    @MayEdit
    @PostMapping("/rows/remove")
    EditResult removeRows(Editor editor, @RequestBody @Valid RowRemoval body) {
        return edits.edit(editor, body);
    }
}
