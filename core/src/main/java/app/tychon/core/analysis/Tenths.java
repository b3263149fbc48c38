package app.tychon.core.analysis;

import app.tychon.core.statistics.Ranking;

/**
 * Means of an output over the iterations in which an input is in its lowest, or in its highest, tenth. Iterations of
 * equal input at the edge of a tenth share the places left in it, so that no order among equals decides.
 */
final class Tenths {
    private static final double TENTH = 0.1;

    private final Ranking input;
    private final double[] output;
    private final double places;

    private Tenths(Ranking input, double[] output) {
        this.input = input;
        this.output = output;
        places = Math.max(1, input.size() * TENTH);
    }

    /** Mean over the highest tenth less that over the lowest. */
    static double swing(Ranking input, double[] output) {
        Tenths tenths = new Tenths(input, output);
        return tenths.highest() - tenths.lowest();
    }

    private double lowest() {
        int edge = (int) Math.ceil(places) - 1;
        int from = input.startOfEqual(edge);
        return mean(0, from, from, input.endOfEqual(edge));
    }

    private double highest() {
        int edge = input.size() - (int) Math.ceil(places);
        int to = input.endOfEqual(edge);
        return mean(to, input.size(), input.startOfEqual(edge), to);
    }

    /** @param edgeFrom where those begin of which only a part may belong */
    private double mean(int from, int to, int edgeFrom, int edgeTo) {
        double share = (places - (to - from)) / (edgeTo - edgeFrom);
        return (sum(from, to) + sum(edgeFrom, edgeTo) * share) / places;
    }

    private double sum(int from, int to) {
        double sum = 0;
        for (int place = from; place < to; place++) {
            sum += output[input.at(place)] - output[0];
        }
        return sum;
    }
}
