package app.tychon.server.machines;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import app.tychon.core.simulation.engine.Blocks;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Helpers;
import app.tychon.core.simulation.engine.Task;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.machines.Crew;
import app.tychon.machines.Machine;
import app.tychon.server.Demo;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** What is shared is known as long as somebody helps with it, and no longer. */
class MachinesTest {
    private static final Machines.Work WORK = new Machines.Work(UUID.randomUUID(), "run 3");
    private static final Blocks NONE = mock(Blocks.class);

    private final Crew crew = mock(Crew.class);
    private final Machines machines = new Machines(Optional.of(crew));
    private final List<String> closed = new ArrayList<>();
    private final Task task =
            Task.outcomes(CompiledPlan.of(Demo.plan()), new RunSettings(50_000, 7, Sampling.LATIN, 1));

    private static Machine busyAt(String... runs) {
        return new Machine("M", "one", "worker", "", 2, Instant.EPOCH, runs.length, Set.of(runs), 0, 0, 0);
    }

    @Test
    void whatIsHelpedWithIsKnownUntilItEnds() {
        UUID run = UUID.randomUUID();
        when(crew.helpers(any(), any())).thenReturn((what, blocks) -> () -> closed.add("closed"));
        when(crew.machines()).thenReturn(List.of(busyAt(run.toString()), busyAt()));
        Helpers.Help help = machines.helpers(run, WORK, () -> false).begin(task, NONE);
        assertThat(machines.work(run.toString())).contains(WORK);
        assertThat(machines.at(run)).isEqualTo(1);
        help.close();
        assertThat(closed).containsExactly("closed");
        assertThat(machines.work(run.toString())).isEmpty();
        assertThat(machines.at(run)).isZero();
    }

    @Test
    void whatNobodyHelpsWithIsNotShown() {
        UUID run = UUID.randomUUID();
        when(crew.helpers(any(), any())).thenReturn(Helpers.NONE);
        assertThat(machines.helpers(run, WORK, () -> false).begin(task, NONE)).isSameAs(Helpers.NO_HELP);
        assertThat(machines.work(run.toString())).isEmpty();
    }

    @Test
    void everyQuestionHasANameOfItsOwn() {
        List<String> names = new ArrayList<>();
        when(crew.helpers(any(), any())).thenAnswer(call -> {
            names.add(call.getArgument(0));
            return Helpers.NONE;
        });
        Helpers helpers = machines.helpers(WORK);
        helpers.begin(task, NONE);
        helpers.begin(task, NONE);
        assertThat(names).hasSize(2).doesNotHaveDuplicates();
    }

    @Test
    void withoutMachinesNothingIsAskedOfAny() {
        Machines alone = new Machines(Optional.empty());
        assertThat(alone.helpers(WORK).begin(task, NONE)).isSameAs(Helpers.NO_HELP);
        assertThat(alone.all()).isEmpty();
        assertThat(alone.listen()).isEmpty();
    }
}
