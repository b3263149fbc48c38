package app.tychon.server.drivers;

import app.tychon.core.analysis.DayGain;
import app.tychon.core.analysis.DayGain.Cut;
import app.tychon.core.analysis.Driver;
import app.tychon.core.analysis.Driver.Swing;
import app.tychon.core.analysis.Moves;
import app.tychon.core.model.Activity;
import app.tychon.core.schedule.Network;
import app.tychon.core.simulation.Inputs;
import app.tychon.core.simulation.RunNeeds;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.settings.Input;
import app.tychon.core.simulation.settings.Input.Key;
import app.tychon.core.simulation.settings.Input.Kind;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.server.drivers.MovesView.MoveRow;
import app.tychon.server.memory.Recent;
import app.tychon.server.odds.Asked;
import app.tychon.server.odds.Opened;
import app.tychon.server.odds.Simulations;
import app.tychon.server.pool.EnginePool;
import app.tychon.server.pool.JobState;
import app.tychon.server.pool.Urgency;
import app.tychon.server.problems.BusyException;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import java.util.function.DoubleFunction;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/**
 * Works out in the background what many changes move, one lot after the other, the inputs that swing most first; what is
 * known can be asked for at any time, and it can be stopped.
 */
@Service
class MoveJobs {
    /** Inputs that are worked out at most: what swings less moves nothing that could be told from chance. */
    static final int MOST = 50;

    private static final int MOST_KEPT = 20;
    /** Activities times futures for which every future is looked at; larger plans rest on fewer. */
    private static final long MOST_WORK = 5_000_000;

    private static final int FEWEST = 1000;
    private static final Logger LOG = LoggerFactory.getLogger(MoveJobs.class);

    /** What is done to each input. */
    enum Change {
        /** An estimate held at its planned value, a risk off. */
        REMOVAL,
        /** The work of an activity takes a day less. */
        DAY,
        /** It takes a tenth less. */
        TENTH
    }

    /** What is asked; two that ask the same share the answer. */
    record Question(UUID run, Asked asked, Change change, Grains grains, double level) {}

    /** An answer as far as it is known. */
    private static final class Job {
        private volatile boolean stopped;
        private volatile JobState state = JobState.WORKING;
        private volatile List<Moves<Input>> moves = List.of();
        private volatile int total;
        private volatile int iterations;
        private volatile String refusal;
    }

    private final Simulations simulations;
    private final EnginePool pool;
    private final Map<Question, Job> jobs = Collections.synchronizedMap(new Recent<>(MOST_KEPT));

    MoveJobs(Simulations simulations, EnginePool pool) {
        this.simulations = simulations;
        this.pool = pool;
    }

    /** What is known; where nothing is, it is begun. */
    MovesView now(Question question, Gathering gathering) {
        Opened run = simulations.open(question.run());
        Goal goal = Goal.of(run, question.asked());
        Job job = jobs.get(question);
        if (job == null) {
            // Whoever is in the pool must not wait for it.
            List<Input> strongest = question.change() == Change.REMOVAL ? strongest(question, goal) : List.of();
            job = jobs.computeIfAbsent(question, asked -> begin(asked, goal, strongest));
        }
        return view(job, goal, question.level(), gathering);
    }

    /** Stops the work; what is done by then stays. */
    MovesView stop(Question question, Gathering gathering) {
        Job job = jobs.get(question);
        if (job != null) {
            job.stopped = true;
            if (job.state == JobState.WORKING) {
                job.state = JobState.STOPPED;
            }
        }
        return now(question, gathering);
    }

    private Job begin(Question question, Goal goal, List<Input> strongest) {
        Job job = new Job();
        job.iterations = iterations(goal);
        long bytes = 2
                * RunNeeds.of(goal.run().plan(), goal.settings(job.iterations)).bytes();
        try {
            pool.submit(Urgency.REFINEMENT, question.run(), bytes, turns -> {
                work(job, question, goal, strongest, pool.watched(turns, RunMonitor.until(() -> job.stopped)));
                return null;
            });
        } catch (BusyException e) {
            refuse(job, e.getMessage());
        }
        return job;
    }

