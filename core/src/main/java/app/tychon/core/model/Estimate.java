package app.tychon.core.model;

/** How uncertain a duration or an amount is. */
public record Estimate(Shape shape, Basis basis) {}
