package app.tychon.server.programmes;

import app.tychon.core.model.Plan;
import app.tychon.core.programme.ExchangeRate;
import app.tychon.core.programme.Member;
import app.tychon.server.edits.Edit;
import app.tychon.server.edits.Editor;
import app.tychon.server.edits.Edits;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.project.ProjectEntity;
import app.tychon.server.project.ProjectRepository;
import app.tychon.server.project.Shelf;
import app.tychon.server.rights.Act;
import app.tychon.server.rights.Rights;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Takes projects into programmes: which may be, what they are called there, and by what they draw. */
@Component
class Admission {
    private final ProjectRepository projects;
    private final PlanStore plans;
    private final Edits edits;
    private final Rights rights;

    Admission(ProjectRepository projects, PlanStore plans, Edits edits, Rights rights) {
        this.projects = projects;
        this.plans = plans;
        this.edits = edits;
        this.rights = rights;
    }

    /**
     * A project that whoever asks may edit, as it takes part.
     *
     * @param at where it is said
     * @param codes and draws of those that are in the programme already; those of this one are added
     */
    Member member(String at, PartWords words, Set<String> codes, Set<String> draws) {
        rights.demand(words.project(), Act.EDIT);
        ProjectEntity project = projects.findById(words.project())
                .filter(one -> one.shelf() != Shelf.DELETED && one.scenarioOf().isEmpty())
                .orElseThrow(() -> Programmes.refused(at + "/project", "there is no such project"));
        if (project.isProgramme()) {
            throw Programmes.refused(
                    at + "/project", project.name() + " is a programme itself; take its projects in, each by itself");
        }
        Plan plan = drawingApart(words.project(), draws);
        String code = words.code() == null || words.code().isBlank()
                ? codeOf(project.name(), codes)
                : words.code().strip();
        codes.add(code);
        Optional<ExchangeRate> rate =
                Optional.ofNullable(words.worth()).map(worth -> new ExchangeRate(worth, words.worthOn()));
        return new Member(code, plan, rate);
    }

    /** The project's plan, which draws as none of the others does; where it would, it is given something of its own. */
    private Plan drawingApart(UUID id, Set<String> draws) {
        Plan plan = plans.find(id).plan();
        if (draws.add(plan.project().draws())) {
            return plan;
        }
        String own = draws.contains(plan.project().id() + "/")
                ? id + "/"
                : plan.project().id() + "/";
        draws.add(own);
        edits.note(
                new Editor(id, Programmes.SYSTEM, Optional.empty()),
                before -> new Edit.Outcome(
                        before.withProject(before.project().withDraws(own)),
                        "Random numbers of its own, as part of a programme"));
        return plans.find(id).plan();
    }

    /** The first letters of the words of a name. */
    private static String codeOf(String name, Set<String> taken) {
        String letters = name.toUpperCase(Locale.ROOT)
                .replaceAll("[^A-Z0-9 ]", "")
                .replaceAll("\\b([A-Z0-9])[A-Z0-9]*\\s*", "$1");
        String code = letters.isEmpty() ? "P" : letters.substring(0, Math.min(3, letters.length()));
        String free = code;
        for (int n = 2; taken.contains(free); n++) {
            free = code + n;
        }
        return free;
    }
}
