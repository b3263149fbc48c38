package app.tychon.server.costs;

import app.tychon.server.costs.MoneyLists.EscalationEdit;
import app.tychon.server.costs.MoneyLists.EscalationWords;
import app.tychon.server.costs.MoneyLists.FundingEdit;
import app.tychon.server.costs.MoneyLists.FundingWords;
import app.tychon.server.edits.EditResult;
import app.tychon.server.edits.Editor;
import app.tychon.server.edits.Edits;
import app.tychon.server.rights.MayEdit;
import app.tychon.server.rights.MayRead;
import app.tychon.server.web.Words;
import com.fasterxml.jackson.databind.JsonNode;
import jakarta.validation.Valid;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Money beside cost lines, which are edited as rows: resources, what is hired, how prices rise, funding. */
@RestController
@MayRead
@RequestMapping("/api/projects/{id}")
class CostController {
    private final Edits edits;

    CostController(Edits edits) {
        this.edits = edits;
    }

    /** Resources changed, and new ones. */
    @MayEdit
    @PatchMapping("/resources")
    EditResult editResources(
            Editor editor, @Words(value = ResourceWords.class, list = true) @RequestBody JsonNode body) {
        return edits.edit(editor, new ResourceEdits(body));
    }

    @MayEdit
    @PostMapping("/resources/remove")
    EditResult removeResources(Editor editor, @RequestBody @Valid ResourceRemoval body) {
        return edits.edit(editor, body);
    }

    /** A hammock with its cost line, in one step. */
    @MayEdit
    @PostMapping("/hire")
    EditResult hire(Editor editor, @RequestBody @Valid Hire body) {
        return edits.edit(editor, body);
    }

    /** How prices rise, all of it. */
    @MayEdit
    @PutMapping("/escalation")
    EditResult putEscalation(
            Editor editor, @Words(value = EscalationWords.class, list = true) @RequestBody JsonNode body) {
        return edits.edit(editor, new EscalationEdit(body));
    }

    /** What is available from when on, all of it. */
    @MayEdit
    @PutMapping("/funding")
    EditResult putFunding(Editor editor, @Words(value = FundingWords.class, list = true) @RequestBody JsonNode body) {
        return edits.edit(editor, new FundingEdit(body));
    }
}
