package app.tychon.core.schedule;

import app.tychon.core.model.Activity;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.Estimates;
import app.tychon.core.model.Impact;
import app.tychon.core.model.Response;
import app.tychon.core.model.Risk;
import app.tychon.core.model.Shape;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** How far the risks of a plan, before or after response, can bend durations. */
final class RiskReach {
    private final Network network;
    private final Estimates estimates;
    private final double[] leastScale;
    private final double[] leastAdded;
    private final boolean[] struck;

    RiskReach(Network network) {
        this.network = network;
        estimates = Estimates.of(network.plan());
        leastScale = new double[network.size()];
        Arrays.fill(leastScale, 1);
        leastAdded = new double[network.size()];
        struck = new boolean[network.size()];
        for (Risk risk : network.plan().risks()) {
            if (risk.isLive()) {
                impacts(risk).forEach(impact -> reach(impact, risk.recurrence().isPresent()));
            }
        }
    }

    private static List<Impact> impacts(Risk risk) {
        List<Impact> impacts = new ArrayList<>(risk.impacts());
        risk.response().map(Response::impacts).ifPresent(impacts::addAll);
        return impacts;
    }

    private void reach(Impact impact, boolean again) {
        if (!impact.effect().isOnTime()) {
            return;
        }
        double low = impact.distribution().shape().low();
        for (String on : impact.on()) {
            for (int i : network.targets(on, impact.effect())) {
                struck[i] = true;
                if (impact.effect().isScale()) {
                    leastScale[i] *= Math.max(0, Math.min(1, low));
                } else if (low < 0) {
                    double each = network.activity(i)
                            .minutesEach(impact.distribution().basis(), network.calendar(i));
                    leastAdded[i] += again ? Double.NEGATIVE_INFINITY : low * each;
                }
            }
        }
    }

    /** Whether a risk can change the duration. */
    boolean isStruck(int position) {
        return struck[position];
    }

    /** Whether the duration can be zero in some iteration. */
    boolean mayVanish(int position) {
        Activity activity = network.activity(position);
        double low = estimates
                .of(activity)
                .map(e -> least(e) * activity.minutesEach(e.basis(), network.calendar(position)))
                .orElse(network.planned(position));
        return low * leastScale[position] + leastAdded[position] <= 0;
    }

    /** A lower bound of the shape that it can take; shapes that only come near zero have one above it. */
    private static double least(Estimate estimate) {
        Shape shape = estimate.shape();
        return shape instanceof Shape.Positive || shape instanceof Shape.Normal ? Double.MIN_NORMAL : shape.low();
    }
}
