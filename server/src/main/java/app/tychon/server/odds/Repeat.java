package app.tychon.server.odds;

import app.tychon.core.calendar.Instants;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.engine.Helpers;
import app.tychon.core.simulation.result.Outcomes;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.statistics.Sample;
import java.time.LocalDateTime;

/**
 * What a simulation says when it is done once more, with as many iterations and another seed.
 *
 * @param seed it was done with
 * @param level percent, the level that matters to the project
 * @param middleFinish P50 of the finish
 * @param levelFinish finish kept with the level
 * @param middleCost P50 of the cost
 * @param levelCost cost kept with the level
 */
record Repeat(
        int number,
        long seed,
        int level,
        LocalDateTime middleFinish,
        LocalDateTime levelFinish,
        double middleCost,
        double levelCost) {
    private static final int MOST = 50;
    private static final double MIDDLE = 0.5;

    static Repeat of(Opened run, int number, Helpers helpers) {
        if (number < 1 || number > MOST) {
            throw new IllegalArgumentException("repeats are numbered from 1 to " + MOST + ", not " + number);
        }
        RunSettings own = run.result().settings();
        long seed = own.seed() + number;
        int iterations = run.result().iterations();
        RunSettings other = new RunSettings(iterations, seed, own.sampling(), own.threads());
        Outcomes outcomes =
                run.calculate(iterations, (plan, monitor) -> Simulation.outcomes(plan, other, monitor, helpers));
        Sample finish = run.dates(outcomes.finish());
        Sample cost = Sample.of(outcomes.cost());
        double level = run.plan().project().targets().level();
        return new Repeat(
                number,
                seed,
                run.plan().project().targets().confidence(),
                Instants.toCivil(finish.percentile(MIDDLE)),
                Instants.toCivil(finish.percentile(level)),
                cost.percentile(MIDDLE),
                cost.percentile(level));
    }
}
