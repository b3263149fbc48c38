package app.tychon.core.model;

import java.time.LocalDate;

/**
 * Money that becomes available, and adds to what there is.
 *
 * @param date from the beginning of which it can be spent
 * @param name where it comes from; may be empty
 */
public record Funding(LocalDate date, double amount, String name) {}
