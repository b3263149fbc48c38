package app.tychon.server.live;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.after;
import static org.mockito.Mockito.atLeastOnce;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.timeout;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Plan;
import app.tychon.core.schedule.Network;
import app.tychon.core.statistics.Sample;
import app.tychon.server.Demo;
import app.tychon.server.events.ProjectEvents;
import app.tychon.server.fellows.Fellows;
import app.tychon.server.live.LiveView.State;
import app.tychon.server.plan.LoadedPlan;
import app.tychon.server.plan.PlanChanged;
import app.tychon.server.plan.PlanChangedElsewhere;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.pool.EnginePool;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.BiConsumer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;
import org.mockito.ArgumentMatchers;

class LiveOddsTest {
    private static final int PATIENCE_MS = 30_000;
    private static final int GRACE_MS = 300;
    private static final UUID PROJECT = UUID.randomUUID();

    private final PlanStore plans = mock(PlanStore.class);
    private final ProjectEvents events = mock(ProjectEvents.class);
    private final EnginePool pool = new EnginePool(2, Long.MAX_VALUE);
    private final Fellows fellows = mock(Fellows.class);
    private final ArgumentCaptor<BiConsumer<String, JsonNode>> ear = ArgumentCaptor.captor();
    private final ObjectMapper json = JsonMapper.builder()
            .findAndAddModules()
            .disable(SerializationFeature.WRITE_DATES_AS_TIMESTAMPS)
            .build();
    private final LiveOdds live =
            new LiveOdds(plans, events, pool, new FellowOdds(fellows, json), Duration.ofMillis(GRACE_MS));
    private final Plan demo = Demo.plan();

    @BeforeEach
    void theDemoStands() {
        stands(1, demo);
    }

    @AfterEach
    void close() {
        live.close();
        pool.close();
    }

    private LoadedPlan stands(long revision, Plan plan) {
        LoadedPlan loaded = LoadedPlan.of(revision, plan);
        when(plans.find(PROJECT)).thenReturn(loaded);
        return loaded;
    }

    private List<LiveView> told(State last, long revision) {
        ArgumentCaptor<LiveView> views = ArgumentCaptor.forClass(LiveView.class);
        verify(events, timeout(PATIENCE_MS))
                .publishHere(
                        eq(PROJECT),
                        eq("odds"),
                        ArgumentMatchers.<Object>argThat(v ->
                                v instanceof LiveView view && view.state() == last && view.revision() == revision));
        verify(events, atLeastOnce()).publishHere(eq(PROJECT), eq("odds"), views.capture());
        return views.getAllValues();
    }

    @Test
    void theFirstQuestionIsAnsweredAtOnceAndTheOddsAreToldWhenTheyAreThere() {
        LiveView first = live.now(PROJECT);
        assertThat(first.state()).isEqualTo(State.UPDATING);
        assertThat(first.outlook()).isNull();
        List<LiveView> told = told(State.REFINED, 1);
        assertThat(told).extracting(LiveView::state).containsExactly(State.LIVE, State.REFINED);
        assertThat(told.get(0).outlook().iterations()).isEqualTo(LiveOdds.FIRST);
        assertThat(told.get(1).outlook().iterations()).isEqualTo(Outlook.REFINED);
        assertThat(live.now(PROJECT).state()).isEqualTo(State.REFINED);
    }

    @Test
    void ofABurstOfEditsOnlyTheNewestIsTold() {
        live.now(PROJECT);
        told(State.REFINED, 1);
        for (int revision = 2; revision <= 30; revision++) {
            live.planChanged(new PlanChanged(PROJECT, stands(revision, demo), true, false));
        }
        List<LiveView> told = told(State.REFINED, 30);
        assertThat(told).filteredOn(view -> view.revision() > 1).hasSizeLessThan(30);
        assertThat(told.get(told.size() - 1).revision()).isEqualTo(30);
        assertThat(told).extracting(LiveView::revision).isSorted();
    }

    /** Odds as another server tells them. */
    private void hear(LiveView view) {
        verify(fellows).hear(eq("odds"), ear.capture());
        ear.getValue().accept("other", json.valueToTree(Map.of("project", PROJECT, "view", view)));
    }

    @Test
    void whatIsWorkedOutHereIsToldToOtherServers() {
        live.now(PROJECT);
        told(State.REFINED, 1);
        verify(fellows, timeout(PATIENCE_MS).times(2)).tell(eq("odds"), any());
    }

    @Test
    void oddsThatAnotherServerWorksOutAreNotWorkedOutHereAndCanBeReadAllTheSame() {
        live.now(PROJECT);
        LiveView own = told(State.REFINED, 1).get(1);
        stands(2, demo);
        live.planChanged(new PlanChangedElsewhere(PROJECT));
        UUID theirs = UUID.randomUUID();
        LiveView told = new LiveView(2, State.REFINED, theirs, 2L, own.outlook(), own.first(), null);
        hear(told);
        verify(events).publishHere(PROJECT, "odds", told);
        assertThat(live.now(PROJECT)).isEqualTo(told);
        assertThat(live.projectOf(theirs)).contains(PROJECT);
        // Past the time after which it would be worked out here.
        verify(events, after(3 * GRACE_MS).times(3)).publishHere(eq(PROJECT), eq("odds"), any());
        // A scenario is edited there, which changes nothing of it but the revision.
        stands(3, demo);
        live.planChanged(new PlanChangedElsewhere(PROJECT));
        ear.getValue()
                .accept(
                        "other",
                        json.valueToTree(Map.of(
                                "project",
                                PROJECT,
                                "view",
                                new LiveView(3, State.REFINED, theirs, 3L, own.outlook(), own.first(), null))));
        // Whoever reads more of it has it simulated here, to the same numbers.
        LiveRun run = live.run(theirs).orElseThrow();
        assertThat(run.result().finish())
                .isEqualTo(live.run(own.run()).orElseThrow().result().finish());
        assertThat(live.run(theirs)).containsSame(run);
    }

