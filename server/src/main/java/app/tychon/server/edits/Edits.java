package app.tychon.server.edits;

import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Project;
import app.tychon.core.model.Sections;
import app.tychon.exchange.changes.ChangeSet;
import app.tychon.exchange.changes.ChangedMeanwhile;
import app.tychon.exchange.changes.Clash;
import app.tychon.server.edits.ChangeSetEntity.State;
import app.tychon.server.people.People;
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
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Every change of a plan goes through here: checked as a whole, stored as a whole or not at all, kept as a change set. */
@Service
public class Edits {
    private static final int HISTORY = 200;
    private static final int MOST_UNSEEN = 300;
    private static final int MOST_TOLD = 200;
    private static final int MOST_TOUCHES = 2_000;

    private final ProjectRepository projects;
    private final PlanStore plans;
    /** Sections that a programme has of its own. */
    private static final Set<String> OF_A_PROGRAMME = Set.of(
            Sections.PROJECT.name(), Sections.SCENARIOS.name(), Sections.BRIEFS.name(), Sections.ACCEPTED.name());

    private final ChangeLog log;
    private final ApplicationEventPublisher events;
    private final ProjectTurns turns;
    private final People people;
    private final UnsureEdits unsure;

    Edits(
            ProjectRepository projects,
            PlanStore plans,
            ChangeLog log,
            ApplicationEventPublisher events,
            ProjectTurns turns,
            People people,
            UnsureEdits unsure) {
        this.unsure = unsure;
        this.projects = projects;
        this.turns = turns;
        this.plans = plans;
        this.log = log;
        this.events = events;
        this.people = people;
    }

    /**
     * Applies an edit.
     *
     * @throws InvalidPlanException with the problem of every field, told in the words of the edit
     * @throws ConflictException where somebody else has changed the same fields since the editor saw them
     */
    public EditResult edit(Editor editor, Edit edit) {
        return turns.take(editor.project(), () -> editHeld(editor, edit, State.DONE));
    }

    /** The same for an edit that follows from another and stands in the history without being taken back by itself. */
    public EditResult note(Editor editor, Edit edit) {
        return turns.take(editor.project(), () -> editHeld(editor, edit, State.NOTE));
    }

    /**
     * Does more than one edit, or something beside it, in one turn and one transaction. Whoever locks rows of a project before
     * its turn has come, and then edits it, waits for somebody who waits for those rows.
     */
    public <T> T inTurn(UUID project, Supplier<T> work) {
        return turns.take(project, work);
    }

