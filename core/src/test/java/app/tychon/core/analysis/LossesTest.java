package app.tychon.core.analysis;

import static app.tychon.core.Risks.threat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.PlanBuilder;
import app.tychon.core.analysis.ExposureOverTime.Responses;
import app.tychon.core.analysis.ExposureOverTime.Step;
import app.tychon.core.model.Action;
import app.tychon.core.model.Basis;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.Impact;
import app.tychon.core.model.Impact.Draw;
import app.tychon.core.model.Impact.Effect;
import app.tychon.core.model.RegisterEntry;
import app.tychon.core.model.Response;
import app.tychon.core.model.Risk;
import app.tychon.core.model.Shape;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.core.statistics.Sample;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

class LossesTest {
    private static final int N = 20_000;
    private static final RunSettings SETTINGS = new RunSettings(N, 5, Sampling.PLAIN, 2);
    private static final double DAY = 8 * 60;

    private static double errors(double sd) {
        return 4 * sd / Math.sqrt(N);
    }

    /** A 40 % chance of 100, and a 50 % chance of ten days at 30 a day. */
    private static CompiledPlan plan() {
        return CompiledPlan.of(new PlanBuilder()
                .task("A", 10)
                .cost("C", "A", 300, 0, null)
                .risk(threat("M", 0.4)
                        .impact(Effect.ADD_COST, Draw.SHARED, new Shape.Fixed(100), Basis.MONEY, "A")
                        .risk())
                .risk(threat("T", 0.5).addsDays(new Shape.Fixed(10), "A").risk())
                .build());
    }

    @Test
    void lossesOfIndependentRisksHaveTheirExactMeansAndAddUp() {
        Map<String, Losses> losses = Losses.of(
                plan(),
                SETTINGS,
                Map.of("all", Set.of("M", "T"), "money", Set.of("M"), "time", Set.of("T")),
                RunMonitor.NONE);
        double[] all = losses.get("all").whole();
        double[] money = losses.get("money").whole();
        double[] time = losses.get("time").whole();
        assertThat(Sample.of(money).mean()).isCloseTo(40, within(errors(100 * Math.sqrt(0.24))));
        assertThat(Sample.of(time).mean()).isCloseTo(150, within(errors(150)));
        assertThat(Sample.of(losses.get("time").direct()).max()).isZero();
        assertThat(losses.get("money").direct()).containsExactly(money, within(1e-9));
        for (int i = 0; i < N; i++) {
            assertThat(all[i]).isCloseTo(money[i] + time[i], within(1e-9));
            assertThat(all[i]).isIn(0.0, 100.0, 300.0, 400.0);
        }
    }

    @Test
    void whatResponsesCostIsNoLoss() {
        Risk answered = threat("K", 0.5)
                .impact(Effect.ADD_COST, Draw.SHARED, new Shape.Fixed(100), Basis.MONEY, "A")
                .response(new Response(0, List.of(), List.of(action(3000, 4)), true))
                .risk();
        CompiledPlan plan =
                CompiledPlan.of(new PlanBuilder().task("A", 10).risk(answered).build());
        double[] whole = Losses.of(plan, SETTINGS, Map.of("K", Set.of("K")), RunMonitor.NONE)
                .get("K")
                .whole();
        assertThat(Sample.of(whole).max()).isZero();
    }

    private static Action action(double cost, int month) {
        return new Action(
                "Act", cost, LocalDate.of(2027, month, 1), LocalDate.of(2027, month, 20), "", Action.State.PLANNED);
    }

    @Test
    void exposureFallsAsResponsesAreDoneAndDatesPass() {
        Response half = new Response(
                0.2,
                List.of(new Impact(
                        List.of("A"), Effect.ADD_TIME, Draw.SHARED, new Estimate(new Shape.Fixed(10), Basis.DAYS))),
                List.of(action(700, 4)));
        Risk passing = threat("P", 0.5)
                .addsDays(new Shape.Fixed(4), "A")
                .risk()
                .withEntry(RegisterEntry.NONE.withTo(Optional.of(LocalDate.of(2027, 6, 30))));
        Risk answered = threat("R", 0.4)
                .addsDays(new Shape.Fixed(10), "A")
                .response(half)
                .risk();
        CompiledPlan plan = CompiledPlan.of(
                new PlanBuilder().task("A", 10).risk(passing).risk(answered).build());
        List<Step> all = steps(plan, Responses.ALL, Optional.empty());
        assertThat(all)
                .extracting(Step::from)
                .containsExactly(LocalDate.of(2027, 3, 1), LocalDate.of(2027, 4, 21), LocalDate.of(2027, 7, 1));
        assertThat(all.get(1).because()).containsExactly("R");
        assertThat(all.get(2).because()).containsExactly("P");
        double[] expected = {0.5 * 4 + 0.4 * 10, 0.5 * 4 + 0.2 * 10, 0.2 * 10};
        for (int i = 0; i < 3; i++) {
            assertThat(all.get(i).minutes() / DAY).isCloseTo(expected[i], within(errors(6)));
            assertThat(all.get(i).money()).isZero();
        }
        assertThat(all.get(0).minutesAt() / DAY).isEqualTo(10);
        assertThat(steps(plan, Responses.DECIDED, Optional.empty()))
                .extracting(Step::from)
                .containsExactly(LocalDate.of(2027, 3, 1), LocalDate.of(2027, 7, 1));
    }

    @Test
    void anActionThatIsLateCountsAfterTodayAtBest() {
        Risk late = threat("R", 0.4)
                .addsDays(new Shape.Fixed(10), "A")
                .response(new Response(0, List.of(), List.of(action(700, 4)), true))
                .risk();
        CompiledPlan plan =
                CompiledPlan.of(new PlanBuilder().task("A", 10).risk(late).build());
        assertThat(steps(plan, Responses.DECIDED, Optional.of(LocalDate.of(2027, 5, 10))))
                .extracting(Step::from)
                .containsExactly(LocalDate.of(2027, 3, 1), LocalDate.of(2027, 5, 11));
        assertThat(steps(plan, Responses.DECIDED, Optional.of(LocalDate.of(2027, 4, 10))))
                .extracting(Step::from)
                .containsExactly(LocalDate.of(2027, 3, 1), LocalDate.of(2027, 4, 21));
    }

    private static List<Step> steps(CompiledPlan plan, Responses responses, Optional<LocalDate> today) {
        return ExposureOverTime.of(plan, SETTINGS, risk -> true, responses, 0.8, today, RunMonitor.NONE)
                .steps();
    }
}
