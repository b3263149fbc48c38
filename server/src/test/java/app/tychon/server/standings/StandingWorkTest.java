package app.tychon.server.standings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.server.Demo;
import app.tychon.server.plan.LoadedPlan;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.pool.EnginePool;
import app.tychon.server.problems.BusyException;
import app.tychon.server.problems.NotFoundException;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.datatype.jsr310.JavaTimeModule;
import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;
import java.util.function.Function;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.TransactionStatus;
import org.springframework.transaction.support.TransactionTemplate;

/** Which project's standing is worked out when. */
class StandingWorkTest {
    private static final UUID FIRST = new UUID(0, 1);
    private static final UUID SECOND = new UUID(0, 2);
    private static final UUID THIRD = new UUID(0, 3);
    private static final LoadedPlan PLAN = LoadedPlan.of(1, Demo.plan());

    private final PlanStore plans = mock(PlanStore.class);
    private final EnginePool pool = mock(EnginePool.class);
    private final EntityManager entities = mock(EntityManager.class);
    private final TransactionTemplate transaction = mock(TransactionTemplate.class);
    private final StandingWork work = new StandingWork(
            plans, pool, entities, transaction, new ObjectMapper().registerModule(new JavaTimeModule()));
    /** What was begun and is not done yet, by whom it counts for. */
    private final Map<String, Function<RunMonitor, ?>> begun = new LinkedHashMap<>();

    private final List<UUID> kept = new ArrayList<>();

    @BeforeEach
    void thePoolOnlyNotesWhatIsBegun() {
        when(plans.find(any())).thenReturn(PLAN);
        doAnswer(call -> {
                    begun.put(call.getArgument(1), call.getArgument(3));
                    return new CompletableFuture<>();
                })
                .when(pool)
                .submit(any(), any(), anyLong(), any());
        doAnswer(call -> {
                    call.<Consumer<TransactionStatus>>getArgument(0).accept(null);
                    return null;
                })
                .when(transaction)
                .executeWithoutResult(any());
        doAnswer(call -> kept.add(call.<StandingEntity>getArgument(0).projectId()))
                .when(entities)
                .persist(any());
    }

    private static String owner(UUID project) {
        return "standing of " + project;
    }

    private void end(UUID project) {
        begun.remove(owner(project)).apply(RunMonitor.NONE);
    }

    @Test
    void twoAreWorkedOutAtATimeAndTheNextBeginsWhenOneIsDone() {
        for (UUID project : List.of(FIRST, SECOND, THIRD)) {
            work.want(project, 1, List.of());
        }
        // Whoever looks again meanwhile does not put anybody in twice.
        work.want(FIRST, 1, List.of());
        work.want(THIRD, 1, List.of());
        assertThat(begun).containsOnlyKeys(owner(FIRST), owner(SECOND));
        end(SECOND);
        assertThat(kept).containsExactly(SECOND);
        assertThat(begun).containsOnlyKeys(owner(FIRST), owner(THIRD));
        end(FIRST);
        end(THIRD);
        assertThat(kept).containsExactly(SECOND, FIRST, THIRD);
        assertThat(begun).isEmpty();
        assertThat(work.problem(FIRST, 1)).isEmpty();
    }

    @Test
    void oneThatCannotBeWorkedOutSaysWhyUntilItIsAnother() {
        when(entities.find(StandingEntity.class, FIRST)).thenThrow(new IllegalStateException("gone"));
        work.want(FIRST, 4, List.of());
        work.want(SECOND, 1, List.of());
        work.want(THIRD, 1, List.of());
        end(FIRST);
        assertThat(work.problem(FIRST, 4)).contains("It could not be simulated.");
        assertThat(work.problem(FIRST, 5)).isEmpty();
        assertThat(begun).as("the others go on").containsOnlyKeys(owner(SECOND), owner(THIRD));
    }

    @Test
    void oneThatIsNotThereAnyMoreHoldsUpNobody() {
        when(plans.find(FIRST)).thenThrow(new NotFoundException("There is no such project."));
        work.want(FIRST, 1, List.of());
        work.want(SECOND, 1, List.of());
        assertThat(work.problem(FIRST, 1)).contains("There is no such project.");
        assertThat(begun).containsOnlyKeys(owner(SECOND));
    }

    @Test
    void whereTooMuchWaitsItIsLeftUntilSomebodyLooksAgain() {
        doThrow(new BusyException("Too much waits."))
                .doAnswer(call -> {
                    begun.put(call.getArgument(1), call.getArgument(3));
                    return new CompletableFuture<>();
                })
                .when(pool)
                .submit(any(), any(), anyLong(), any());
        work.want(FIRST, 1, List.of());
        assertThat(begun).isEmpty();
        assertThat(work.problem(FIRST, 1)).isEmpty();
        work.want(FIRST, 1, List.of());
        assertThat(begun).containsOnlyKeys(owner(FIRST));
    }
}
