package app.tychon.core.simulation.risk;

import app.tychon.core.model.Recurrence;
import app.tychon.core.simulation.draws.Batch;
import app.tychon.core.simulation.draws.RandomStream;
import app.tychon.core.simulation.draws.UncertainInput;
import app.tychon.core.uncertainty.NormalTable;

/** How often a risk strikes in an iteration in which it occurs. */
public sealed interface Times {
    Times ONCE = new Once();

    /** Puts a number of strikes in place of every 1 of the first {@code count} lanes. */
    void fill(Batch batch, Exposure.Source durations, Strikes strikes, int[] out);

    record Once() implements Times {
        @Override
        public void fill(Batch batch, Exposure.Source durations, Strikes strikes, int[] out) {
            // It stays at once.
        }
    }

    /** A number drawn from a shape, rounded. */
    record Drawn(UncertainInput number) implements Times {
        @Override
        public void fill(Batch batch, Exposure.Source durations, Strikes strikes, int[] out) {
            number.sample(batch, strikes.draws);
            for (int k = 0; k < batch.count(); k++) {
                out[k] *= (int) Math.min(Recurrence.MOST, Math.max(0, Math.round(strikes.draws[k])));
            }
        }
    }

    /** A Poisson number whose mean is a rate a year times the years it counts in. */
    record Poisson(RandomStream stream, double rate, Exposure exposure) implements Times {
        /** Above this mean the normal distribution stands in; its error in the number is below one. */
        private static final double LARGEST_EXACT = 500;

        @Override
        public void fill(Batch batch, Exposure.Source durations, Strikes strikes, int[] out) {
            exposure.years(batch, durations, strikes);
            batch.fill(stream, strikes.draws);
            for (int k = 0; k < batch.count(); k++) {
                out[k] *= number(rate * strikes.years[k], strikes.draws[k]);
            }
        }

        /** The least n with P(N ≤ n) ≥ u, by summing the probabilities; at most {@value Recurrence#MOST}. */
        static int number(double mean, double u) {
            if (mean > LARGEST_EXACT) {
                long near = Math.round(mean + Math.sqrt(mean) * NormalTable.inverse(u));
                return (int) Math.max(0, Math.min(Recurrence.MOST, near));
            }
            double probability = Math.exp(-mean);
            double cumulative = probability;
            int n = 0;
            while (cumulative < u && n < Recurrence.MOST) {
                n++;
                probability *= mean / n;
                cumulative += probability;
            }
            return n;
        }
    }
}
