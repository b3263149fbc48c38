package app.tychon.server.scenarios;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import app.tychon.core.model.Scenario;
import app.tychon.core.simulation.engine.Helpers;
import app.tychon.core.simulation.engine.Task;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.exchange.ProjectFileReader;
import app.tychon.machines.Crew;
import app.tychon.server.events.ProjectEvents;
import app.tychon.server.live.Outlook;
import app.tychon.server.machines.Machines;
import app.tychon.server.plan.LoadedPlan;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.pool.EnginePool;
import app.tychon.server.pool.JobState;
import app.tychon.server.pool.Urgency;
import app.tychon.server.problems.BusyException;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.stubbing.OngoingStubbing;

/** Whoever is turned away since too much is being calculated is served when they ask again. */
class TurnedAwayTest {
    private static final UUID PROJECT = UUID.randomUUID();
    private static final BusyException BUSY = new BusyException("Too much is being calculated already.");

    private final EnginePool pool = mock();
    private final PlanStore plans = mock();
    private LoadedPlan plan;

    @BeforeEach
    void readTheDemo() throws IOException {
        try (InputStream file = Files.newInputStream(Path.of("../examples/kestrel-ridge.tychon.json"))) {
            plan = LoadedPlan.of(1, ProjectFileReader.read(file));
        }
        when(plans.find(PROJECT)).thenReturn(plan);
        when(pool.watched(any(), any())).thenReturn(RunMonitor.NONE);
    }

    /** Turns as many away as it says, and serves all others at once. */
    private void turnAway(int many) {
        OngoingStubbing<CompletableFuture<Object>> submitted = when(pool.submit(any(), any(), anyLong(), any()));
        for (int i = 0; i < many; i++) {
            submitted = submitted.thenThrow(BUSY);
        }
        submitted.thenAnswer(call -> {
            Function<RunMonitor, ?> work = call.getArgument(3);
            return CompletableFuture.completedFuture(work.apply(RunMonitor.NONE));
        });
    }

    private Map<String, Slot> asked(Board board) {
        return board.now(
                PROJECT,
                plan,
                plan.plan().scenarios().stream().map(Scenario::id).collect(Collectors.toSet()));
    }

    @Test
    void scenariosAreWorkedOutWhenTheyAreAskedForAgain() {
        int all = 1 + plan.plan().scenarios().size();
        turnAway(all);
        Board board = new Board(plans, mock(ProjectEvents.class), pool, new Machines(Optional.empty()));
        assertThat(asked(board).values())
                .hasSize(all)
                .allMatch(slot -> slot.odds().isEmpty() && slot.refusal().isEmpty());
        assertThat(asked(board).values()).allMatch(Slot::isRefined);
    }

    @Test
    void moreFuturesAreSimulatedWhenTheyAreAskedForAgain() {
        Board board = new Board(plans, mock(ProjectEvents.class), pool, new Machines(Optional.empty()));
        AtomicBoolean busy = new AtomicBoolean(true);
        when(pool.submit(any(), any(), anyLong(), any())).thenAnswer(call -> {
            if (busy.get() && call.getArgument(0) == Urgency.REFINEMENT) {
                throw BUSY;
            }
            Function<RunMonitor, ?> work = call.getArgument(3);
            return CompletableFuture.completedFuture(work.apply(RunMonitor.NONE));
        });
        assertThat(asked(board).values())
                .allMatch(slot -> slot.odds().isPresent() && !slot.isRefined())
                .allMatch(slot -> slot.refusal().isEmpty());
        busy.set(false);
        assertThat(asked(board).values()).allMatch(Slot::isRefined);
    }

    /** What each question that takes long offers to other machines. */
    private static Machines offering(List<Task> tasks) {
        Crew crew = mock(Crew.class);
        when(crew.helpers(any(), any())).thenReturn((task, blocks) -> {
            tasks.add(task);
            return Helpers.NO_HELP;
        });
        return new Machines(Optional.of(crew));
    }

    @Test
    void scenariosAndWhatToFundAreOfferedToOtherMachines() {
        turnAway(0);
        List<Task> scenarios = new ArrayList<>();
        asked(new Board(plans, mock(ProjectEvents.class), pool, offering(scenarios)));
        assertThat(scenarios)
                .allMatch(task -> task.wanted() == Task.Wanted.OUTCOMES)
                .extracting(task -> task.settings().iterations())
                .contains(Outlook.REFINED);
        List<Task> sets = new ArrayList<>();
        new FundJobs(plans, pool, offering(sets)).now(PROJECT, FundJobs.question("finish", 80, Set.of()));
        assertThat(sets)
                .anyMatch(task -> task.wanted() == Task.Wanted.DIFFERENCES
                        && !task.asked().isEmpty());
    }

    @Test
    void whatToFundIsWorkedOutWhenItIsAskedForAgain() {
        turnAway(1);
        FundJobs jobs = new FundJobs(plans, pool, new Machines(Optional.empty()));
        var question = FundJobs.question("finish", 80, Set.of());
        assertThat(jobs.now(PROJECT, question).state()).isEqualTo(JobState.WORKING);
        FundView served = jobs.now(PROJECT, question);
        assertThat(served.state()).isEqualTo(JobState.DONE);
        assertThat(served.complete()).isTrue();
    }
}
