package app.tychon.core.schedule;

import app.tychon.core.calendar.Instants;
import app.tychon.core.calendar.WorkingTime;
import app.tychon.core.model.Activity;
import app.tychon.core.model.Constraint;
import java.util.Arrays;

/** The pass for any plan. Its axis is the instant itself; each activity adds its duration in its own calendar. */
final class ManyCalendarsPass implements ForwardPass {
    private final Network network;
    /** Per activity, instants. */
    private final double[] startFloor;

    private final double[] finishFloor;

    ManyCalendarsPass(Network network) {
        this.network = network;
        startFloor = new double[network.size()];
        finishFloor = new double[network.size()];
        double earliest = network.earliest();
        for (int i = 0; i < network.size(); i++) {
            Activity activity = network.activity(i);
            WorkingTime time = network.time(i);
            startFloor[i] = network.work(i).isUnderWay() ? earliest : time.startInstant(time.work(earliest));
            finishFloor[i] = Double.NEGATIVE_INFINITY;
            if (activity.constraint().isPresent()) {
                addFloor(i, activity.constraint().get());
            }
        }
    }

    private void addFloor(int position, Constraint constraint) {
        if (!constraint.type().noEarlier()) {
            return;
        }
        double floor = Instants.of(constraint.date());
        if (constraint.type().onStart()) {
            // What is under way has started; a date for its start says nothing of when it goes on.
            if (network.work(position).isUnderWay()) {
                return;
            }
            startFloor[position] = Math.max(startFloor[position], floor);
        } else {
            finishFloor[position] = floor;
        }
    }

    @Override
    public void place(int i, Lanes lanes, int count) {
        if (network.isHammock(i)) {
            placeHammock(i, lanes, count);
        } else if (network.work(i).isFinished()) {
            placeHistory(i, lanes, count);
        } else {
            placeWork(i, lanes, count);
        }
    }

    private void placeHistory(int i, Lanes lanes, int count) {
        Work work = network.work(i);
        for (int k = 0; k < count; k++) {
            lanes.duration[i][k] = work.done();
            lanes.start[i][k] = work.start();
            lanes.finish[i][k] = work.finish();
            lanes.end[k] = Math.max(lanes.end[k], work.finish());
        }
    }

    /** From the earliest of what opens it to the latest of what closes it, in its own working time. */
    private void placeHammock(int i, Lanes lanes, int count) {
        WorkingTime time = network.time(i);
        for (int k = 0; k < count; k++) {
            double open = Double.POSITIVE_INFINITY;
            double close = Double.NEGATIVE_INFINITY;
            for (int link = network.firstIn(i); link < network.firstIn(i + 1); link++) {
                double instant = reaches(link, lanes, k);
                if (network.type(link).toStart()) {
                    open = Math.min(open, instant);
                } else {
                    close = Math.max(close, instant);
                }
            }
            double from = time.work(open);
            double to = time.work(close);
            boolean lasts = to - from > SAME;
            lanes.duration[i][k] = lasts ? to - from : 0;
            lanes.start[i][k] = lasts ? time.startInstant(from) : open;
            lanes.finish[i][k] = lasts ? time.finishInstant(to) : open;
        }
    }

    private void placeWork(int i, Lanes lanes, int count) {
        double[] start = lanes.start[i];
        double[] finishNeeded = lanes.finishNeeded;
        Arrays.fill(start, 0, count, startFloor[i]);
        Arrays.fill(finishNeeded, 0, count, finishFloor[i]);
        for (int link = network.firstIn(i); link < network.firstIn(i + 1); link++) {
            double[] needed = network.type(link).toStart() ? start : finishNeeded;
            for (int k = 0; k < count; k++) {
                needed[k] = Math.max(needed[k], reaches(link, lanes, k));
            }
        }
        addDuration(i, lanes, count);
    }

    /** The instant at which a link lets go of its successor. */
    private double reaches(int link, Lanes lanes, int lane) {
        int from = network.from(link);
        double source = network.type(link).fromFinish() ? lanes.finish[from][lane] : lanes.start[from][lane];
        return network.lagTime(link).plus(source, network.lag(link));
    }

    private void addDuration(int position, Lanes lanes, int count) {
        double[] finishNeeded = lanes.finishNeeded;
        WorkingTime time = network.time(position);
        Work history = network.work(position);
        boolean isMilestone = network.activity(position).isMilestone();
        double[] start = lanes.start[position];
        double[] finish = lanes.finish[position];
        double[] duration = lanes.duration[position];
        for (int k = 0; k < count; k++) {
            double remaining = duration[k] - history.done();
            if (remaining == 0) {
                start[k] = Math.max(start[k], finishNeeded[k]);
                finish[k] = start[k];
            } else {
                double work = time.work(start[k]);
                if (finishNeeded[k] != Double.NEGATIVE_INFINITY) {
                    work = Math.max(work, time.work(finishNeeded[k]) - remaining);
                }
                start[k] = time.startInstant(work);
                finish[k] = time.finishInstant(work + remaining);
            }
            lanes.end[k] = Math.max(lanes.end[k], finish[k]);
            if (history.isUnderWay()) {
                start[k] = history.start();
            } else if (isMilestone) {
                start[k] = finish[k];
            }
        }
    }

    @Override
    public boolean drives(int link, int to, Lanes lanes, int lane) {
        Work history = network.work(to);
        if (network.isHammock(to) || history.isFinished()) {
            return false;
        }
        double reached = reaches(link, lanes, lane);
        double finish = lanes.finish[to][lane];
        double remaining = lanes.duration[to][lane] - history.done();
        WorkingTime time = network.time(to);
        if (!network.type(link).toStart()) {
            return remaining == 0
                    ? Math.abs(finish - reached) <= SAME
                    : Math.abs(time.work(finish) - time.work(reached)) <= SAME;
        }
        if (remaining == 0) {
            return Math.abs(finish - reached) <= SAME;
        }
        // Where work is under way or a milestone is delayed, this is when the remaining work goes on.
        return Math.abs(time.work(finish) - remaining - time.work(reached)) <= SAME;
    }

    @Override
    public double startInstant(int position, double start) {
        return start;
    }

    @Override
    public double finishInstant(int position, double finish) {
        return finish;
    }

    @Override
    public double spanStartInstant(double start) {
        return start;
    }

    @Override
    public double endInstant(double end) {
        return end;
    }

    @Override
    public double projectWork(double coordinate) {
        return network.projectTime().work(coordinate) - network.workAtStart();
    }
}
