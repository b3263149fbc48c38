package app.tychon.core.model;

/** How uncertain a duration or an amount is. */
public record Estimate(Shape shape, Basis basis) {
    /** Exactly what is planned: said where a grade would say otherwise. */
    public static final Estimate AS_PLANNED = new Estimate(new Shape.Fixed(1), Basis.FACTOR);
}
