package app.tychon.core.schedule;

import app.tychon.core.calendar.WorkingTime;

/** The plan without uncertainty: when everything that money or risks stand on begins and ends, and how long it takes. */
public final class PlannedSpans {

    private final Network network;
    private final ForwardPass pass;
    private final Lanes lanes;
    private final BranchSpans spans;

    public PlannedSpans(Network network, ForwardPass pass) {
        this.network = network;
        this.pass = pass;
        lanes = new Lanes(network.size(), 1);
        spans = new BranchSpans(network, 1);
        spans.begin(1);
        for (int i = 0; i < network.size(); i++) {
            lanes.duration[i][0] = network.expected(i);
        }
        pass.run(lanes, 1);
        for (int i = 0; i < network.size(); i++) {
            spans.add(i, lanes, 1);
        }
        spans.rollUp(1);
    }

    /**
     * Minutes of the clock from start to finish of an activity, a branch or the project, as far as they lie ahead; 0 for an
     * empty branch and for what is over.
     */
    public double clockMinutesLeft(String on) {
        if (network.branches().isBranch(on)) {
            int row = spans.row(on);
            return isEmpty(row) ? 0 : ahead(on, spans.start[row][0], spans.finish[row][0]);
        }
        int i = network.position(on);
        return ahead(on, lanes.start[i][0], lanes.finish[i][0]);
    }

    private double ahead(String on, double start, double finish) {
        return Math.max(0, finish - Math.max(start, network.frame(on).earliest()));
    }

    /**
     * Working minutes: of an activity as planned, of a hammock as it comes out, of a branch or the project those of the
     * project calendar from first start to last finish.
     */
    public double duration(String on) {
        if (network.branches().isBranch(on)) {
            int row = spans.row(on);
            Frame frame = network.frame(on);
            return isEmpty(row) ? 0 : frame.work(spans.finish[row][0]) - frame.work(spans.start[row][0]);
        }
        int i = network.position(on);
        return network.isHammock(i) ? lanes.duration[i][0] : network.planned(i);
    }

    /** The planned {@link #duration} in days of the calendar in which the days of an activity, a branch or the project count. */
    public double days(String on) {
        if (network.branches().isBranch(on)) {
            return duration(on) / network.frame(on).day();
        }
        int position = network.position(on);
        return duration(on) / network.activity(position).minutesPerDay(network.calendar(position));
    }

    /** When an activity, a branch or the project begins; infinity for an empty branch. */
    public double start(String on) {
        return network.branches().isBranch(on) ? spans.start[spans.row(on)][0] : lanes.start[network.position(on)][0];
    }

    /** When it ends; minus infinity for an empty branch. */
    public double finish(String on) {
        return network.branches().isBranch(on) ? spans.finish[spans.row(on)][0] : lanes.finish[network.position(on)][0];
    }

    /** Of {@link #expected}, working minutes that lie behind it by the data date. */
    public double done(String on) {
        if (network.branches().isBranch(on)) {
            int row = spans.row(on);
            return isEmpty(row) ? 0 : done(on, network.frame(on).time(), spans.start[row][0], spans.finish[row][0]);
        }
        int i = network.position(on);
        return network.isHammock(i)
                ? done(on, network.time(i), lanes.start[i][0], lanes.finish[i][0])
                : network.work(i).done();
    }

    private double done(String on, WorkingTime time, double start, double finish) {
        return Math.max(0, time.work(Math.min(network.frame(on).earliest(), finish)) - time.work(start));
    }

    /** Working minutes to be expected now: {@link #duration} as far as progress has not changed it. */
    public double expected(String on) {
        return duration(on) * progressRatio(on);
    }

    /**
     * The duration to be expected without uncertainty, in parts of the planned one: one where nothing is planned to take
     * time; another where progress was better or worse than planned.
     */
    public double progressRatio(String on) {
        if (network.branches().isBranch(on)) {
            return 1;
        }
        int i = network.position(on);
        return network.isHammock(i) || network.planned(i) == 0 ? 1 : network.expected(i) / network.planned(i);
    }

    private boolean isEmpty(int row) {
        return spans.finish[row][0] == Double.NEGATIVE_INFINITY;
    }
}
