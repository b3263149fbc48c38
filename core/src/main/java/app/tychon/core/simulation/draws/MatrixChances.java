package app.tychon.core.simulation.draws;

import app.tychon.core.uncertainty.NormalTable;
import java.util.Arrays;
import java.util.List;

/** Draws of one member of a correlation matrix C = L Lᵀ: Φ(row of L times the members' own standard normals). */
public record MatrixChances(Mixture mixture, int member) implements Chances {

    /** All members of a matrix, with their own streams and the lower factor of the matrix. */
    record Mixture(List<RandomStream> streams, double[][] lower) {
        int size() {
            return streams.size();
        }

        private void mix(Batch batch, Scratch.Mixed mixed) {
            double[] normals = batch.scratch().normals;
            int count = batch.count();
            for (double[] row : mixed.normals) {
                Arrays.fill(row, 0, count, 0);
            }
            for (int j = 0; j < size(); j++) {
                batch.fill(streams.get(j), normals);
                for (int k = 0; k < count; k++) {
                    normals[k] = NormalTable.inverse(normals[k]);
                }
                for (int i = j; i < size(); i++) {
                    double weight = lower[i][j];
                    double[] row = mixed.normals[i];
                    for (int k = 0; weight != 0 && k < count; k++) {
                        row[k] += weight * normals[k];
                    }
                }
            }
            mixed.first = batch.first();
            mixed.count = count;
        }
    }

    @Override
    public void fill(Batch batch, double[] out) {
        Scratch.Mixed mixed = batch.scratch().of(mixture);
        if (mixed.first != batch.first() || mixed.count < batch.count()) {
            mixture.mix(batch, mixed);
        }
        double[] normals = mixed.normals[member];
        for (int k = 0; k < batch.count(); k++) {
            out[k] = NormalTable.cumulative(normals[k]);
        }
    }
}
