package app.tychon.server.programmes;

import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Part;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.core.model.Project;
import app.tychon.core.model.Targets;
import app.tychon.core.programme.Member;
import app.tychon.core.programme.Programme;
import app.tychon.core.programme.Tie;
import app.tychon.exchange.JsonCursor;
import app.tychon.exchange.programme.TieJson;
import app.tychon.server.edits.Edit;
import app.tychon.server.edits.Editor;
import app.tychon.server.edits.Edits;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.problems.ConflictException;
import app.tychon.server.problems.NotFoundException;
import app.tychon.server.project.ProjectEntity;
import app.tychon.server.project.ProjectHolder;
import app.tychon.server.project.ProjectRepository;
import app.tychon.server.project.Shelf;
import app.tychon.server.rights.Act;
import app.tychon.server.rights.Rights;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Programmes. Each is a project of its own, with people, runs, scenarios and briefs of its own; what its plan consists of is
 * brought over from its projects whenever one of them is edited ({@link Following}).
 */
@Service
class Programmes implements ProjectHolder {
    static final String SYSTEM = "programmes";
    private static final int MOST_MEMBERS = 100;
    private static final JsonMapper MAPPER = JsonMapper.builder().build();

    private final ProgrammeRecords records;
    private final ProjectRepository projects;
    private final PlanStore plans;
    private final Edits edits;
    private final Rights rights;
    private final Admission admission;
    private final TransactionTemplate transaction;

    Programmes(
            ProgrammeRecords records,
            ProjectRepository projects,
            PlanStore plans,
            Edits edits,
            Rights rights,
            Admission admission,
            TransactionTemplate transaction) {
        this.records = records;
        this.projects = projects;
        this.plans = plans;
        this.edits = edits;
        this.rights = rights;
        this.admission = admission;
        this.transaction = transaction;
    }

    /** A new programme of projects that whoever asks may edit, in the currency of the first. */
    UUID begin(ProgrammeWords words) {
        if (words.projects().isEmpty()) {
            throw refused("/projects", "a programme begins with at least one project");
        }
        String currency = projects.view(words.projects().get(0).project()).currency();
        return keep(
                new Programme("programme", words.name().strip(), currency, Targets.NONE, List.of(), List.of()),
                words.projects());
    }

    /**
     * Keeps a programme with all of its ties, or nothing of it.
     *
     * @param said what is said of it but for its members
     */
    UUID keep(Programme said, List<PartWords> wanted) {
        return transaction.execute(status -> {
            List<Member> members = new ArrayList<>();
            Set<String> draws = new HashSet<>();
            Set<String> codes = new HashSet<>();
            for (int i = 0; i < wanted.size(); i++) {
                members.add(admission.member("/projects/" + i, wanted.get(i), codes, draws));
            }
            UUID id = plans.insert(Assembled.whole(
                    new Programme(said.id(), said.name(), said.currency(), said.targets(), members, said.ties())));
            projects.findById(id).orElseThrow().becomeProgramme();
            for (int i = 0; i < wanted.size(); i++) {
                insert(id, wanted.get(i), members.get(i), i);
            }
            for (int i = 0; i < said.ties().size(); i++) {
                insert(id, said.ties().get(i), i);
            }
            return id;
        });
    }

    private void insert(UUID programme, Tie tie, int position) {
        records.insert(
                new TieEntity(programme, tie.id(), position, TieJson.write(tie).toString()));
    }

    private void insert(UUID programme, PartWords words, Member member, int position) {
        MemberEntity entity = new MemberEntity(programme, words.project(), member.code(), position);
        member.rate().ifPresent(entity::setRate);
        records.insert(entity);
    }

    /** Takes one more project in. */
    void add(UUID programme, PartWords words) {
        change(programme, () -> {
            List<MemberEntity> there = records.members(programme);
            if (there.size() >= MOST_MEMBERS) {
                throw new ConflictException("A programme has at most " + MOST_MEMBERS + " projects.");
            }
            if (there.stream().anyMatch(one -> one.projectId().equals(words.project()))) {
                throw refused("/project", "it is part of this programme already");
            }
            Set<String> codes = there.stream().map(MemberEntity::code).collect(Collectors.toSet());
            Set<String> draws = there.stream()
                    .map(one -> plans.find(one.projectId()).plan().project().draws())
                    .collect(Collectors.toCollection(HashSet::new));
            Member member = admission.member("", words, new HashSet<>(codes), draws);
            insert(programme, words, member, records.end("ProgrammeMemberEntity", programme));
        });
    }

