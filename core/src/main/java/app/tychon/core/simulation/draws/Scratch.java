package app.tychon.core.simulation.draws;

import java.util.IdentityHashMap;
import java.util.Map;

/** Working space of one thread for draws. */
public final class Scratch {
    /** Random words, with room for the last pair of calls to write all of theirs. */
    final int[] words = new int[Batch.WIDTH + 8];

    final int[] strata = new int[Batch.WIDTH];
    final double[] normals = new double[Batch.WIDTH];
    private final Map<MatrixChances.Mixture, Mixed> mixed = new IdentityHashMap<>();

    /** The correlated normals of a mixture for the iterations asked for last. */
    static final class Mixed {
        int first = -1;
        int count;
        final double[][] normals;

        Mixed(int members) {
            normals = new double[members][Batch.WIDTH];
        }
    }

    Mixed of(MatrixChances.Mixture mixture) {
        return mixed.computeIfAbsent(mixture, m -> new Mixed(m.size()));
    }
}
