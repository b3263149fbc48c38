package app.tychon.server.since;

import app.tychon.core.model.Plan;
import app.tychon.server.edits.EditResult;
import app.tychon.server.edits.Editor;
import app.tychon.server.edits.Edits;
import app.tychon.server.edits.InputChange;
import app.tychon.server.edits.PastPlans;
import app.tychon.server.edits.Touch;
import app.tychon.server.plan.LoadedPlan;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.rights.MayEdit;
import app.tychon.server.rights.MayRead;
import app.tychon.server.runs.RunArchive;
import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What has become of the forecast: how it drifted, what was changed in between, and how good the ranges have been. */
@RestController
@MayRead
@RequestMapping("/api/projects/{id}")
class SinceController {
    private final Drift drift;
    private final RunArchive archive;
    private final PlanStore plans;
    private final Edits edits;
    private final PastPlans past;

    SinceController(Drift drift, RunArchive archive, PlanStore plans, Edits edits, PastPlans past) {
        this.drift = drift;
        this.archive = archive;
        this.plans = plans;
        this.edits = edits;
        this.past = past;
    }

    /** What the last recorded runs said, oldest first. */
    @GetMapping("/drift")
    DriftView drift(Editor reader) {
        return drift.of(reader.project(), reader.person());
    }

    /**
     * What was changed between two recorded runs, object by object and kind by kind, with when and by whom.
     *
     * @param to the later one; the plan as it is now where there is none
     */
    @GetMapping("/since")
    List<SinceRow> since(Editor reader, @RequestParam UUID from, @RequestParam(required = false) @Nullable UUID to) {
        LoadedPlan now = plans.find(reader.project());
        Plan later = to == null ? now.plan() : archive.open(to).plan();
        long until = to == null ? now.revision() : archive.view(to).revision();
        long after = archive.view(from).revision();
        Map<List<String>, Touch> touches = edits.touches(reader, Math.min(after, until), Math.max(after, until));
        return InputChange.between(archive.open(from).plan(), later).stream()
                .flatMap(change -> SinceRow.of(change, touches))
                .toList();
    }

    /** Where actual durations and amounts fell in the ranges that were on record before the work began. */
    @GetMapping("/record")
    RecordView record(@PathVariable UUID id) {
        return records(id).view();
    }

    private Records records(UUID id) {
        LoadedPlan now = plans.find(id);
        GivenRanges given = new GivenRanges(now.plan());
        past.backwards(now, id, given);
        return new Records(now.plan(), given.done()::of);
    }

    /** A grade made wider, as a scenario. */
    @MayEdit
    @PostMapping("/record/widen")
    EditResult widenGrade(Editor editor, @RequestBody @Valid WidenedGrade body) {
        return edits.edit(editor, body.by(records(editor.project())));
    }
}
