package app.tychon.server.scenarios;

import app.tychon.core.scenario.BestSets.Goal;
import app.tychon.core.simulation.RunNeeds;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.server.live.Outlook;
import app.tychon.server.machines.Machines;
import app.tychon.server.memory.Recent;
import app.tychon.server.plan.LoadedPlan;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.pool.EnginePool;
import app.tychon.server.pool.Urgency;
import app.tychon.server.problems.BusyException;
import app.tychon.server.scenarios.Funding.Question;
import java.util.Collections;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/** Works out in the background what to fund; what is known can be asked for at any time, and it can be stopped. */
@Service
class FundJobs {
    private static final int MOST_KEPT = 20;
    private static final Logger LOG = LoggerFactory.getLogger(FundJobs.class);

    private record Asked(UUID project, Question question) {}

    private final PlanStore plans;
    private final EnginePool pool;
    private final Machines machines;
    private final Map<Asked, Funding> jobs = Collections.synchronizedMap(new Recent<>(MOST_KEPT));

    FundJobs(PlanStore plans, EnginePool pool, Machines machines) {
        this.machines = machines;
        this.plans = plans;
        this.pool = pool;
    }

    /** What is known of the plan as it is; where nothing is, it is begun. */
    FundView now(UUID project, Question question) {
        LoadedPlan plan = plans.find(project);
        Asked asked = new Asked(project, question);
        Funding job;
        synchronized (jobs) {
            job = jobs.get(asked);
            if (job == null || !job.isOf(plan)) {
                if (job != null) {
                    job.stop();
                }
                job = new Funding(plan, question);
                jobs.put(asked, job);
                begin(asked, plan, job);
            }
        }
        return job.view(plan.revision());
    }

    FundView stop(UUID project, Question question) {
        Funding job = jobs.get(new Asked(project, question));
        if (job != null) {
            job.stop();
        }
        return now(project, question);
    }

    /** @throws IllegalArgumentException for a goal that there is not */
    static Question question(String goal, int level, Set<String> scenarios) {
        try {
            return new Question(Goal.valueOf(goal.toUpperCase(Locale.ROOT)), level, scenarios);
        } catch (IllegalArgumentException e) {
            throw new IllegalArgumentException("goal: this is finish, cost or both, not \"" + goal + "\"", e);
        }
    }

    private void begin(Asked asked, LoadedPlan plan, Funding job) {
        long bytes =
                2 * RunNeeds.of(plan.plan(), Outlook.settings(job.iterations())).bytes();
        try {
            pool.submit(Urgency.REFINEMENT, asked.project(), bytes, turns -> {
                work(asked.project(), job, pool.watched(turns, RunMonitor.until(job::isStopped)));
                return null;
            });
        } catch (BusyException e) {
            // Too much is being calculated: it is begun again when it is asked for next.
            jobs.remove(asked, job);
        }
    }

    private void work(UUID project, Funding job, RunMonitor monitor) {
        try {
            job.work(monitor, machines.helpers(new Machines.Work(project, "what to fund")));
        } catch (CancellationException stopped) {
            job.stop();
        } catch (IllegalArgumentException e) {
            job.refuse(e.getMessage());
        } catch (RuntimeException | OutOfMemoryError e) {
            LOG.error("What to fund in {} could not be worked out", project, e);
            job.refuse("this could not be worked out; the plan itself is safe");
        }
    }
}
