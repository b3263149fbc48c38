package app.tychon.core.analysis;

import static app.tychon.core.Risks.threat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.PlanBuilder;
import app.tychon.core.RandomPlans;
import app.tychon.core.analysis.DayGain.Cut;
import app.tychon.core.analysis.LateFutures.Shared;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Shape;
import app.tychon.core.simulation.Inputs;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Helpers;
import app.tychon.core.simulation.result.Outcomes;
import app.tychon.core.simulation.settings.Grain;
import app.tychon.core.simulation.settings.Input;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.simulation.settings.Variation.RiskSetting;
import app.tychon.core.statistics.Sample;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CancellationException;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What single changes of a plan do to its percentiles, and what late futures share. */
class EffectTest {
    private static final int N = 20_000;
    private static final double DAY = 480;
    private static final RunSettings SETTINGS = new RunSettings(N, 17, Sampling.LATIN, 2);

    private static Plan chain() {
        return new PlanBuilder()
                .task("A", 50, new Shape.Uniform(50, 90))
                .task("B", 50, new Shape.Uniform(48, 52))
                .link("A", "B")
                .risk(threat("K", 0.4).addsDays(new Shape.Fixed(10), "B").risk())
                .build();
    }

    private static Map<Input.Key, Variation> without(CompiledPlan plan) {
        Map<Input.Key, Variation> variations = new LinkedHashMap<>();
        Inputs.of(plan)
                .all()
                .forEach(input -> variations.put(input.key(), plan.variation().holding(input.key())));
        return variations;
    }

    @Test
    void takingAnInputAwaySaysWhatItIsWorth() {
        CompiledPlan plan = CompiledPlan.of(chain());
        List<Effect<Input.Key>> effects =
                Effect.of(plan, SETTINGS, without(plan), 0.5, RunMonitor.NONE, Helpers.NONE, early -> {});
        assertThat(effects)
                .extracting(effect -> effect.key().kind() + effect.key().id())
                .containsExactly("ESTIMATEA", "OCCURRENCEK", "ESTIMATEB");
        // With everything the median is 50 + 70 + 0.4 × 10 days. With A held at 50, six in ten futures lie at 50 to 48
        // to 52
        // days more, the others 10 beyond, so the median is 98 and five sixths of 4. The density there is 1 in 40 days.
        double error = 4 * 0.5 / Math.sqrt(N) * 40;
        assertThat(effects.get(0).duration().change() / DAY).isCloseTo(98 + 4 * 5 / 6.0 - 124, within(error));
        assertThat(effects.get(0).differing()).isCloseTo(1, within(0.001));
        assertThat(effects.get(1).differing()).isCloseTo(0.4, within(1e-9));
        Outcomes off = Simulation.outcomes(
                plan.with(plan.variation().withRisk("K", RiskSetting.OFF)), SETTINGS, RunMonitor.NONE);
        assertThat(effects.get(1).duration().value())
                .isEqualTo(Sample.of(off.duration()).percentile(0.5));
        assertThat(effects.get(1).iterations()).isEqualTo(N);
    }

    @Test
    void theErrorHoldsTheTruthAsOftenAsItSays() {
        CompiledPlan plan = CompiledPlan.of(chain());
        Map<String, Variation> off = Map.of("K", plan.variation().withRisk("K", RiskSetting.OFF));
        RunSettings many = new RunSettings(400_000, 99, Sampling.PLAIN, 2);
        double truth = Effect.of(plan, many, off, 0.8, RunMonitor.NONE, Helpers.NONE, early -> {})
                .get(0)
                .duration()
                .change();
        int seeds = 300;
        int held = 0;
        for (int seed = 0; seed < seeds; seed++) {
            RunSettings few = new RunSettings(1000, seed, Sampling.PLAIN, 1);
            Effect.Moved moved = Effect.of(plan, few, off, 0.8, RunMonitor.NONE, Helpers.NONE, early -> {})
                    .get(0)
                    .duration();
            held += Math.abs(moved.change() - truth) <= moved.error() ? 1 : 0;
        }
        // 95 % less four standard errors of a share.
        assertThat((double) held / seeds).isGreaterThan(0.95 - 4 * Math.sqrt(0.95 * 0.05 / seeds));
    }

