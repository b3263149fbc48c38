package app.tychon.core.simulation.difference;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.tychon.core.RandomPlans;
import app.tychon.core.Risks;
import app.tychon.core.model.Activity;
import app.tychon.core.model.Basis;
import app.tychon.core.model.Correlation;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.Impact.Draw;
import app.tychon.core.model.Impact.Effect;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Recurrence;
import app.tychon.core.model.Risk;
import app.tychon.core.model.Shape;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.Outcomes;
import app.tychon.core.simulation.settings.Input;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.simulation.settings.Variation.RiskSetting;
import app.tychon.core.simulation.settings.Variation.Shortening;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;

/** Variations worked out where they differ alone, against simulating each of them whole. */
class DifferencesTest {
    private static final RunSettings SETTINGS = new RunSettings(512, 17, Sampling.LATIN, 2);

    @Test
    void everyVariationIsToTheBitWhatItIsWhenItIsSimulatedWhole() {
        int compared = 0;
        int moved = 0;
        for (int seed = 0; seed < 9; seed++) {
            CompiledPlan plan = CompiledPlan.of(recurring(RandomPlans.risky(seed, 24)));
            if (seed % 3 == 0) {
                plan = plan.with(Variation.CURRENT.withRisks(RiskSetting.AFTER_RESPONSE));
            }
            if (seed % 3 == 1) {
                plan = plan.towards("A12");
            }
            Map<String, Variation> variations = variations(plan);
            Differences<String> differences =
                    Differences.of(plan, SETTINGS, variations, RunMonitor.NONE, answers -> {});
            assertSame(differences.own(), Simulation.outcomes(plan, SETTINGS, RunMonitor.NONE), "the plan " + seed);
            for (String key : variations.keySet()) {
                Outcomes whole = Simulation.outcomes(plan.with(variations.get(key)), SETTINGS, RunMonitor.NONE);
                assertSame(differences.of(key), whole, key + " of plan " + seed);
                compared++;
                moved += differences.differing(key) > 0 ? 1 : 0;
            }
        }
        assertThat(compared).isGreaterThan(450);
        assertThat(moved).as("variations that made a difference").isGreaterThan(225);
    }

    private static void assertSame(Outcomes answer, Outcomes whole, String what) {
        assertThat(answer.finish()).as("finish with " + what).isEqualTo(whole.finish());
        assertThat(answer.duration()).as("duration with " + what).isEqualTo(whole.duration());
        assertThat(answer.cost()).as("cost with " + what).isEqualTo(whole.cost());
    }

    /** With storms that come so often a year over what they strike, and a group that moves together. */
    private static Plan recurring(Plan plan) {
        Risk storms = Risks.threat("K9", 0.8)
                .impact(Effect.ADD_TIME, Draw.EACH, new Shape.Uniform(1, 3), Basis.DAYS, "A20", "A12")
                .impact(Effect.ADD_COST, Draw.SHARED, new Shape.Uniform(50, 90), Basis.MONEY, "A20")
                .recurs(new Recurrence.PerYear(30, Optional.empty()))
                .risk();
        Risk after = Risks.threat("K91", 0.5)
                .impact(Effect.SCALE_COST, Draw.EACH, new Shape.Uniform(0.5, 3), Basis.FACTOR, "B2", "C1")
                .onlyIf("K9", true)
                .risk();
        List<Risk> risks = new ArrayList<>(plan.risks());
        risks.addAll(List.of(storms, after));
        return plan.withRisks(risks)
                .edit()
                .correlations(List.of(Correlation.group("R1", "Crew", List.of("A19", "A20", "A21"), 0.7)))
                .done();
    }

    private static Map<String, Variation> variations(CompiledPlan plan) {
        Plan rows = plan.network().plan();
        Variation usual = plan.variation();
        Map<String, Variation> variations = new LinkedHashMap<>();
        for (Risk risk : rows.risks()) {
            variations.put(risk.id() + " off", usual.withRisk(risk.id(), RiskSetting.OFF));
            variations.put(risk.id() + " answered", usual.withRisk(risk.id(), RiskSetting.AFTER_RESPONSE));
            variations.put(risk.id() + " unanswered", usual.withRisk(risk.id(), RiskSetting.UNANSWERED));
            variations.put(risk.id() + " as it is", usual.withRisk(risk.id(), RiskSetting.CURRENT));
            variations.put(risk.id() + " of mean size", usual.holding(new Input.Key(Input.Kind.IMPACT, risk.id(), 0)));
        }
        for (Activity activity : rows.activities()) {
            String id = activity.id();
            variations.put(id + " held", usual.holding(new Input.Key(Input.Kind.ESTIMATE, id, 0)));
            variations.put(id + " a day less", usual.shortening(id, new Shortening(1, 480)));
        }
        for (CostLine line : rows.costs()) {
            variations.put(line.id() + " held", usual.holding(new Input.Key(Input.Kind.COST, line.id(), 0)));
        }
        variations.put("no risks", usual.withRisks(RiskSetting.OFF));
        variations.put("all answered", usual.withRisks(RiskSetting.AFTER_RESPONSE));
        variations.put("no correlation", usual.withCorrelations(false));
        variations.put("certain", Variation.CERTAIN);
        variations.put("a tenth less", usual.shortening("A22", new Shortening(0.9, 0)));
        variations.put("as it is", usual);
        return variations;
    }

    @Test
    void answersComeOverMoreAndMoreFutures() {
        CompiledPlan plan = CompiledPlan.of(RandomPlans.risky(3, 24));
        Variation off = plan.variation().withRisk("K0", RiskSetting.OFF);
        RunSettings settings = new RunSettings(2000, 17, Sampling.LATIN, 1);
        List<Integer> told = new ArrayList<>();
        Differences<String> all = Differences.of(plan, settings, Map.of("K0", off), RunMonitor.NONE, answers -> {
            told.add(answers.iterations());
            RunSettings shorter = new RunSettings(answers.iterations(), 17, Sampling.LATIN, 1);
            assertSame(
                    answers.of("K0"), Simulation.outcomes(plan.with(off), shorter, RunMonitor.NONE), "K0 off, early");
        });
        assertThat(told).containsExactly(500, 1000, 1500);
        assertThat(all.iterations()).isEqualTo(2000);
    }

    @Test
    void whatIsStoppedKeepsWhatIsDone() {
        CompiledPlan plan = CompiledPlan.of(RandomPlans.risky(3, 24));
        Map<String, Variation> off = Map.of("K0", plan.variation().withRisk("K0", RiskSetting.OFF));
        RunSettings settings = new RunSettings(5000, 17, Sampling.LATIN, 1);
        int[] done = {0};
        RunMonitor afterTwo = new RunMonitor() {
            @Override
            public void progress(int iterations, int total) {
                done[0] = iterations;
            }

            @Override
            public boolean stopRequested() {
                return done[0] >= 1000;
            }
        };
        assertThat(Differences.of(plan, settings, off, afterTwo, answers -> {}).iterations())
                .isEqualTo(1000);
        RunMonitor atOnce = RunMonitor.until(() -> true);
        assertThatThrownBy(() -> Differences.of(plan, settings, off, atOnce, answers -> {}))
                .isInstanceOf(CancellationException.class);
    }
}
