/** Working calendars in and out of iCalendar files (RFC 5545). */
package app.tychon.exchange.calendar;
