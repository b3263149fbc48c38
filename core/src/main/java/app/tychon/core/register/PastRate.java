package app.tychon.core.register;

import app.tychon.core.model.PastEvents;
import app.tychon.core.model.Shape;
import app.tychon.core.uncertainty.Distributions;
import app.tychon.core.uncertainty.fitting.Fit;
import app.tychon.core.uncertainty.fitting.Fitting;
import java.util.Arrays;
import java.util.List;

/**
 * How often something happens, and how much it takes, by what has happened.
 *
 * @param perYear the rate seen
 * @param low     lower end of its exact 95 % interval, for events that come independently of each other (Garwood, 1936)
 * @param high    its upper end
 * @param sizes   shapes of the amount of one event, the best first; one alone where only mean and spread are known
 */
public record PastRate(double perYear, double low, double high, List<Shape> sizes) {
    private static final double EACH_SIDE = 0.025;
    /** Fewer events show no shape. */
    private static final int LEAST = 3;

    public static PastRate of(PastEvents past) {
        int count = past.count();
        double low = count == 0 ? 0 : gamma(count, EACH_SIDE);
        double high = gamma(count + 1, 1 - EACH_SIDE);
        return new PastRate(past.rate(), low / past.years(), high / past.years(), sizes(past));
    }

    private static double gamma(double shape, double chance) {
        return Distributions.of(new Shape.Gamma(shape, 1), 1).inverse(chance);
    }

    private static List<Shape> sizes(PastEvents past) {
        double[] amounts =
                past.events().stream().mapToDouble(PastEvents.Event::amount).toArray();
        boolean varied =
                amounts.length >= LEAST && Arrays.stream(amounts).distinct().count() > 1;
        if (varied) {
            return Fitting.ranked(amounts).stream().map(Fit::shape).toList();
        }
        double mean = amounts.length > 0 ? Arrays.stream(amounts).average().orElseThrow() : past.mean();
        if (mean == 0) {
            return List.of();
        }
        return past.sd() > 0 && mean > 0
                ? List.of(new Shape.Lognormal(mean, past.sd()))
                : List.of(new Shape.Fixed(mean));
    }
}
