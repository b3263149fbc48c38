package app.tychon.core.schedule;

import app.tychon.core.calendar.Instants;
import app.tychon.core.calendar.WorkingTime;
import app.tychon.core.model.Activity;
import app.tychon.core.model.Constraint;
import java.util.Arrays;

/**
 * The pass for plans whose activities and lags all run in one calendar, without history and hammocks. Its axis is that calendar's working time, so an
 * iteration is additions and maxima only; dates are looked up for results alone.
 */
final class OneCalendarPass implements ForwardPass {
    private final Network network;
    private final WorkingTime time;
    private final double[] startFloor;
    private final double[] finishFloor;
    private final boolean[] standsAtStart;

    OneCalendarPass(Network network) {
        this.network = network;
        time = network.size() == 0 ? network.projectTime() : network.time(0);
        startFloor = new double[network.size()];
        finishFloor = new double[network.size()];
        standsAtStart = new boolean[network.size()];
        MilestoneSides sides = new MilestoneSides(network);
        double earliest = time.work(network.earliest());
        for (int i = 0; i < network.size(); i++) {
            Activity activity = network.activity(i);
            startFloor[i] = earliest;
            finishFloor[i] = Double.NEGATIVE_INFINITY;
            standsAtStart[i] = sides.of(i) == MilestoneSides.Side.START;
            if (activity.constraint().isPresent()) {
                addFloor(i, activity.constraint().get());
            }
        }
    }

    private void addFloor(int position, Constraint constraint) {
        if (!constraint.type().noEarlier()) {
            return;
        }
        double floor = time.work(Instants.of(constraint.date()));
        if (constraint.type().onStart()) {
            startFloor[position] = Math.max(startFloor[position], floor);
        } else {
            finishFloor[position] = floor;
        }
    }

    static boolean fits(Network network) {
        for (int i = 0; i < network.size(); i++) {
            boolean started = network.work(i).state() != Work.State.NOT_STARTED;
            if (network.time(i) != network.time(0) || started || network.isHammock(i)) {
                return false;
            }
        }
        for (int link = 0; link < network.links(); link++) {
            if (network.lag(link) != 0 && network.lagTime(link) != network.time(0)) {
                return false;
            }
        }
        boolean[] hasSuccessors = new boolean[network.size()];
        for (int link = 0; link < network.links(); link++) {
            hasSuccessors[network.from(link)] = true;
        }
        MilestoneSides sides = new MilestoneSides(network);
        for (int i = 0; i < network.size(); i++) {
            boolean mayEndTheProject = sides.of(i) == MilestoneSides.Side.START && !hasSuccessors[i];
            if (sides.of(i) == MilestoneSides.Side.EITHER || mayEndTheProject) {
                return false;
            }
        }
        return true;
    }

    @Override
    public void place(int i, Lanes lanes, int count) {
        double[] duration = lanes.duration[i];
        double[] start = lanes.start[i];
        double[] finish = lanes.finish[i];
        Arrays.fill(start, 0, count, startFloor[i]);
        if (finishFloor[i] != Double.NEGATIVE_INFINITY) {
            for (int k = 0; k < count; k++) {
                start[k] = Math.max(start[k], finishFloor[i] - duration[k]);
            }
        }
        for (int link = network.firstIn(i); link < network.firstIn(i + 1); link++) {
            hold(link, lanes, start, duration, count);
        }
        double[] end = lanes.end;
        for (int k = 0; k < count; k++) {
            finish[k] = start[k] + duration[k];
            end[k] = Math.max(end[k], finish[k]);
        }
    }

    private void hold(int link, Lanes lanes, double[] start, double[] duration, int count) {
        double[] source =
                network.type(link).fromFinish() ? lanes.finish[network.from(link)] : lanes.start[network.from(link)];
        double lag = network.lag(link);
        if (network.type(link).toStart()) {
            for (int k = 0; k < count; k++) {
                start[k] = Math.max(start[k], source[k] + lag);
            }
        } else {
            for (int k = 0; k < count; k++) {
                start[k] = Math.max(start[k], source[k] + lag - duration[k]);
            }
        }
    }

    @Override
    public boolean drives(int link, int to, Lanes lanes, int lane) {
        int from = network.from(link);
        double source = network.type(link).fromFinish() ? lanes.finish[from][lane] : lanes.start[from][lane];
        double target = network.type(link).toStart() ? lanes.start[to][lane] : lanes.finish[to][lane];
        return Math.abs(target - (source + network.lag(link))) <= SAME;
    }

    @Override
    public double startInstant(int position, double start) {
        boolean standsAtEnd = network.planned(position) == 0 && !standsAtStart[position];
        return standsAtEnd ? time.finishInstant(start) : time.startInstant(start);
    }

    @Override
    public double finishInstant(int position, double finish) {
        return standsAtStart[position] ? time.startInstant(finish) : time.finishInstant(finish);
    }

    @Override
    public double spanStartInstant(double start) {
        return time.startInstant(start);
    }

    @Override
    public double endInstant(double end) {
        return time.finishInstant(end);
    }

    @Override
    public double projectWork(double coordinate) {
        double work = time == network.projectTime()
                ? coordinate
                : network.projectTime().work(time.finishInstant(coordinate));
        return work - network.workAtStart();
    }
}
