package app.tychon.server.effects;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.atLeastOnce;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.timeout;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.tychon.core.model.Plan;
import app.tychon.core.model.Risk;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.simulation.settings.Variation.RiskSetting;
import app.tychon.core.statistics.Sample;
import app.tychon.server.Demo;
import app.tychon.server.effects.EffectsView.RiskRow;
import app.tychon.server.effects.EffectsView.State;
import app.tychon.server.events.ProjectEvents;
import app.tychon.server.live.Outlook;
import app.tychon.server.machines.Machines;
import app.tychon.server.plan.LoadedPlan;
import app.tychon.server.plan.PlanChanged;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.pool.EnginePool;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;
import org.mockito.ArgumentMatchers;

class RiskEffectsTest {
    private static final int PATIENCE_MS = 30_000;
    private static final UUID PROJECT = UUID.randomUUID();

    private final PlanStore plans = mock(PlanStore.class);
    private final ProjectEvents events = mock(ProjectEvents.class);
    private final EnginePool pool = new EnginePool(2, Long.MAX_VALUE);
    private final RiskEffects effects = new RiskEffects(plans, events, pool, new Machines(Optional.empty()));
    private final Plan demo = Demo.plan();

    @BeforeEach
    void theDemoStands() {
        stands(1, demo);
    }

    @AfterEach
    void close() {
        pool.close();
    }

    private LoadedPlan stands(long revision, Plan plan) {
        LoadedPlan loaded = LoadedPlan.of(revision, plan);
        when(plans.find(PROJECT)).thenReturn(loaded);
        return loaded;
    }

    private List<EffectsView> told(long revision) {
        verify(events, timeout(PATIENCE_MS))
                .publishHere(
                        eq(PROJECT),
                        eq("effects"),
                        ArgumentMatchers.<Object>argThat(v -> v instanceof EffectsView view
                                && view.state() == State.DONE
                                && view.revision() == revision));
        ArgumentCaptor<EffectsView> views = ArgumentCaptor.forClass(EffectsView.class);
        verify(events, atLeastOnce()).publishHere(eq(PROJECT), eq("effects"), views.capture());
        return views.getAllValues();
    }

    private double atLevel(Variation variation) {
        CompiledPlan plan = CompiledPlan.of(demo).with(variation);
        double[] minutes = Simulation.outcomes(plan, Outlook.settings(RiskEffects.TOTAL), RunMonitor.NONE)
                .duration();
        return Sample.of(minutes).percentile(demo.project().targets().level())
                / (demo.projectCalendar().hoursPerDay() * 60);
    }

    @Test
    void everyLiveRiskSaysWhatItMovesAndWhatItsResponseChanges() {
        assertThat(effects.now(PROJECT).state()).isEqualTo(State.WORKING);
        List<EffectsView> told = told(1);
        EffectsView last = told.get(told.size() - 1);
        assertThat(last).isEqualTo(effects.now(PROJECT));
        assertThat(last.iterations()).isEqualTo(last.total());
        assertThat(last.rows())
                .extracting(RiskRow::risk)
                .containsExactlyInAnyOrderElementsOf(
                        demo.risks().stream().filter(Risk::isLive).map(Risk::id).toList());
        double whole = atLevel(Variation.CURRENT);
        for (RiskRow row : last.rows().subList(0, 3)) {
            double off = atLevel(Variation.CURRENT.withRisk(row.risk(), RiskSetting.OFF));
            assertThat(row.moved().days()).isCloseTo(whole - off, within(1e-9));
            assertThat(row.moved().daysError()).isPositive();
        }
        double none = atLevel(Variation.CURRENT.withRisks(RiskSetting.OFF));
        assertThat(last.all().days()).isCloseTo(whole - none, within(1e-9));
        RiskRow answered = last.rows().stream()
                .filter(row -> row.response() != null)
                .findFirst()
                .orElseThrow();
        double after = atLevel(Variation.CURRENT.withRisk(answered.risk(), RiskSetting.AFTER_RESPONSE));
        assertThat(answered.response().days()).isCloseTo(after - whole, within(1e-9));
    }

    @Test
    void theStrongestComesFirst() {
        effects.now(PROJECT);
        List<EffectsView> told = told(1);
        assertThat(told.get(told.size() - 1).rows())
                .extracting(row -> -Math.abs(row.moved().days()))
                .isSorted();
    }

    @Test
    void aNewerPlanIsWorkedOutWhenSomebodyAsks() {
        effects.now(PROJECT);
        told(1);
        effects.planChanged(
                new PlanChanged(PROJECT, stands(2, demo.withRisks(demo.risks().subList(0, 2))), true, false));
        EffectsView asked = effects.now(PROJECT);
        assertThat(asked.revision()).isEqualTo(2);
        List<EffectsView> told = told(2);
        assertThat(told.get(told.size() - 1).rows()).hasSize(2);
    }

    /** There is nothing to wait for. */
    @Test
    void anEmptyRegisterIsDoneAtOnce() {
        stands(1, demo.withRisks(List.of()));
        EffectsView none = effects.now(PROJECT);
        assertThat(none.state()).isEqualTo(EffectsView.State.DONE);
        assertThat(none.rows()).isEmpty();
        assertThat(none.all()).isNull();
    }
}
