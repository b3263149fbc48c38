package app.tychon.core.simulation.difference;

import app.tychon.core.schedule.BranchSpans;
import app.tychon.core.schedule.CriticalTrace;
import app.tychon.core.schedule.ForwardPass;
import app.tychon.core.schedule.Frame;
import app.tychon.core.schedule.Lanes;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.Successors;
import app.tychon.core.simulation.money.Dates;
import app.tychon.core.simulation.money.Place;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.Map;

/**
 * How other durations of some activities spread through a few futures of a batch: what comes after is placed again as long
 * as anything before it has moved. One thread's own.
 */
final class Ripple implements Dates {
    /** Most futures at a time. */
    static final int WIDTH = 64;

    private final Network network;
    private final ForwardPass pass;
    private final Successors successors;
    private final KeptBatch kept;
    private final Lanes lanes;
    private final BitSet waiting = new BitSet();
    private final BitSet moved = new BitSet();
    /** By position, the last spreading in which its row was filled. */
    private final int[] filled;

    /** What can finish the project. */
    private final BitSet finishing = new BitSet();

    private final double[] firsts = new double[WIDTH];
    private final double[] lasts = new double[WIDTH];

    private int spreading;
    private int[] at;
    private int count;
    private final Map<String, BitSet> contributors = new HashMap<>();

    Ripple(KeptBatch kept, Successors successors) {
        this.kept = kept;
        this.successors = successors;
        network = kept.plan.network();
        pass = kept.plan.pass();
        lanes = new Lanes(network.size(), WIDTH);
        filled = new int[network.size()];
        for (int i = 0; i < network.size(); i++) {
            finishing.set(i, !network.isHammock(i));
        }
    }

    /**
     * Places what moves.
     *
     * @param at        lanes of the batch that are looked at
     * @param positions of which durations may differ
     * @param durations theirs in every lane of the batch
     */
    void spread(int[] at, int count, int[] positions, double[][] durations) {
        this.at = at;
        this.count = count;
        spreading++;
        moved.clear();
        lanes.begin(count);
        for (int p = 0; p < positions.length; p++) {
            waiting.set(positions[p]);
            filled[positions[p]] = spreading;
            Lanes.gather(durations[p], at, count, lanes.duration[positions[p]]);
        }
        for (int i = waiting.nextSetBit(0); i >= 0; i = waiting.nextSetBit(i + 1)) {
            waiting.clear(i);
            if (filled[i] != spreading) {
                filled[i] = spreading;
                Lanes.gather(kept.worker.lanes.duration[i], at, count, lanes.duration[i]);
            }
            for (int link = network.firstIn(i); link < network.firstIn(i + 1); link++) {
                fill(network.from(link));
            }
            pass.place(i, lanes, count);
            if (!lanes.equal(i, kept.worker.lanes, at, count)) {
                moved.set(i);
                for (int out = successors.firstOut(i); out < successors.firstOut(i + 1); out++) {
                    waiting.set(successors.to(out));
                }
            }
        }
    }

    /** Takes a row over from the plan's own futures, unless it is there. */
    private void fill(int position) {
        if (filled[position] != spreading) {
            filled[position] = spreading;
            lanes.take(position, kept.worker.lanes, at, count);
        }
    }

    /** Instants at which the project, or what the plan aims at, finishes in the lanes looked at. */
    void ends(double[] out) {
        Lanes own = kept.worker.lanes;
        int target = kept.plan.target();
        if (target != CriticalTrace.PROJECT) {
            take(target, lanes.finish, own.finish, out);
            return;
        }
        boolean isOpen = isOpen(finishing, own.end);
        for (int k = 0; k < count; k++) {
            out[k] = isOpen ? lanes.end[k] : Math.max(own.end[at[k]], lanes.end[k]);
        }
        if (isOpen) {
            latestOfOthers(finishing, out);
        }
    }

    @Override
    public void starts(Place place, double[] out) {
        if (place.isBranch()) {
            BranchSpans spans = kept.worker.spans;
            earliest(contributors(place.on()), spans.start[spans.row(place.on())], out);
        } else {
            take(place.position(), lanes.start, kept.worker.lanes.start, out);
        }
    }

