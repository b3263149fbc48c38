package app.tychon.core.programme;

import java.time.LocalDate;

/**
 * What a unit of one currency is worth in another.
 *
 * @param worth in the currency of the programme
 * @param on    the day it is of
 */
public record ExchangeRate(double worth, LocalDate on) {}
