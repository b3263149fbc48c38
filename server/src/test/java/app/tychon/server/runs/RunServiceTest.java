package app.tychon.server.runs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.doNothing;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.timeout;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.tychon.core.RandomPlans;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.server.events.ProjectEvents;
import app.tychon.server.fellows.Fellows;
import app.tychon.server.machines.Machines;
import app.tychon.server.plan.LoadedPlan;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.pool.EnginePool;
import app.tychon.server.problems.NotFoundException;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.DataIntegrityViolationException;

/** A run whose database goes away while it works. */
class RunServiceTest {
    private static final int PATIENCE_MS = 30_000;
    private static final UUID PROJECT = UUID.randomUUID();

    private final PlanStore plans = mock(PlanStore.class);
    private final RunArchive archive = mock(RunArchive.class);
    private final ProjectEvents events = mock(ProjectEvents.class);
    private final EnginePool pool = new EnginePool(2, Long.MAX_VALUE);
    private final Machines machines = new Machines(Optional.empty());
    private final RunService runs =
            new RunService(plans, archive, events, pool, machines, mock(Fellows.class), Duration.ZERO);
    private final LoadedPlan plan = LoadedPlan.of(1, RandomPlans.oneCalendar(3, 10));
    private final RunEntity run = new RunEntity(
            PROJECT, 1, new RunSettings(1000, 7, Sampling.LATIN, 1), plan, new RunWords(null, null, null));

    @BeforeEach
    void aPlanToSimulate() {
        when(plans.find(PROJECT)).thenReturn(plan);
        when(archive.begin(eq(PROJECT), any(), any(), any())).thenReturn(run);
        when(archive.view(run.id())).thenAnswer(asked -> run.view());
    }

    @AfterEach
    void close() throws InterruptedException {
        runs.close();
    }

    private void start() {
        runs.start(PROJECT, new RunRequest(1000, 7L, null, null, null, 1, false, null, null), null);
    }

    private static DataAccessResourceFailureException gone() {
        return new DataAccessResourceFailureException("no connection");
    }

    @Test
    void waitsWithWhatItHasUntilTheDatabaseIsBack() {
        doThrow(gone()).doThrow(gone()).doNothing().when(archive).finish(any(), any(), any());
        start();
        // Progress is told too; the end is told from what is stored.
        verify(archive, timeout(PATIENCE_MS)).view(run.id());
        verify(archive, times(3)).finish(eq(run.id()), any(), eq(RunState.DONE));
        verify(archive, never()).end(any(), any(), any());
    }

    /** As amounts that are no numbers are refused: trying again would only hold up others. */
    @Test
    void dataThatTheDatabaseDoesNotTakeIsNotTriedAgain() {
        doThrow(new DataIntegrityViolationException("out of range"))
                .when(archive)
                .finish(any(), any(), any());
        start();
        verify(archive, timeout(PATIENCE_MS)).view(run.id());
        verify(archive, times(1)).finish(any(), any(), any());
        verify(archive).end(eq(run.id()), eq(RunState.FAILED), any());
    }

    /** As by another server that did not see this one. */
    @Test
    void whatHasEndedMeanwhileStaysAsItEnded() {
        doThrow(new NotFoundException("The run ended meanwhile, or is gone."))
                .when(archive)
                .finish(any(), any(), any());
        start();
        verify(archive, timeout(PATIENCE_MS)).view(run.id());
        verify(archive, times(1)).finish(any(), any(), any());
        verify(archive, never()).end(any(), any(), any());
    }

    @Test
    void isRefusedWhereItWouldTakeMoreMemoryThanThereIs() {
        LoadedPlan watched = LoadedPlan.of(
                1,
                RandomPlans.oneCalendar(3, 100)
                        .withActivities(RandomPlans.oneCalendar(3, 100).activities().stream()
                                .map(a -> a.withWatch(true))
                                .toList()));
        when(plans.find(PROJECT)).thenReturn(watched);
        RunRequest large = new RunRequest(1_000_000, 7L, null, null, null, 1, false, null, null);
        assertThatThrownBy(() -> runs.start(PROJECT, large, null))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("Watch fewer");
        verify(archive, never()).begin(any(), any(), any(), any());
    }

    @Test
    void neverTakesMoreThreadsThanThereAreCores() {
        int cores = Runtime.getRuntime().availableProcessors();
        assertThat(new RunRequest(1000, 7L, null, null, null, 256, false, null, null)
                        .settings(0.8)
                        .threads())
                .isEqualTo(cores);
    }

    @Test
    void isSaidToHaveFailedWhereTheDatabaseComesBackTooLate() {
        doThrow(gone()).when(archive).finish(any(), any(), any());
        doThrow(gone()).doNothing().when(archive).end(any(), any(), any());
        start();
        verify(archive, timeout(PATIENCE_MS)).view(run.id());
        verify(archive, times(2)).end(eq(run.id()), eq(RunState.FAILED), any());
    }

    @Test
    void whoseEndWasNeverStoredIsFoundToBeInterrupted() {
        RunView left = old(run.view());
        when(archive.list(PROJECT, null)).thenReturn(List.of(left));
        doNothing().when(archive).end(any(), any(), any());
        runs.list(PROJECT, null);
        verify(archive).end(eq(run.id()), eq(RunState.INTERRUPTED), any());
        when(archive.list(PROJECT, null)).thenReturn(List.of(run.view()));
        assertThat(runs.list(PROJECT, null).get(0).state()).as("just begun").isEqualTo("running");
    }

    private static RunView old(RunView view) {
        return new RunView(
                view.id(),
                view.number(),
                view.name(),
                view.note(),
                view.state(),
                Instant.now().minus(1, ChronoUnit.HOURS),
                view.asked(),
                view.tolerance(),
                view.done(),
                view.seed(),
                view.sampling(),
                view.revision(),
                view.level(),
                view.levelFinish(),
                view.levelCost(),
                view.failure(),
                view.own(),
                view.by(),
                view.progress());
    }
}