    private static int iterations(Goal goal) {
        int all = goal.run().result().iterations();
        int activities = Math.max(1, goal.run().plan().activities().size());
        return (int) Math.min(all, Math.max(FEWEST, MOST_WORK / activities));
    }

    private static void refuse(Job job, String why) {
        job.refusal = why;
        job.state = JobState.REFUSED;
    }

    private void work(Job job, Question question, Goal goal, List<Input> strongest, RunMonitor monitor) {
        try {
            CompiledPlan plan = goal.run().compiled();
            RunSettings settings = goal.settings(job.iterations);
            Map<Input, Variation> variations = variations(question, goal, strongest, plan);
            job.total = variations.size();
            job.moves = Moves.of(
                    plan,
                    goal.aim(),
                    settings,
                    variations,
                    question.level(),
                    monitor,
                    simulations.helpers(question.run(), "what moves a run"),
                    some -> job.moves = some);
            if (job.state == JobState.WORKING) {
                job.state = JobState.DONE;
            }
        } catch (CancellationException stopped) {
            job.state = JobState.STOPPED;
        } catch (IllegalArgumentException e) {
            refuse(job, e.getMessage());
        } catch (RuntimeException | OutOfMemoryError e) {
            LOG.error("What moves {} could not be worked out", question, e);
            refuse(job, "this could not be worked out; the plan itself is safe");
        }
    }

    private static Map<Input, Variation> variations(
            Question question, Goal goal, List<Input> strongest, CompiledPlan plan) {
        Inputs inputs = goal.inputs();
        Map<Input, Variation> variations = new LinkedHashMap<>();
        if (question.change() == Change.REMOVAL) {
            strongest.forEach(input -> variations.put(input, inputs.without(input)));
            return variations;
        }
        Network network = plan.network();
        Cut cut = question.change() == Change.DAY ? Cut.DAY : Cut.TENTH;
        Map<String, Double> criticality = new LinkedHashMap<>();
        goal.run().result().activities().forEach(one -> criticality.put(one.id(), one.criticality()));
        goal.run().plan().activities().stream()
                .filter(activity -> DayGain.canShorten(network, activity))
                .sorted(Comparator.comparingDouble((Activity one) -> -criticality.getOrDefault(one.id(), 0.0)))
                .limit(MOST)
                .forEach(activity -> variations.put(
                        new Input(new Key(Kind.ESTIMATE, activity.id(), 0), activity.name()),
                        plan.variation().shortening(activity.id(), DayGain.shortening(network, activity, cut))));
        return variations;
    }

    private static List<Input> strongest(Question question, Goal goal) {
        return Drivers.measured(goal, question.grains(), goal.values()).stream()
                .filter(driver -> driver.swing().isPresent())
                .sorted(Comparator.comparingDouble((Driver driver) ->
                        -Math.abs(driver.swing().map(Swing::width).orElse(0.0))))
                .limit(MOST)
                .map(Driver::input)
                .toList();
    }

    private static MovesView view(Job job, Goal goal, double level, Gathering gathering) {
        List<Moves<Input>> moves = job.moves;
        InputView.Words words = new InputView.Words(goal.run().plan());
        DoubleFunction<GoalValue> telling = goal.telling(level);
        return new MovesView(
                job.state,
                Goal.percent(level),
                job.iterations,
                moves.size(),
                job.total,
                moves.stream()
                        .map(one -> new MoveRow(
                                words.of(one.key()),
                                telling.apply(one.moved().value()),
                                one.moved().change() / goal.unit(),
                                Double.isNaN(one.moved().error())
                                        ? null
                                        : one.moved().error() / goal.unit()))
                        .toList(),
                gathering.groups(
                        goal.run().plan(), moves, Moves::key, one -> one.moved().change() / goal.unit()),
                job.refusal);
    }
}
