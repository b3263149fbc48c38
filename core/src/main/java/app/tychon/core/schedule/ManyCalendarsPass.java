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
        double projectStart = Instants.of(network.plan().project().start());
        for (int i = 0; i < network.size(); i++) {
            Activity activity = network.activity(i);
            WorkingTime time = network.time(i);
            startFloor[i] = time.startInstant(time.work(projectStart));
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
            startFloor[position] = Math.max(startFloor[position], floor);
        } else {
            finishFloor[position] = floor;
        }
    }

    @Override
    public void place(int i, Lanes lanes, int count) {
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
        double[] start = lanes.start[position];
        double[] finish = lanes.finish[position];
        double[] duration = lanes.duration[position];
        for (int k = 0; k < count; k++) {
            if (duration[k] == 0) {
                start[k] = Math.max(start[k], finishNeeded[k]);
                finish[k] = start[k];
            } else {
                double work = time.work(start[k]);
                if (finishNeeded[k] != Double.NEGATIVE_INFINITY) {
                    work = Math.max(work, time.work(finishNeeded[k]) - duration[k]);
                }
                start[k] = time.startInstant(work);
                finish[k] = time.finishInstant(work + duration[k]);
            }
            lanes.end[k] = Math.max(lanes.end[k], finish[k]);
        }
    }

    @Override
    public boolean drives(int link, int to, Lanes lanes, int lane) {
        double reached = reaches(link, lanes, lane);
        double target = network.type(link).toStart() ? lanes.start[to][lane] : lanes.finish[to][lane];
        if (lanes.duration[to][lane] == 0) {
            return Math.abs(target - reached) <= SAME;
        }
        WorkingTime time = network.time(to);
        return Math.abs(time.work(target) - time.work(reached)) <= SAME;
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
    public double endInstant(double end) {
        return end;
    }

    @Override
    public double projectWork(double coordinate) {
        return network.projectTime().work(coordinate) - network.workAtStart();
    }
}
