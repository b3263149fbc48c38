package app.tychon.core.simulation;

import java.util.IdentityHashMap;
import java.util.Map;

/** Working space of one thread for draws. */
final class Scratch {
    /** Random words, with room for the last pair of calls to write all of theirs. */
    final int[] words = new int[Simulation.BATCH + 8];

    final int[] strata = new int[Simulation.BATCH];
    final double[] normals = new double[Simulation.BATCH];
    private final Map<MatrixChances.Mixture, Mixed> mixed = new IdentityHashMap<>();

    /** The correlated normals of a mixture for the iterations asked for last. */
    static final class Mixed {
        int first = -1;
        int count;
        final double[][] normals;

        Mixed(int members) {
            normals = new double[members][Simulation.BATCH];
        }
    }

    Mixed of(MatrixChances.Mixture mixture) {
        return mixed.computeIfAbsent(mixture, m -> new Mixed(m.size()));
    }
}