    /**
     * A risk of one in so many moves the percentile in a few futures, or in none. What it does is known: with it, x days hold
     * (1 − c) F(x) + c F(x − 60) of the chance, where F is uniform.
     */
    @ParameterizedTest
    @ValueSource(doubles = {0.0005, 0.001, 0.002, 0.004, 0.01})
    void theErrorHoldsTheTruthAlsoWhereAFewFuturesAreMovedOrNone(double chance) {
        CompiledPlan plan = CompiledPlan.of(new PlanBuilder()
                .task("A", 100, new Shape.Uniform(100, 150))
                .risk(threat("K", chance).addsDays(new Shape.Fixed(60), "A").risk())
                .build());
        Map<String, Variation> off = Map.of("K", plan.variation().withRisk("K", RiskSetting.OFF));
        double truth = -(50 * 0.8 / (1 - chance) - 50 * 0.8);
        int seeds = 300;
        int held = 0;
        int unmoved = 0;
        for (int seed = 0; seed < seeds; seed++) {
            RunSettings few = new RunSettings(1000, seed, Sampling.PLAIN, 1);
            Effect.Moved moved = Effect.of(plan, few, off, 0.8, RunMonitor.NONE, Helpers.NONE, early -> {})
                    .get(0)
                    .duration();
            unmoved += moved.change() == 0 ? 1 : 0;
            held += Math.abs(moved.change() / DAY - truth) <= moved.error() / DAY ? 1 : 0;
            assertThat(moved.error()).isPositive();
        }
        assertThat((double) held / seeds).isGreaterThan(0.95 - 4 * Math.sqrt(0.95 * 0.05 / seeds));
        assertThat(chance > 0.0005 || unmoved > seeds / 2)
                .as("most seeds see nothing of the rarest")
                .isTrue();
    }

    /** What has no future that differs is less than the three in so many that may have been missed can do. */
    @Test
    void whatMovesNoFutureIsLessThanSoManyCanTell() {
        double[] own =
                IntStream.range(0, 1000).mapToDouble(i -> (i * 379) % 1000).toArray();
        Effect.Moved moved = Sections.moved(own, own.clone(), 0.8);
        assertThat(moved.change()).isZero();
        // 1 − 0.05^(1/1000) of 999 steps of one.
        assertThat(moved.error()).isCloseTo(999 * (1 - Math.pow(0.05, 0.001)), within(1e-6));
    }

    @Test
    void fewFuturesGiveNoError() {
        CompiledPlan plan = CompiledPlan.of(chain());
        RunSettings few = new RunSettings(100, 1, Sampling.LATIN, 1);
        assertThat(Effect.of(plan, few, without(plan), 0.5, RunMonitor.NONE, Helpers.NONE, early -> {}))
                .allMatch(effect -> Double.isNaN(effect.duration().error()));
    }

    @Test
    void effectsComeEarlyStrongestFirst() {
        CompiledPlan plan = CompiledPlan.of(chain());
        List<List<Effect<Input.Key>>> told = new ArrayList<>();
        RunSettings settings = new RunSettings(1500, 17, Sampling.LATIN, 1);
        Effect.of(plan, settings, without(plan), 0.5, RunMonitor.NONE, Helpers.NONE, told::add);
        assertThat(told).hasSize(2);
        assertThat(told.get(0)).extracting(Effect::iterations).containsOnly(500);
        assertThat(told.get(0).get(0).key().id()).isEqualTo("A");
    }

    @Test
    void manyAreWorkedOutSomeAtATimeAndComeToWhatEachDoesByItself() {
        CompiledPlan plan = CompiledPlan.of(RandomPlans.risky(5, 900));
        RunSettings settings = new RunSettings(500, 3, Sampling.LATIN, 1);
        Map<Input.Key, Variation> all = without(plan);
        List<Effect<Input.Key>> many = Effect.of(plan, settings, all, 0.8, RunMonitor.NONE, Helpers.NONE, early -> {});
        assertThat(all.size()).isGreaterThan(Effect.AT_ONCE);
        assertThat(many).extracting(Effect::key).containsExactlyInAnyOrderElementsOf(all.keySet());
        assertThat(many)
                .as("strongest first")
                .isSortedAccordingTo(Comparator.comparingDouble(
                        one -> -Math.abs(one.duration().change())));
        List<Input.Key> keys = List.copyOf(all.keySet());
        for (int i : new int[] {0, Effect.AT_ONCE - 1, Effect.AT_ONCE, keys.size() - 1}) {
            Map<Input.Key, Variation> one = Map.of(keys.get(i), all.get(keys.get(i)));
            assertThat(many)
                    .containsAll(Effect.of(plan, settings, one, 0.8, RunMonitor.NONE, Helpers.NONE, early -> {}));
        }
    }

    @Test
    void aDayOfACriticalChainBuysADayAndOneWithFloatNothing() {
        Plan plan = new PlanBuilder()
                .task("A", 20, new Shape.Uniform(18, 30))
                .task("B", 2, new Shape.Uniform(1, 3))
                .task("C", 20)
                .milestone("E")
                .link("A", "C")
                .link("C", "E")
                .link("B", "E")
                .build();
        CompiledPlan compiled = CompiledPlan.of(plan);
        List<Effect<String>> days = shortened(compiled, Cut.DAY);
        assertThat(days).extracting(Effect::key).containsExactlyInAnyOrder("A", "C", "B");
        assertThat(change(days, "A")).isCloseTo(-1, within(1e-9));
        assertThat(change(days, "C")).isCloseTo(-1, within(1e-9));
        assertThat(change(days, "B")).isZero();
        List<Effect<String>> tenths = shortened(compiled, Cut.TENTH);
        assertThat(change(tenths, "C")).isCloseTo(-2, within(1e-9));
        // The P80 of A is 27.6 days.
        assertThat(change(tenths, "A")).isCloseTo(-2.76, within(0.02));
    }