    @Test
    void whereTheOtherServerSaysNothingTheyAreWorkedOutHere() {
        live.now(PROJECT);
        told(State.REFINED, 1);
        stands(2, demo);
        live.planChanged(new PlanChangedElsewhere(PROJECT));
        told(State.REFINED, 2);
    }

    @Test
    void whatIsToldOfAnOlderPlanIsNotShown() {
        live.now(PROJECT);
        LiveView own = told(State.REFINED, 1).get(1);
        live.planChanged(new PlanChanged(PROJECT, stands(2, demo), true, false));
        told(State.REFINED, 2);
        LiveView old = new LiveView(1, State.REFINED, UUID.randomUUID(), 1L, own.outlook(), null, null);
        hear(old);
        verify(events, never()).publishHere(PROJECT, "odds", old);
        assertThat(live.now(PROJECT).revision()).isEqualTo(2);
    }

    @Test
    void oldOddsAreNeverShownAsNew() {
        live.now(PROJECT);
        List<LiveView> told = told(State.REFINED, 1);
        stands(2, demo);
        LiveView asked = live.now(PROJECT);
        assertThat(asked.state()).isEqualTo(State.UPDATING);
        assertThat(asked.outlook()).isEqualTo(told.get(1).outlook());
    }

    @Test
    void theNewestSimulationsCanBeReadWholeAndOthersAreWorkedOutAnewWhenTheyAreAskedFor() {
        live.now(PROJECT);
        LiveView before = told(State.REFINED, 1).get(1);
        LiveRun run = live.run(before.run()).orElseThrow();
        assertThat(run.result().iterations()).isEqualTo(Outlook.REFINED);
        assertThat(Instants.toCivil(Sample.of(run.result().finish()).min()))
                .isBefore(before.outlook().finish().percentiles().get(0));
        for (int revision = 2; revision <= 7; revision++) {
            live.planChanged(new PlanChanged(PROJECT, stands(revision, demo), true, false));
            told(State.REFINED, revision);
        }
        assertThat(live.run(before.run())).as("others have taken its place").isEmpty();
        assertThat(live.run(UUID.randomUUID())).isEmpty();
        for (int i = 0; i < 6; i++) {
            UUID project = UUID.randomUUID();
            when(plans.find(project)).thenReturn(LoadedPlan.of(1, demo));
            live.now(project);
            verify(events, timeout(PATIENCE_MS).atLeast(2)).publishHere(eq(project), eq("odds"), any());
        }
        LiveView pushedOut = live.now(PROJECT);
        assertThat(pushedOut.run()).as("is being worked out anew").isNull();
        assertThat(pushedOut.outlook()).isNotNull();
        verify(events, timeout(PATIENCE_MS).times(2))
                .publishHere(
                        eq(PROJECT),
                        eq("odds"),
                        ArgumentMatchers.<Object>argThat(v ->
                                v instanceof LiveView view && view.state() == State.REFINED && view.revision() == 7));
        assertThat(live.run(live.now(PROJECT).run())).isPresent();
    }

    @Test
    void theSamePlanAlwaysHasTheSameOdds() {
        live.now(PROJECT);
        Outlook before = told(State.REFINED, 1).get(1).outlook();
        live.planChanged(new PlanChanged(PROJECT, stands(2, demo.withRisks(List.of())), true, false));
        Outlook without = told(State.REFINED, 2).get(3).outlook();
        assertThat(without.finish().percentiles().get(79))
                .isBefore(before.finish().percentiles().get(79));
        live.planChanged(new PlanChanged(PROJECT, stands(3, demo), true, false));
        assertThat(told(State.REFINED, 3).get(5).outlook()).isEqualTo(before);
    }

    @Test
    void aPlanThatCannotBeSimulatedSaysWhy() {
        LoadedPlan sound = LoadedPlan.of(1, demo);
        // To stand in for a network would slow down all that calculates with one from then on.
        Network missing = null;
        when(plans.find(PROJECT))
                .thenReturn(new LoadedPlan(1, demo, missing, sound.schedule(), sound.items(), sound.cost()));
        live.now(PROJECT);
        LiveView refused = told(State.REFUSED, 1).get(0);
        assertThat(refused.refusal()).contains("the simulation failed; the plan itself is safe");
        assertThat(refused.outlook()).isNull();
        assertThat(live.now(PROJECT)).isEqualTo(refused);
    }

    @Test
    void nothingIsSimulatedOfProjectsThatNobodyLooksAt() {
        UUID other = UUID.randomUUID();
        live.planChanged(new PlanChanged(other, LoadedPlan.of(2, demo), true, false));
        live.now(PROJECT);
        told(State.REFINED, 1);
        verify(events, never()).publishHere(eq(other), any(), any());
    }
}