    private EditResult editHeld(Editor editor, Edit edit, State how) {
        ProjectEntity project = hold(editor);
        LoadedPlan before = plans.find(editor.project());
        Edit.Outcome outcome = edit.apply(before.plan());
        LoadedPlan after = sound(before, project.revision() + 1, outcome.plan(), edit);
        ChangeSet changes = ChangeSet.between(before.plan(), after.plan());
        refuseClashes(editor, project, changes);
        if (project.isProgramme() && how == State.DONE) {
            refuseWhatItsProjectsSay(before.plan().project(), after.plan().project(), changes);
        }
        if (!changes.changes().isEmpty()) {
            if (how == State.DONE) {
                log.dropUndone(editor.project(), editor.person());
            }
            log.add(editor.project(), after.revision(), editor.person(), outcome.label(), how, changes);
            store(project, before, after, outcome.followed());
            tell(editor, after, changes);
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
        tell(editor, after, changes);
        return result(editor, project, before, after, List.of());
    }

    /** What the editor could take back and do again now. */
    @Transactional(readOnly = true)
    Undoing undoing(Editor editor) {
        return new Undoing(
                log.undoableLabel(editor.project(), editor.person()).orElse(null),
                log.redoableLabel(editor.project(), editor.person()).orElse(null));
    }

    /** The last edits that the filter lets through, newest first. */
    @Transactional(readOnly = true)
    List<EditView> history(Editor editor, HistoryFilter filter) {
        List<EditView> last = log.last(editor.project(), editor.person(), filter, HISTORY);
        Map<String, String> names = people.namesByKey(last.stream().map(EditView::person));
        return last.stream().map(edit -> edit.by(names.get(edit.person()))).toList();
    }

    /** Makes the plan what it was after an edit, as one more edit, which can be taken back. */
    EditResult backTo(Editor editor, long revision) {
        return edit(editor, plan -> {
            List<ChangeSetEntity> since = log.since(editor.project(), revision);
            if (since.isEmpty()) {
                throw new ConflictException("The plan is as it was then.");
            }
            Plan then = plan;
            for (int i = since.size() - 1; i >= 0; i--) {
                then = log.changes(since.get(i)).turned().applyTo(then);
            }
            return new Edit.Outcome(then, "Back to how it was after edit " + revision);
        });
    }

    /** What the last edits did to one object of a section, newest first. */
    @Transactional(readOnly = true)
    public List<ObjectEdit> historyOf(Editor editor, String section, String key) {
        List<ObjectEdit> last = log.ofObject(editor.project(), editor.person(), section, key, HISTORY);
        Map<String, String> names = people.namesByKey(last.stream().map(ObjectEdit::person));
        return last.stream().map(edit -> edit.by(names.get(edit.person()))).toList();
    }

    /** When each object was edited last between two revisions of a project, by its section and key. */
    @Transactional(readOnly = true)
    public Map<List<String>, Touch> touches(Editor reader, long after, long until) {
        Map<List<String>, Touch> touches = log.touches(reader.project(), reader.person(), after, until, MOST_TOUCHES);
        Map<String, String> names = people.namesByKey(touches.values().stream().map(Touch::person));
        touches.replaceAll((object, touch) -> touch.by(names.get(touch.person())));
        return touches;
    }

    private ProjectEntity hold(Editor editor) {
        return projects.findForEditing(editor.project())
                .orElseThrow(() -> new NotFoundException("There is no such project."));
    }

    /**
     * Lets an edit pass that changes nothing which was changed meanwhile, unseen by whoever makes it.
     *
     * @throws ConflictException with every field that both have changed
     */
    private void refuseClashes(Editor editor, ProjectEntity project, ChangeSet mine) {
        long seen = editor.seen().orElse(project.revision());
        if (seen == project.revision()) {
            return;
        }
        if (seen > project.revision() || project.revision() - seen > MOST_UNSEEN) {
            throw new ConflictException(
                    "Much of the plan was changed meanwhile, in another window or by somebody else. Look at it as it is now, then edit again.");
        }
        List<ChangeSetEntity> meanwhile = log.since(editor.project(), seen);
        List<Clash> clashes =
                Clash.between(mine, meanwhile.stream().map(log::changes).toList());
        if (!clashes.isEmpty()) {
            Map<String, String> names = people.namesByKey(meanwhile.stream().map(ChangeSetEntity::person));
            String who = clashes.stream()
                    .map(clash -> names.get(meanwhile.get(clash.of()).person()))
                    .filter(Objects::nonNull)
                    .distinct()
                    .collect(Collectors.joining(" and "));
            throw new ConflictException(
                    "This was changed meanwhile, "
                            + (who.isEmpty() ? "in another window or by somebody else" : "by " + who)
                            + ". Nothing of yours was stored yet: choose which of both stays.",
                    clashes.stream()
                            .map(clash -> ClashView.of(
                                    clash,
                                    names.get(meanwhile.get(clash.of()).person()),
                                    meanwhile.get(clash.of()).madeAt()))
                            .toList());
        }
    }

    /** Of its own a programme has its name and targets, scenarios, briefs, and findings that were accepted. */
    private static void refuseWhatItsProjectsSay(Project before, Project after, ChangeSet changes) {
        Project own = before.withName(after.name()).withTargets(after.targets());
        if (!own.equals(after)
                || changes.changes().stream().anyMatch(change -> !OF_A_PROGRAMME.contains(change.section()))) {
            throw new ConflictException(
                    "This is a programme: what its plan consists of is edited in its projects, and follows here at once. Nothing was changed.");
        }
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
        unsure.watch(project.id());
        plans.change(project, before, after);
        project.changed(simulated);
        events.publishEvent(new PlanChanged(project.id(), after, simulated, followed));
    }

    private void tell(Editor editor, LoadedPlan after, ChangeSet changes) {
        events.publishEvent(new PlanEdited(
                editor.project(),
                after.revision(),
                editor.person(),
                changes.changes().stream()
                        .limit(MOST_TOLD)
                        .map(change -> List.of(change.section(), change.key()))
                        .toList()));
    }

    private EditResult result(
            Editor editor, ProjectEntity project, LoadedPlan before, LoadedPlan after, List<String> gone) {
        return EditResult.of(ProjectView.of(project), before, after, gone, undoing(editor));
    }
}
