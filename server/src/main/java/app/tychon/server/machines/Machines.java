package app.tychon.server.machines;

import app.tychon.core.simulation.engine.Blocks;
import app.tychon.core.simulation.engine.Helpers;
import app.tychon.core.simulation.engine.Task;
import app.tychon.machines.Crew;
import app.tychon.machines.Machine;
import app.tychon.server.database.Ids;
import jakarta.annotation.PreDestroy;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.BooleanSupplier;
import org.springframework.stereotype.Component;

/** Machines that may join and help with long runs; where none is configured nothing starts, and every run stays here. */
@Component
public class Machines {
    /**
     * Something that machines work at.
     *
     * @param what such as "run 3"
     */
    public record Work(UUID project, String what) {}

    private final Optional<Crew> crew;
    private final Map<String, Work> shared = new ConcurrentHashMap<>();

    /** @param crew what they join, where any may */
    public Machines(Optional<Crew> crew) {
        this.crew = crew;
    }

    /** Help with something, where it is long enough and somebody is there. */
    public Helpers helpers(Work work) {
        return (task, blocks) -> helpers(Ids.next(), work, () -> false).begin(task, blocks);
    }

    /**
     * The same with a recorded run.
     *
     * @param run  names it among all machines
     * @param held whether it stands still for a while
     */
    public Helpers helpers(UUID run, Work work, BooleanSupplier held) {
        return crew.map(all -> all.helpers(run.toString(), held))
                .map(helpers -> (Helpers) (task, blocks) -> begin(run.toString(), work, helpers, task, blocks))
                .orElse(Helpers.NONE);
    }

    private Helpers.Help begin(String run, Work work, Helpers helpers, Task task, Blocks blocks) {
        shared.put(run, work);
        Helpers.Help help = helpers.begin(task, blocks);
        if (help == Helpers.NO_HELP) {
            shared.remove(run);
            return help;
        }
        return () -> {
            shared.remove(run);
            help.close();
        };
    }

    /** How many other machines have something of a run in hand. */
    public int at(UUID run) {
        return shared.containsKey(run.toString())
                ? (int) all().stream()
                        .filter(one -> one.runs().contains(run.toString()))
                        .count()
                : 0;
    }

    /** Where they join, as HOST:PORT; nothing where none may. */
    Optional<String> listen() {
        return crew.map(all -> all.listen().toString());
    }

    List<Machine> all() {
        return crew.map(Crew::machines).orElse(List.of());
    }

    /** Whether somebody is there who may help. */
    public boolean mayHelp() {
        return crew.filter(Crew::mayHelp).isPresent();
    }

    /** What a run is that machines work at for this server. */
    Optional<Work> work(String run) {
        return Optional.ofNullable(shared.get(run));
    }

    @PreDestroy
    void close() {
        crew.ifPresent(Crew::close);
    }
}