    /** Takes a project out that no tie binds. */
    void remove(UUID programme, UUID project) {
        change(programme, () -> {
            MemberEntity member = memberOf(programme, project);
            String prefix = Part.qualified(member.code(), "");
            List<String> tied = records.ties(programme).stream()
                    .filter(tie -> tie.definition().contains("\"" + prefix))
                    .map(TieEntity::code)
                    .toList();
            if (!tied.isEmpty()) {
                throw new ConflictException("It is tied to others by " + String.join(", ", tied)
                        + ". Take those ties away first; nothing was changed.");
            }
            if (records.members(programme).size() == 1) {
                throw new ConflictException("A programme has at least one project; delete the programme instead.");
            }
            records.remove(member);
        });
    }

    private MemberEntity memberOf(UUID programme, UUID project) {
        return records.member(programme, project)
                .orElseThrow(() -> new NotFoundException("There is no such project in this programme."));
    }

    /** What those see of a project who may not read it; its owner says. */
    void show(UUID programme, UUID project, Shown what) {
        rights.demand(project, Act.OWN);
        transaction.executeWithoutResult(status -> memberOf(programme, project).show(what));
    }

    /** One more tie; where there is one of the same id, it takes its place. */
    void tie(UUID programme, JsonNode body) {
        List<Problem> problems = new ArrayList<>();
        Tie tie = TieJson.read(JsonCursor.at(body, problems));
        if (!problems.isEmpty()) {
            throw new InvalidPlanException(problems);
        }
        change(programme, () -> {
            records.ties(programme).stream()
                    .filter(one -> one.code().equals(tie.id()))
                    .forEach(records::remove);
            records.flush();
            insert(programme, tie, records.end("ProgrammeTieEntity", programme));
        });
    }

    void untie(UUID programme, String code) {
        change(
                programme,
                () -> records.remove(records.ties(programme).stream()
                        .filter(tie -> tie.code().equals(code))
                        .findFirst()
                        .orElseThrow(() ->
                                new NotFoundException("There is no such tie; it may have been taken away already."))));
    }

    /** A change of what a programme consists of: kept with the plan that it makes, or not at all. */
    private void change(UUID programme, Runnable change) {
        edits.inTurn(programme, () -> {
            projects.findForEditing(programme)
                    .filter(ProjectEntity::isProgramme)
                    .orElseThrow(() -> new NotFoundException("There is no such programme."));
            change.run();
            records.flush();
            try {
                bring(programme, Assembled.whole(programme(programme)));
            } catch (InvalidPlanException e) {
                throw new InvalidPlanException(e.problems().stream()
                        .map(problem -> new Problem(
                                problem.pointer().replaceFirst("^/(ties|members)/\\d+", ""), problem.message()))
                        .toList());
            }
            return null;
        });
    }

    /** Brings a programme to what its projects make of it now. */
    Assembled follow(UUID programme) {
        return edits.inTurn(programme, () -> {
            Assembled assembled = Assembled.lenient(programme(programme));
            bring(programme, assembled.plan());
            return assembled;
        });
    }

    private void bring(UUID programme, Plan made) {
        edits.note(
                new Editor(programme, SYSTEM, Optional.empty()),
                before -> new Edit.Outcome(
                        made.withScenarios(before.scenarios())
                                .withBriefs(before.briefs())
                                .withAccepted(before.accepted()),
                        "Its projects changed"));
    }

    /** As its projects and ties are now. */
    Programme programme(UUID id) {
        Project own = plans.find(id).plan().project();
        return new Programme(
                own.id(),
                own.name(),
                own.currency(),
                own.targets(),
                records.members(id).stream()
                        .map(member -> new Member(
                                member.code(), plans.find(member.projectId()).plan(), member.rate()))
                        .toList(),
                ties(id));
    }

    /** What ties its projects, in the order of the list. */
    List<Tie> ties(UUID programme) {
        return records.ties(programme).stream().map(Programmes::tie).toList();
    }

    static JsonNode json(TieEntity tie) {
        try {
            return MAPPER.readTree(tie.definition());
        } catch (JsonProcessingException e) {
            throw new IllegalStateException(e);
        }
    }

    private static Tie tie(TieEntity tie) {
        return TieJson.read(JsonCursor.at(json(tie), new ArrayList<>()));
    }

    static InvalidPlanException refused(String pointer, String message) {
        return new InvalidPlanException(List.of(new Problem(pointer, message)));
    }

    @Override
    public Optional<String> holds(UUID project) {
        return transaction.execute(status -> records.programmesOf(project).stream()
                .flatMap(programme -> projects.findById(programme).stream())
                .filter(programme -> programme.shelf() != Shelf.DELETED)
                .findFirst()
                .map(programme -> "It is part of the programme " + programme.name()
                        + ": take it out there first. Nothing was changed."));
    }
}
