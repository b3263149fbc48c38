package app.tychon.core.model;

/**
 * A resource working on an activity.
 *
 * @param units how much of it: 0.5 for half time, or a quantity where it is paid by the unit
 */
public record Assignment(String activity, String resource, double units) {}
