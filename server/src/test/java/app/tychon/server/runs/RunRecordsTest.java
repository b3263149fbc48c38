package app.tychon.server.runs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.tychon.core.RandomPlans;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.server.ServerTest;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.problems.BusyException;
import app.tychon.server.problems.ConflictException;
import app.tychon.server.storage.ProjectStorage;
import jakarta.persistence.EntityManager;
import java.time.LocalDateTime;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.util.unit.DataSize;

/** What becomes of a run while others change it at the same time, on a real database. */
class RunRecordsTest extends ServerTest {
    private static final PackedRun RESULTS =
            new PackedRun(1000, LocalDateTime.of(2028, 1, 3, 17, 0), 42.0, new byte[] {1}, List.of());

    @Autowired
    private RunArchive archive;

    @Autowired
    private PlanStore plans;

    @Autowired
    private EntityManager entities;

    @Autowired
    private PlatformTransactionManager transactions;

    private UUID project;
    private UUID run;

    @BeforeEach
    void aRunAtWork() {
        project = plans.insert(RandomPlans.oneCalendar(3, 10));
        RunSettings settings = new RunSettings(1000, 1, Sampling.LATIN, 1);
        run = archive.begin(project, plans.find(project), settings, new RunWords("First", null, null))
                .id();
    }

    /** Somebody has looked at the run in a transaction of their own; then something else happens, and is kept. */
    private void overlapping(Runnable meanwhile, Runnable then) {
        TransactionTemplate other = new TransactionTemplate(transactions);
        other.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
        new TransactionTemplate(transactions).executeWithoutResult(status -> {
            archive.view(run);
            other.executeWithoutResult(inner -> meanwhile.run());
            then.run();
        });
    }

    @Test
    void oneProjectKeepsSoMuchAndDeletedRunsDoNotCount() {
        archive.checkRoom(project, null);
        byte[] large = new byte[1000];
        archive.finish(
                run, new PackedRun(1000, LocalDateTime.of(2028, 1, 3, 17, 0), 42.0, large, List.of()), RunState.DONE);
        new ProjectStorage(entities, DataSize.ofBytes(1001)).checkRoom(project);
        ProjectStorage small = new ProjectStorage(entities, DataSize.ofBytes(1000));
        assertThatThrownBy(() -> small.checkRoom(project))
                .isInstanceOf(ConflictException.class)
                .hasMessageContaining("as much as one project may keep");
        archive.delete(run);
        small.checkRoom(project);
    }

    @Test
    void onePersonHasSoManyRunsAtWork() {
        RunSettings settings = new RunSettings(1000, 1, Sampling.LATIN, 1);
        for (int i = 0; i < 30; i++) {
            archive.checkRoom(project, "somebody busy");
            archive.begin(project, plans.find(project), settings, new RunWords(null, null, "somebody busy"));
        }
        assertThatThrownBy(() -> archive.checkRoom(project, "somebody busy"))
                .isInstanceOf(BusyException.class)
                .hasMessageContaining("30 runs of yours");
        archive.checkRoom(project, "somebody else");
    }

    @Test
    void aRenameThatOverlapsTheEndLosesNeitherTheNameNorTheResults() {
        overlapping(() -> archive.finish(run, RESULTS, RunState.DONE), () -> archive.call(run, "Second", "Why"));
        RunView view = archive.view(run);
        assertThat(view.state()).isEqualTo("done");
        assertThat(view.done()).isEqualTo(1000);
        assertThat(view.name()).isEqualTo("Second");
        overlapping(() -> archive.call(run, "Third", null), () -> archive.delete(run));
        assertThat(archive.bringBack(run).name()).isEqualTo("Third");
    }

    @Test
    void aDeletedRunDoesNotReappearWhenItEnds() {
        overlapping(() -> archive.delete(run), () -> archive.finish(run, RESULTS, RunState.DONE));
        assertThat(archive.list(project, null)).isEmpty();
        overlapping(() -> archive.bringBack(run), () -> archive.call(run, "Back", null));
        assertThat(archive.list(project, null)).singleElement().satisfies(view -> {
            assertThat(view.state()).isEqualTo("done");
            assertThat(view.name()).isEqualTo("Back");
        });
    }

    @Test
    void aReaderThatLookedEarlierDoesNotInterruptAFinishedRun() {
        overlapping(
                () -> archive.finish(run, RESULTS, RunState.DONE),
                () -> archive.end(run, RunState.INTERRUPTED, "Left behind."));
        assertThat(archive.view(run).state()).isEqualTo("done");
        assertThat(archive.view(run).failure()).isNull();
    }

    @Test
    void aRunThatWasBelievedLostEndsByItsResultsAllTheSame() {
        archive.end(run, RunState.INTERRUPTED, "Left behind.");
        archive.finish(run, RESULTS, RunState.STOPPED);
        assertThat(archive.view(run).state()).isEqualTo("stopped");
        assertThat(archive.view(run).levelCost()).isEqualTo(42.0);
    }

    @Test
    void ofTwoWhoLetARunGoOnOneIsTold() {
        archive.end(run, RunState.INTERRUPTED, "Left behind.");
        archive.resume(run);
        assertThatThrownBy(() -> archive.resume(run)).isInstanceOf(ConflictException.class);
        assertThat(archive.view(run).state()).isEqualTo("running");
    }
}
