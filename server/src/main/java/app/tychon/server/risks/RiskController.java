package app.tychon.server.risks;

import app.tychon.server.edits.EditResult;
import app.tychon.server.edits.Editor;
import app.tychon.server.edits.Edits;
import app.tychon.server.people.People;
import app.tychon.server.plan.LoadedPlan;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.rights.MayEdit;
import app.tychon.server.rights.MayKeepRisks;
import app.tychon.server.rights.MayRead;
import app.tychon.server.web.Words;
import com.fasterxml.jackson.databind.JsonNode;
import jakarta.validation.Valid;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The risk register: read, changed field by field, and each risk's own history. */
@RestController
@MayRead
@RequestMapping("/api/projects/{id}/risks")
class RiskController {
    private final PlanStore plans;
    private final Edits edits;
    private final People people;

    RiskController(PlanStore plans, Edits edits, People people) {
        this.plans = plans;
        this.edits = edits;
        this.people = people;
    }

    /** The register, in the order in which it is kept, with the scheme it is scored by. */
    @GetMapping
    RegisterView risks(@PathVariable UUID id) {
        LoadedPlan plan = plans.find(id);
        return RegisterView.of(plan);
    }

    /** Risks changed, and new ones. */
    @MayKeepRisks
    @PatchMapping
    EditResult editRisks(Editor editor, @Words(value = RiskWords.class, list = true) @RequestBody JsonNode body) {
        return edits.edit(editor, new RiskEdits(body, people.keepsOnlyRisksOf(editor.project())));
    }

    @MayEdit
    @PostMapping("/remove")
    EditResult removeRisks(Editor editor, @RequestBody @Valid RiskRemoval body) {
        return edits.edit(editor, body);
    }

    /** What past events, in the words of the project file, say of how often and how hard a risk strikes. */
    @PostMapping("/past/look")
    PastLook lookAtPast(@PathVariable UUID id, @Words(RiskWords.HistoryWords.class) @RequestBody JsonNode body) {
        return PastLook.of(body);
    }

    /** What was changed of one risk, newest first. */
    @GetMapping("/{risk}/history")
    List<RiskHistory> riskHistory(Editor editor, @PathVariable String risk) {
        return edits.historyOf(editor, "risks", risk).stream()
                .map(RiskHistory::of)
                .toList();
    }
}
