package app.tychon.server.risks;

import app.tychon.core.calendar.Instants;
import app.tychon.core.calendar.WorkingTime;
import app.tychon.core.model.Scheme;
import app.tychon.core.register.StarterScheme;
import app.tychon.server.edits.EditResult;
import app.tychon.server.edits.Editor;
import app.tychon.server.edits.Edits;
import app.tychon.server.plan.LoadedPlan;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.rights.MayEdit;
import app.tychon.server.rights.MayRead;
import app.tychon.server.web.Words;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.Optional;
import java.util.UUID;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** How risks are scored. */
@RestController
@MayRead
@RequestMapping("/api/projects/{id}/scheme")
class SchemeController {
    private final PlanStore plans;
    private final Edits edits;

    SchemeController(PlanStore plans, Edits edits) {
        this.plans = plans;
        this.edits = edits;
    }

    /** The whole scheme, in the words of the project file. Scores that have no place in it any more fall away. */
    @MayEdit
    @PutMapping
    EditResult putScheme(Editor editor, @Words(SchemeView.class) @RequestBody JsonNode body) {
        return edits.edit(editor, new SchemeEdit(body));
    }

    @MayEdit
    @DeleteMapping
    EditResult removeScheme(Editor editor) {
        return edits.replace(editor, "Scoring scheme removed", (plan, gone) -> plan.withScheme(Optional.empty()));
    }

    /** A scheme to begin with, or the project's own with limits that suit its duration and budget. */
    @GetMapping("/scaled")
    SchemeView scaledScheme(@PathVariable UUID id) {
        LoadedPlan plan = plans.find(id);
        WorkingTime time = plan.network().projectTime();
        double minutes = time.work(plan.schedule().finish())
                - time.work(Instants.of(plan.plan().project().start()));
        double length = minutes / (plan.plan().projectCalendar().hoursPerDay() * 60);
        Scheme scaled = plan.plan()
                .scheme()
                .map(scheme -> StarterScheme.scaled(scheme, length, plan.cost()))
                .orElseGet(() -> StarterScheme.of(length, plan.cost()));
        return SchemeView.of(scaled);
    }
}
