/** Schedules out of tables: text files, sheets, what was copied from a spreadsheet. */
package app.tychon.exchange.table;