    @Override
    public void finishes(Place place, double[] out) {
        if (place.isBranch()) {
            BranchSpans spans = kept.worker.spans;
            latest(contributors(place.on()), spans.finish[spans.row(place.on())], out);
        } else {
            take(place.position(), lanes.finish, kept.worker.lanes.finish, out);
        }
    }

    /** What has moved, or what it was. */
    private void take(int position, double[][] own, double[][] before, double[] out) {
        if (moved.get(position)) {
            System.arraycopy(own[position], 0, out, 0, count);
        } else {
            Lanes.gather(before[position], at, count, out);
        }
    }

    boolean hasMoved(Place place) {
        return place.isBranch() ? moved.intersects(contributors(place.on())) : moved.get(place.position());
    }

    /** Durations in the lanes looked at: of a branch, working minutes of the project's calendar from first start to last finish. */
    void durations(Place place, double[] out) {
        if (!place.isBranch()) {
            take(place.position(), lanes.duration, kept.worker.lanes.duration, out);
            return;
        }
        starts(place, firsts);
        finishes(place, lasts);
        Frame frame = network.frame(place.on());
        for (int k = 0; k < count; k++) {
            out[k] = frame.work(lasts[k]) - frame.work(firsts[k]);
        }
    }

    private BitSet contributors(String branch) {
        return contributors.computeIfAbsent(branch, one -> {
            BitSet positions = new BitSet();
            Arrays.stream(kept.worker.spans.contributors(kept.worker.spans.row(one)))
                    .forEach(positions::set);
            return positions;
        });
    }

    /** The latest finish: what it was, unless what made it has moved; then it is looked for. */
    private void latest(BitSet among, double[] before, double[] out) {
        boolean isOpen = isOpen(among, before);
        if (isOpen) {
            Arrays.fill(out, 0, count, Double.NEGATIVE_INFINITY);
        } else {
            Lanes.gather(before, at, count, out);
        }
        for (int i = moved.nextSetBit(0); i >= 0; i = moved.nextSetBit(i + 1)) {
            for (int k = 0; among.get(i) && k < count; k++) {
                out[k] = Math.max(out[k], lanes.finish[i][k]);
            }
        }
        if (isOpen) {
            latestOfOthers(among, out);
        }
    }

    /** Whether what finished last has moved to an earlier finish in any lane. */
    private boolean isOpen(BitSet among, double[] before) {
        for (int i = moved.previousSetBit(network.size()); i >= 0; i = moved.previousSetBit(i - 1)) {
            double[] was = kept.worker.lanes.finish[i];
            for (int k = 0; among.get(i) && k < count; k++) {
                if (was[at[k]] == before[at[k]] && lanes.finish[i][k] < was[at[k]]) {
                    return true;
                }
            }
        }
        return false;
    }

    private void latestOfOthers(BitSet among, double[] out) {
        double least = least(out);
        for (int i : kept.latestFirst) {
            if (kept.latest[i] <= least) {
                return;
            }
            if (among.get(i) && !moved.get(i)) {
                double[] own = kept.worker.lanes.finish[i];
                for (int k = 0; k < count; k++) {
                    out[k] = Math.max(out[k], own[at[k]]);
                }
                least = least(out);
            }
        }
    }

    private double least(double[] row) {
        double least = row[0];
        for (int k = 1; k < count; k++) {
            least = Math.min(least, row[k]);
        }
        return least;
    }

    private void earliest(BitSet among, double[] before, double[] out) {
        Lanes own = kept.worker.lanes;
        Lanes.gather(before, at, count, out);
        boolean isOpen = false;
        for (int i = moved.nextSetBit(0); i >= 0; i = moved.nextSetBit(i + 1)) {
            for (int k = 0; among.get(i) && k < count; k++) {
                double was = own.start[i][at[k]];
                isOpen |= was == before[at[k]] && lanes.start[i][k] > was;
                out[k] = Math.min(out[k], lanes.start[i][k]);
            }
        }
        if (isOpen) {
            Arrays.fill(out, 0, count, Double.POSITIVE_INFINITY);
            for (int i = among.nextSetBit(0); i >= 0; i = among.nextSetBit(i + 1)) {
                for (int k = 0; k < count; k++) {
                    out[k] = Math.min(out[k], moved.get(i) ? lanes.start[i][k] : own.start[i][at[k]]);
                }
            }
        }
    }
}
