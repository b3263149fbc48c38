package app.tychon.core.simulation;

import app.tychon.core.uncertainty.NormalTable;
import java.util.Arrays;
import java.util.List;

/** Draws of one member of a correlation matrix C = L Lᵀ: Φ(row of L times the members' own standard normals). */
record MatrixChances(Mixture mixture, int member) implements Chances {

    /** All members of a matrix, with their own streams and the lower factor of the matrix. */
    record Mixture(List<Stream> streams, double[][] lower) {
        int size() {
            return streams.size();
        }

        private void mix(Draws draws, int first, int count, Scratch scratch, Scratch.Mixed mixed) {
            for (double[] row : mixed.normals) {
                Arrays.fill(row, 0, count, 0);
            }
            for (int j = 0; j < size(); j++) {
                draws.fill(streams.get(j), first, count, scratch.normals, scratch);
                for (int k = 0; k < count; k++) {
                    scratch.normals[k] = NormalTable.inverse(scratch.normals[k]);
                }
                for (int i = j; i < size(); i++) {
                    double weight = lower[i][j];
                    double[] row = mixed.normals[i];
                    for (int k = 0; weight != 0 && k < count; k++) {
                        row[k] += weight * scratch.normals[k];
                    }
                }
            }
            mixed.first = first;
            mixed.count = count;
        }
    }

    @Override
    public void fill(Draws draws, int first, int count, double[] out, Scratch scratch) {
        Scratch.Mixed mixed = scratch.of(mixture);
        if (mixed.first != first || mixed.count < count) {
            mixture.mix(draws, first, count, scratch, mixed);
        }
        double[] normals = mixed.normals[member];
        for (int k = 0; k < count; k++) {
            out[k] = NormalTable.cumulative(normals[k]);
        }
    }
}
