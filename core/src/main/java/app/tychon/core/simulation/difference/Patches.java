package app.tychon.core.simulation.difference;

import app.tychon.core.simulation.engine.Block;
import app.tychon.core.simulation.tally.Packer;
import app.tychon.core.simulation.tally.Samples;
import app.tychon.core.simulation.tally.Unpacker;
import java.util.Arrays;

/** The futures in which a variation comes out otherwise than the plan, in no order. Safe for several threads. */
final class Patches {
    /** Values a future: finish, and the parts of cost. */
    private static final int EACH = 4;

    private int[] iterations = new int[16];
    private double[] values = new double[EACH * iterations.length];

    private int size;

    synchronized void add(int iteration, double finish, double spread, double timeDriven, double risk) {
        makeRoom(size + 1);
        values[EACH * size] = finish;
        values[EACH * size + 1] = spread;
        values[EACH * size + 2] = timeDriven;
        values[EACH * size + 3] = risk;
        iterations[size++] = iteration;
    }

    private void makeRoom(int wanted) {
        if (wanted > iterations.length) {
            int room = Math.max(wanted, 2 * iterations.length);
            iterations = Arrays.copyOf(iterations, room);
            values = Arrays.copyOf(values, EACH * room);
        }
    }

    synchronized void clear() {
        size = 0;
    }

    /** Those of a block, which are all there are. */
    synchronized void pack(Packer out, Block block) {
        out.whole(size);
        for (int i = 0; i < size; i++) {
            out.whole(iterations[i] - block.first());
        }
        out.reals(values, EACH * size);
    }

    /** Takes over what those of a block have packed. */
    synchronized void merge(Unpacker in, Block block) {
        int more = in.below(block.count() + 1);
        makeRoom(size + more);
        for (int i = 0; i < more; i++) {
            iterations[size + i] = block.first() + in.below(block.count());
        }
        in.reals(values, EACH * size, EACH * more);
        size += more;
    }

    /** Puts what differs among the first {@code count} futures in the place of what the plan had. */
    synchronized void apply(Samples to, int count) {
        for (int i = 0; i < size; i++) {
            if (iterations[i] < count) {
                to.finish[iterations[i]] = values[EACH * i];
                to.spread[iterations[i]] = values[EACH * i + 1];
                to.timeDriven[iterations[i]] = values[EACH * i + 2];
                to.risk[iterations[i]] = values[EACH * i + 3];
            }
        }
    }

    /** How many of the first {@code count} futures differ. */
    synchronized int within(int count) {
        return (int) Arrays.stream(iterations, 0, size).filter(i -> i < count).count();
    }
}
