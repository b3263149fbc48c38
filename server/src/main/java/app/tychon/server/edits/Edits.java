package app.tychon.server.edits;

import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.exchange.changes.ChangeSet;
import app.tychon.exchange.changes.ChangedMeanwhile;
import app.tychon.server.edits.ChangeSetEntity.State;
import app.tychon.server.plan.LoadedPlan;
import app.tychon.server.plan.PlanChanged;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.problems.ConflictException;
import app.tychon.server.problems.NotFoundException;
import app.tychon.server.project.ProjectEntity;
import app.tychon.server.project.ProjectRepository;
import app.tychon.server.project.ProjectView;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Supplier;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Every change of a plan goes through here: checked as a whole, stored as a whole or not at all, kept as a change set. */
@Service
public class Edits {
    private static final int HISTORY = 200;
    private static final int MOST_TOUCHES = 2_000;

    private final ProjectRepository projects;
    private final PlanStore plans;
    private final ChangeLog log;
    private final ApplicationEventPublisher events;
    private final ProjectTurns turns;

    Edits(
            ProjectRepository projects,
            PlanStore plans,
            ChangeLog log,
            ApplicationEventPublisher events,
            ProjectTurns turns) {
        this.projects = projects;
        this.turns = turns;
        this.plans = plans;
        this.log = log;
        this.events = events;
    }

    /**
     * Applies an edit.
     *
     * @throws InvalidPlanException with the problem of every field, told in the words of the edit
     * @throws ConflictException where the plan has changed since the editor saw it
     */
    public EditResult edit(Editor editor, Edit edit) {
        return turns.take(editor.project(), () -> editHeld(editor, edit, State.DONE));
    }

    /** The same for an edit that follows from another and stands in the history without being taken back by itself. */
    public EditResult note(Editor editor, Edit edit) {
        return turns.take(editor.project(), () -> editHeld(editor, edit, State.NOTE));
    }

    private EditResult editHeld(Editor editor, Edit edit, State how) {
        ProjectEntity project = hold(editor);
        LoadedPlan before = plans.find(editor.project());
        Edit.Outcome outcome = edit.apply(before.plan());
        LoadedPlan after = sound(before, project.revision() + 1, outcome.plan(), edit);
        ChangeSet changes = ChangeSet.between(before.plan(), after.plan());
        if (!changes.changes().isEmpty()) {
            if (how == State.DONE) {
                log.dropUndone(editor.project(), editor.person());
            }
            log.add(editor.project(), after.revision(), editor.person(), outcome.label(), how, changes);
            store(project, before, after, outcome.followed());
        }
        return result(editor, project, before, changes.changes().isEmpty() ? before : after, outcome.gone());
    }

    /**
     * Applies a change of the plan as a whole.
     *
     * @param change makes the new plan of the old, and tells what went with rows that are gone
     */
    public EditResult replace(Editor editor, String label, BiFunction<Plan, List<String>, Plan> change) {
        return edit(editor, plan -> {
            List<String> gone = new ArrayList<>();
            return new Edit.Outcome(change.apply(plan, gone), label, gone);
        });
    }

    /** What a plan would be after an edit that is not kept. */
    @Transactional(readOnly = true)
    public LoadedPlan look(UUID id, Edit edit) {
        LoadedPlan before = plans.find(id);
        return sound(before, before.revision(), edit.apply(before.plan()).plan(), edit);
    }

    /**
     * Takes back the editor's last edit that stands.
     *
     * @throws ConflictException where others have changed the same fields since; that edit then stands for good, and the one
     *     before it is next
     */
    EditResult undo(Editor editor) {
        return step(
                editor,
                State.UNDONE,
                () -> log.undoable(editor.project(), editor.person())
                        .orElseThrow(() -> new ConflictException("There is nothing to take back.")),
                changes -> log.changes(changes).turned(),
                "Taken back: ");
    }

    /** Does again what the editor took back; refused as {@link #undo} is. */
    EditResult redo(Editor editor) {
        return step(
                editor,
                State.DONE,
                () -> log.redoable(editor.project(), editor.person())
                        .orElseThrow(() -> new ConflictException("There is nothing to do again.")),
                log::changes,
                "Done again: ");
    }

