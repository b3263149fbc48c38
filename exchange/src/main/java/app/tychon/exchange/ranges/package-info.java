/** Ranges and past work out of tables, and ranges into them. */
package app.tychon.exchange.ranges;
