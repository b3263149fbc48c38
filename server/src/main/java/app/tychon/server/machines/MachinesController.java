package app.tychon.server.machines;

import app.tychon.machines.Machine;
import app.tychon.server.project.ProjectEntity;
import app.tychon.server.project.ProjectRepository;
import app.tychon.server.rights.Act;
import app.tychon.server.rights.ForAdministrators;
import app.tychon.server.rights.Rights;
import jakarta.annotation.Nullable;
import java.time.Instant;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The machines that work together, for those who look after the server. */
@RestController
@ForAdministrators
class MachinesController {
    private final Machines machines;
    private final ProjectRepository projects;
    private final Rights rights;

    MachinesController(Machines machines, ProjectRepository projects, Rights rights) {
        this.machines = machines;
        this.projects = projects;
        this.rights = rights;
    }

    /**
     * All machines.
     *
     * @param listen HOST:PORT where others may join; absent where none may
     */
    record MachinesView(@Nullable String listen, List<MachineView> machines) {}

    /**
     * One of them.
     *
     * @param kind server or worker
     * @param threads blocks of a run it works at at once
     * @param busy blocks it has in hand, those that wait for a thread among them
     * @param work what those are of
     * @param blocks it has given back since it joined
     * @param futures in those
     * @param bytes of those
     */
    record MachineView(
            String id,
            String name,
            String kind,
            String address,
            int threads,
            Instant since,
            int busy,
            List<WorkView> work,
            long blocks,
            long futures,
            long bytes) {}

    /**
     * Something that is worked at.
     *
     * @param what such as "run 3"
     * @param project its name; absent where the reader may not read it
     */
    record WorkView(String what, @Nullable String project) {}

    @GetMapping("/api/machines")
    MachinesView machines() {
        return new MachinesView(
                machines.listen().orElse(null),
                machines.all().stream().map(this::view).toList());
    }

    private MachineView view(Machine one) {
        return new MachineView(
                one.id(),
                one.name(),
                one.kind(),
                one.address(),
                one.threads(),
                one.since(),
                one.busy(),
                one.runs().stream()
                        .flatMap(run -> machines.work(run).stream())
                        .map(this::view)
                        .toList(),
                one.blocks(),
                one.iterations(),
                one.bytes());
    }

    private WorkView view(Machines.Work work) {
        String name = rights.allows(work.project(), Act.READ)
                ? projects.findById(work.project()).map(ProjectEntity::name).orElse(null)
                : null;
        return new WorkView(work.what(), name);
    }
}
