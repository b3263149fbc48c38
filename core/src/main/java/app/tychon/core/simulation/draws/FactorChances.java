package app.tychon.core.simulation.draws;

import app.tychon.core.uncertainty.NormalTable;

/**
 * Draws of one member of a group with one coefficient: Φ(√ρ F + √(1 − ρ) E), with a factor F of the group and E of its
 * own, both standard normal. A member's draws do not depend on who else is in the group.
 */
public record FactorChances(RandomStream group, RandomStream own, double common, double alone) implements Chances {

    /** @param correlation of the normals, 0 to 1 */
    static FactorChances of(RandomStream group, RandomStream own, double correlation) {
        return new FactorChances(group, own, Math.sqrt(correlation), Math.sqrt(1 - correlation));
    }

    @Override
    public void fill(Batch batch, double[] out) {
        batch.fill(group, batch.scratch().normals);
        batch.fill(own, out);
        for (int k = 0; k < batch.count(); k++) {
            out[k] = NormalTable.cumulative(
                    common * NormalTable.inverse(batch.scratch().normals[k]) + alone * NormalTable.inverse(out[k]));
        }
    }
}
