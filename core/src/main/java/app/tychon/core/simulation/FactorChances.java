package app.tychon.core.simulation;

import app.tychon.core.uncertainty.NormalTable;

/**
 * Draws of one member of a group with one coefficient: Φ(√ρ F + √(1 − ρ) E), with a factor F of the group and E of its
 * own, both standard normal. A member's draws do not depend on who else is in the group.
 */
record FactorChances(Stream group, Stream own, double common, double alone) implements Chances {

    /** @param correlation of the normals, 0 to 1 */
    static FactorChances of(Stream group, Stream own, double correlation) {
        return new FactorChances(group, own, Math.sqrt(correlation), Math.sqrt(1 - correlation));
    }

    @Override
    public void fill(Draws draws, int first, int count, double[] out, Scratch scratch) {
        draws.fill(group, first, count, scratch.normals, scratch);
        draws.fill(own, first, count, out, scratch);
        for (int k = 0; k < count; k++) {
            out[k] = NormalTable.cumulative(
                    common * NormalTable.inverse(scratch.normals[k]) + alone * NormalTable.inverse(out[k]));
        }
    }
}
