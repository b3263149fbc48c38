package app.tychon.core.simulation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.RandomPlans;
import app.tychon.core.model.Activity;
import app.tychon.core.model.Impact;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Response;
import app.tychon.core.model.Risk;
import app.tychon.core.schedule.SlowSchedule;
import app.tychon.core.schedule.Work;
import app.tychon.core.simulation.Replay.ReplayedActivity;
import app.tychon.core.simulation.SlowRisks.Blow;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.settings.Input;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.simulation.settings.Variation.RiskSetting;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** Whole iterations with risks, progress, hammocks and calendars against the plain second way of working them out. */
class RiskReferenceTest {
    private static final double A_SECOND = 1.0 / 60;
    private static final int ITERATIONS = 12;
    private static final RunSettings SETTINGS = new RunSettings(ITERATIONS, 99, Sampling.PLAIN, 1);

    @Test
    void everyIterationIsThatOfTheSlowReference() {
        int struck = 0;
        for (int seed = 0; seed < 150; seed++) {
            Plan plan = RandomPlans.risky(seed, 20);
            for (RiskSetting setting :
                    List.of(RiskSetting.CURRENT, RiskSetting.AFTER_RESPONSE, RiskSetting.UNANSWERED)) {
                CompiledPlan compiled = CompiledPlan.of(plan).with(Variation.CURRENT.withRisks(setting));
                struck += compare(plan, compiled, setting, seed);
            }
        }
        assertThat(struck).as("strikes that were compared").isGreaterThan(5000);
    }

    private static int compare(Plan plan, CompiledPlan compiled, RiskSetting setting, int seed) {
        Map<Input.Key, double[]> drawn = new HashMap<>();
        Inputs inputs = Inputs.of(compiled);
        inputs.all().forEach(input -> drawn.put(input.key(), inputs.sample(input, SETTINGS, ITERATIONS)));
        int struck = 0;
        for (int i = 0; i < ITERATIONS; i++) {
            int iteration = i;
            List<Blow> blows = blows(plan, setting, drawn, iteration);
            struck += blows.size();
            SlowRisks risks = new SlowRisks(plan);
            Map<String, Double> durations = plan.activities().stream()
                    .collect(
                            Collectors.toMap(Activity::id, a -> duration(compiled, risks, a, drawn, blows, iteration)));
            SlowSchedule slow = new SlowSchedule(plan, durations);
            for (ReplayedActivity row : Replay.of(compiled, SETTINGS, iteration).activities()) {
                String what = row.id() + ", plan " + seed + ", " + setting + ", iteration " + iteration;
                assertThat(row.start()).as("start of " + what).isCloseTo(slow.start.get(row.id()), within(A_SECOND));
                assertThat(row.finish()).as("finish of " + what).isCloseTo(slow.finish.get(row.id()), within(A_SECOND));
            }
        }
        return struck;
    }

    private static double duration(
            CompiledPlan compiled,
            SlowRisks risks,
            Activity activity,
            Map<Input.Key, double[]> drawn,
            List<Blow> blows,
            int iteration) {
        Work work = compiled.network().work(compiled.network().position(activity.id()));
        double[] sampled = drawn.get(new Input.Key(Input.Kind.ESTIMATE, activity.id(), 0));
        double minutes = sampled == null ? work.remaining() : sampled[iteration];
        return work.done() + risks.bend(activity, minutes, blows);
    }

    private static List<Blow> blows(Plan plan, RiskSetting setting, Map<Input.Key, double[]> drawn, int iteration) {
        List<Blow> blows = new ArrayList<>();
        for (Risk risk : plan.risks()) {
            double[] occurs = drawn.get(new Input.Key(Input.Kind.OCCURRENCE, risk.id(), 0));
            boolean struck = occurs == null ? risk.state() == Risk.State.OCCURRED : occurs[iteration] > 0;
            List<Impact> impacts = setting == RiskSetting.AFTER_RESPONSE
                    ? risk.response().map(Response::impacts).orElse(risk.impacts())
                    : setting == RiskSetting.UNANSWERED ? risk.impacts() : risk.presentImpacts();
            for (int i = 0; struck && i < impacts.size(); i++) {
                if (impacts.get(i).effect().isOnTime()) {
                    double[] sizes = drawn.get(new Input.Key(Input.Kind.IMPACT, risk.id(), i));
                    blows.add(new Blow(impacts.get(i), sizes[iteration]));
                }
            }
        }
        return blows;
    }
}