    /** What each activity that can be shortened gains. */
    private static List<Effect<String>> shortened(CompiledPlan plan, Cut cut) {
        Map<String, Variation> variations = new LinkedHashMap<>();
        plan.network().plan().activities().stream()
                .filter(activity -> DayGain.canShorten(plan.network(), activity))
                .forEach(activity -> variations.put(
                        activity.id(),
                        plan.variation().shortening(activity.id(), DayGain.shortening(plan.network(), activity, cut))));
        return Effect.of(plan, SETTINGS, variations, 0.8, RunMonitor.NONE, Helpers.NONE, early -> {});
    }

    private static double change(List<Effect<String>> effects, String key) {
        return effects.stream()
                        .filter(effect -> effect.key().equals(key))
                        .findFirst()
                        .orElseThrow()
                        .duration()
                        .change()
                / DAY;
    }

    @Test
    void whatTakesLongCanBeStopped() {
        CompiledPlan plan = CompiledPlan.of(RandomPlans.risky(2, 30));
        RunMonitor atOnce = RunMonitor.until(() -> true);
        assertThatThrownBy(() -> Effect.of(plan, SETTINGS, without(plan), 0.8, atOnce, Helpers.NONE, early -> {}))
                .isInstanceOf(CancellationException.class);
        double[] finish = Simulation.outcomes(plan, SETTINGS, RunMonitor.NONE).finish();
        double threshold = Sample.of(finish).percentile(0.8);
        assertThatThrownBy(() -> LateFutures.of(Inputs.of(plan), Grain.FINEST, SETTINGS, finish, threshold, atOnce))
                .isInstanceOf(CancellationException.class);
    }

    @Test
    void lateFuturesShareWhatMadeThemLate() {
        CompiledPlan plan = CompiledPlan.of(new PlanBuilder()
                .task("A", 10, new Shape.Uniform(0, 20))
                .task("B", 1, new Shape.Uniform(0.5, 1.5))
                .task("C", 3, new Shape.Uniform(1, 5))
                .milestone("E")
                .link("A", "E")
                .link("B", "E")
                .link("C", "E")
                .risk(threat("K", 0.2).addsDays(new Shape.Fixed(40), "A").risk())
                .build());
        double[] duration = Simulation.outcomes(plan, SETTINGS, RunMonitor.NONE).duration();
        // Beyond 20 days lie the futures in which the risk struck, and no others.
        List<Shared> shared =
                LateFutures.of(Inputs.of(plan), Grain.FINEST, SETTINGS, duration, 21 * DAY, RunMonitor.NONE);
        assertThat(shared.get(0).input().kind()).isEqualTo(Input.Kind.OCCURRENCE);
        assertThat(shared.get(0).late()).isEqualTo(1);
        assertThat(shared.get(0).others()).isZero();
        // A share of 0.2 has a standard deviation of 0.4.
        assertThat(shared.get(0).difference()).isCloseTo(1 / 0.4, within(1e-9));
        assertThat(shared.subList(1, 4)).allMatch(s -> Math.abs(s.difference()) < 4 * Math.sqrt(1 / (0.16 * N)));
        // Among those of 15 to 20 days without it, A is long.
        CompiledPlan calm = plan.with(plan.variation().withRisk("K", RiskSetting.OFF));
        double[] calmly = Simulation.outcomes(calm, SETTINGS, RunMonitor.NONE).duration();
        Shared long_ = LateFutures.of(Inputs.of(calm), Grain.FINEST, SETTINGS, calmly, 15 * DAY, RunMonitor.NONE)
                .get(0);
        assertThat(long_.input().id()).isEqualTo("A");
        assertThat(long_.late() / DAY).isCloseTo(17.5, within(0.1));
        assertThat(long_.low()).isLessThan(long_.difference()).isPositive();
        assertThat(long_.high()).isGreaterThan(long_.difference());
        // Fifteen days part the late from the others without a fault.
        assertThat(long_.isSure()).isTrue();
        assertThat(long_.cut() / DAY).isCloseTo(15, within(0.01));
        assertThat(long_.lateBeyond()).isEqualTo(1);
        assertThat(long_.othersBeyond()).isZero();
    }

    @Test
    void aThresholdMustPartTheFutures() {
        CompiledPlan plan = CompiledPlan.of(chain());
        double[] duration = Simulation.outcomes(plan, SETTINGS, RunMonitor.NONE).duration();
        assertThatThrownBy(
                        () -> LateFutures.of(Inputs.of(plan), Grain.FINEST, SETTINGS, duration, 1e9, RunMonitor.NONE))
                .hasMessage("no future lies beyond the threshold");
        assertThatThrownBy(() -> LateFutures.of(Inputs.of(plan), Grain.FINEST, SETTINGS, duration, 0, RunMonitor.NONE))
                .hasMessage("every future lies beyond the threshold");
    }
}
