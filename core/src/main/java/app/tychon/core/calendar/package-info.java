/** Working calendars as fast maps between civil time and working time. */
package app.tychon.core.calendar;
