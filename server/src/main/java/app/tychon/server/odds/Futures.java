package app.tychon.server.odds;

import java.util.UUID;
import org.springframework.stereotype.Service;

/** Single futures of simulations, worked out again from inputs and seed. */
@Service
class Futures {
    private final Simulations simulations;

    Futures(Simulations simulations) {
        this.simulations = simulations;
    }

    /** @throws IllegalArgumentException where the run has no such future */
    FutureView numbered(UUID id, int number) {
        Opened run = simulations.open(id);
        int count = run.result().iterations();
        if (number < 1 || number > count) {
            throw new IllegalArgumentException("this run has futures 1 to " + count + ", not " + number);
        }
        return FutureView.of(run, number - 1);
    }

    /** The future whose finish lies nearest to the one that is kept with a chance; the first of several. */
    FutureView nearest(UUID id, double chance) {
        Opened run = simulations.open(id);
        double wanted = run.finish().percentile(chance);
        double[] finish = run.result().finish();
        int nearest = 0;
        for (int i = 1; i < finish.length; i++) {
            if (Math.abs(finish[i] - wanted) < Math.abs(finish[nearest] - wanted)) {
                nearest = i;
            }
        }
        return FutureView.of(run, nearest);
    }
}
