package app.tychon.server.programmes;

import app.tychon.core.model.Plan;
import app.tychon.core.programme.ExchangeRate;
import app.tychon.core.programme.Programme;
import app.tychon.core.programme.Tie;
import app.tychon.exchange.programme.ProgrammeFile;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.programmes.ProgrammeView.ProgrammePartView;
import app.tychon.server.programmes.ProgrammeView.TieView;
import app.tychon.server.project.ProjectEntity;
import app.tychon.server.project.ProjectRepository;
import app.tychon.server.project.ProjectView;
import app.tychon.server.rights.Act;
import app.tychon.server.rights.Rights;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Programmes as whoever asks may see them. */
@Service
class ProgrammeViews {
    private final ProgrammeRecords records;
    private final ProjectRepository projects;
    private final PlanStore plans;
    private final Programmes programmes;
    private final Following following;
    private final Rights rights;

    ProgrammeViews(
            ProgrammeRecords records,
            ProjectRepository projects,
            PlanStore plans,
            Programmes programmes,
            Following following,
            Rights rights) {
        this.records = records;
        this.projects = projects;
        this.plans = plans;
        this.programmes = programmes;
        this.following = following;
        this.rights = rights;
    }

    @Transactional(readOnly = true)
    ProgrammeView of(UUID programme) {
        ProjectView own = projects.view(programme);
        List<ProgrammePartView> members =
                records.members(programme).stream().map(this::member).toList();
        boolean all = members.stream().allMatch(member -> member.project() != null);
        return new ProgrammeView(
                programme,
                own.name(),
                own.currency(),
                members,
                all ? ties(programme) : List.of(),
                all ? names(programme) : Map.of(),
                all ? following.stuck(programme) : null);
    }

    private ProgrammePartView member(MemberEntity member) {
        boolean read = rights.allows(member.projectId(), Act.READ);
        boolean told = read || member.shown() != Shown.NOTHING;
        return new ProgrammePartView(
                read ? member.projectId() : null,
                member.code(),
                told
                        ? projects.findById(member.projectId())
                                .map(ProjectEntity::name)
                                .orElse("")
                        : null,
                member.shown(),
                rights.allows(member.projectId(), Act.OWN),
                member.rate().map(ExchangeRate::worth).orElse(null),
                member.rate().map(ExchangeRate::on).orElse(null));
    }

    private List<TieView> ties(UUID programme) {
        return records.ties(programme).stream()
                .map(tie -> {
                    JsonNode definition = Programmes.json(tie);
                    String idle = following.idle(programme).stream()
                            .filter(one -> one.tie().equals(tie.code()))
                            .map(Assembled.Idle::why)
                            .findFirst()
                            .orElse(null);
                    return new TieView(tie.code(), definition.get("kind").asText(), definition, idle);
                })
                .toList();
    }

    private Map<String, String> names(UUID programme) {
        Plan plan = plans.find(programme).plan();
        Map<String, String> all = new TreeMap<>();
        plan.activities().forEach(one -> all.put(one.id(), one.name()));
        plan.costs().forEach(one -> all.put(one.id(), one.name()));
        plan.risks().forEach(one -> all.put(one.id(), one.title()));
        plan.resources().forEach(one -> all.put(one.id(), one.name()));
        Map<String, String> named = new TreeMap<>();
        for (Tie tie : programmes.ties(programme)) {
            named(tie).forEach(id -> named.put(id, all.getOrDefault(id, "")));
        }
        return named;
    }

    /** What a tie names. */
    static List<String> named(Tie tie) {
        if (tie instanceof Tie.Logic one) {
            return List.of(one.from(), one.to());
        }
        if (tie instanceof Tie.SharedRisk one) {
            List<String> risks = new ArrayList<>(List.of(one.risk()));
            risks.addAll(one.others());
            return risks;
        }
        if (tie instanceof Tie.Together one) {
            return one.members();
        }
        return ((Tie.SharedResource) tie).resources();
    }

    /** The programme as a file, which names its projects by their codes on this server. */
    @Transactional(readOnly = true)
    ProgrammeFile file(UUID programme) {
        Programme known = programmes.programme(programme);
        return new ProgrammeFile(
                known.id(),
                known.name(),
                known.currency(),
                known.targets(),
                known.members().stream()
                        .map(member -> new ProgrammeFile.Named(
                                member.code(), member.plan().project().id() + ".tychon.json", member.rate()))
                        .toList(),
                known.ties());
    }
}
