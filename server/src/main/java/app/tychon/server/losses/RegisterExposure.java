package app.tychon.server.losses;

import app.tychon.core.analysis.ExposureOverTime;
import app.tychon.core.analysis.ExposureOverTime.Responses;
import app.tychon.core.analysis.ExposureOverTime.Step;
import app.tychon.core.simulation.RunNeeds;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.server.live.LiveOdds;
import app.tychon.server.live.Outlook;
import app.tychon.server.losses.ExposureView.ExposureStep;
import app.tychon.server.plan.LoadedPlan;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.pool.EnginePool;
import app.tychon.server.pool.Urgency;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** How the exposure of a register falls over time. */
@Service
class RegisterExposure {
    private final PlanStore plans;
    private final EnginePool pool;

    RegisterExposure(PlanStore plans, EnginePool pool) {
        this.plans = plans;
        this.pool = pool;
    }

    /** @param risk of one risk alone; of the whole register where it is empty */
    ExposureView view(UUID project, String risk) {
        LoadedPlan plan = plans.find(project);
        RunSettings settings = Outlook.settings(LiveOdds.FIRST);
        long bytes = 2 * RunNeeds.of(plan.plan(), settings).bytes();
        Optional<LocalDate> today = plan.plan().project().dataDate().map(LocalDateTime::toLocalDate);
        double level = plan.plan().project().targets().level();
        return pool.await(Urgency.AWAITED, project, bytes, monitor -> {
            CompiledPlan compiled = CompiledPlan.of(plan.network(), plan.schedule());
            ExposureOverTime decided = ExposureOverTime.of(
                    compiled, settings, r -> matches(risk, r.id()), Responses.DECIDED, level, today, monitor);
            ExposureOverTime all = ExposureOverTime.of(
                    compiled, settings, r -> matches(risk, r.id()), Responses.ALL, level, today, monitor);
            return new ExposureView(
                    plan.plan().project().targets().confidence(),
                    today.orElse(null),
                    steps(plan, decided),
                    steps(plan, all));
        });
    }

    private static boolean matches(String wanted, String risk) {
        return wanted.isEmpty() || wanted.equals(risk);
    }

    private static List<ExposureStep> steps(LoadedPlan plan, ExposureOverTime exposure) {
        double day = plan.plan().projectCalendar().hoursPerDay() * 60;
        return exposure.steps().stream().map(step -> step(step, day)).toList();
    }

    private static ExposureStep step(Step step, double day) {
        return new ExposureStep(
                step.from(),
                step.because(),
                step.minutes() / day,
                step.minutesAt() / day,
                step.money(),
                step.moneyAt());
    }
}