    /** @param refused why it could not be done; it is told once it is on record that the edit stands */
    private record Step(Optional<EditResult> result, Optional<ConflictException> refused) {}

    private EditResult step(
            Editor editor,
            State then,
            Supplier<ChangeSetEntity> which,
            Function<ChangeSetEntity, ChangeSet> what,
            String label) {
        Step step = turns.take(editor.project(), () -> {
            ProjectEntity project = hold(editor);
            ChangeSetEntity edit = which.get();
            try {
                EditResult result =
                        again(editor, project, what.apply(edit), label + edit.label(), () -> edit.setState(then));
                return new Step(Optional.of(result), Optional.empty());
            } catch (ChangedMeanwhile e) {
                edit.setState(State.DROPPED);
                return new Step(Optional.empty(), Optional.of(new ConflictException(e.getMessage())));
            } catch (ConflictException e) {
                edit.setState(State.DROPPED);
                return new Step(Optional.empty(), Optional.of(e));
            }
        });
        return step.result().orElseThrow(() -> step.refused().orElseThrow());
    }

    private EditResult again(Editor editor, ProjectEntity project, ChangeSet changes, String label, Runnable mark) {
        LoadedPlan before = plans.find(editor.project());
        Plan plan = changes.applyTo(before.plan());
        LoadedPlan after;
        try {
            after = before.next(project.revision() + 1, plan);
        } catch (InvalidPlanException e) {
            throw new ConflictException("This cannot be taken back any more, since other edits build on it: "
                    + e.problems().get(0).message() + ".");
        }
        mark.run();
        log.add(editor.project(), after.revision(), editor.person(), label, State.NOTE, changes);
        store(project, before, after, false);
        return result(editor, project, before, after, List.of());
    }

    /** What the editor could take back and do again now. */
    @Transactional(readOnly = true)
    Undoing undoing(Editor editor) {
        return new Undoing(
                log.undoableLabel(editor.project(), editor.person()).orElse(null),
                log.redoableLabel(editor.project(), editor.person()).orElse(null));
    }

    @Transactional(readOnly = true)
    List<EditView> history(Editor editor) {
        return log.last(editor.project(), editor.person(), HISTORY);
    }

    /** What the last edits did to one object of a section, newest first. */
    @Transactional(readOnly = true)
    public List<ObjectEdit> historyOf(Editor editor, String section, String key) {
        return log.ofObject(editor.project(), editor.person(), section, key, HISTORY);
    }

    /** When each object was edited last between two revisions of a project, by its section and key. */
    @Transactional(readOnly = true)
    public Map<List<String>, Touch> touches(Editor reader, long after, long until) {
        return log.touches(reader.project(), reader.person(), after, until, MOST_TOUCHES);
    }

    private ProjectEntity hold(Editor editor) {
        ProjectEntity project = projects.findForEditing(editor.project())
                .orElseThrow(() -> new NotFoundException("There is no such project."));
        if (editor.seen().filter(revision -> revision != project.revision()).isPresent()) {
            throw new ConflictException(
                    "The plan was changed meanwhile, in another window or by somebody else. Look at it as it is now, then edit again.");
        }
        return project;
    }

    private static LoadedPlan sound(LoadedPlan before, long revision, Plan plan, Edit edit) {
        try {
            return before.next(revision, plan);
        } catch (InvalidPlanException e) {
            throw new InvalidPlanException(e.problems().stream()
                    .map(problem -> edit.told(plan, problem))
                    .distinct()
                    .toList());
        }
    }

    private void store(ProjectEntity project, LoadedPlan before, LoadedPlan after, boolean followed) {
        boolean simulated = !before.isSameWork(after.plan());
        plans.change(project, before, after);
        project.changed(simulated);
        events.publishEvent(new PlanChanged(project.id(), after, simulated, followed));
    }

    private EditResult result(
            Editor editor, ProjectEntity project, LoadedPlan before, LoadedPlan after, List<String> gone) {
        return EditResult.of(ProjectView.of(project), before, after, gone, undoing(editor));
    }
}
