/** Schedules out of tables, and into them. */
package app.tychon.exchange.schedule;
