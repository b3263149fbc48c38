package app.tychon.core.model;

/**
 * A named level of estimate spread, which cascades down the work breakdown.
 *
 * @param shape its low, likely and high are factors of the planned value
 * @param mark  a letter or two that stands for it in a grid
 * @param note  when to use it
 */
public record Grade(String id, String name, Shape shape, String mark, String note) {
    /** The estimate an activity or cost line of this grade has. */
    public Estimate estimate() {
        return new Estimate(shape, Basis.FACTOR);
    }
}
