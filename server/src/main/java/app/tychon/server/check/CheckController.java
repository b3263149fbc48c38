package app.tychon.server.check;

import app.tychon.core.analysis.check.CostCheck;
import app.tychon.core.register.check.RiskCheck;
import app.tychon.core.schedule.check.PlanCheck;
import app.tychon.core.uncertainty.check.RangeCheck;
import app.tychon.server.edits.EditResult;
import app.tychon.server.edits.Editor;
import app.tychon.server.edits.Edits;
import app.tychon.server.plan.LoadedPlan;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.rights.MayEdit;
import app.tychon.server.rights.MayRead;
import jakarta.validation.Valid;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@MayRead
@RequestMapping("/api/projects/{id}/check")
class CheckController {
    private final PlanStore plans;
    private final Edits edits;
    private final ResponseWorths worths;

    CheckController(PlanStore plans, Edits edits, ResponseWorths worths) {
        this.edits = edits;
        this.worths = worths;
        this.plans = plans;
    }

    /** Whether the plan is fit to be simulated. */
    @GetMapping
    CheckView checkPlan(@PathVariable UUID id) {
        LoadedPlan plan = plans.find(id);
        return CheckView.of(PlanCheck.of(plan.network(), plan.schedule()));
    }

    /** Whether the ranges are worth believing. */
    @GetMapping("/ranges")
    CheckView checkRanges(@PathVariable UUID id) {
        return CheckView.ofRanges(RangeCheck.of(plans.find(id).plan()));
    }

    /** Whether the risks are worth simulating. */
    @GetMapping("/risks")
    CheckView checkRisks(@PathVariable UUID id) {
        return CheckView.ofRisks(RiskCheck.of(plans.find(id).network(), worths.of(id)));
    }

    /** Whether the money is worth simulating. */
    @GetMapping("/costs")
    CheckView checkCosts(@PathVariable UUID id) {
        LoadedPlan plan = plans.find(id);
        return CheckView.ofCosts(CostCheck.of(plan.network(), plan.schedule()));
    }

    @MayEdit
    @PostMapping("/accept")
    EditResult acceptFindings(Editor editor, @RequestBody @Valid Accepting body) {
        return edits.edit(editor, body);
    }

    @MayEdit
    @PostMapping("/fix")
    EditResult fixFindings(Editor editor, @RequestBody @Valid Fixing body) {
        return edits.edit(editor, body);
    }
}
