package app.tychon.exchange.calendar;

/** A file out of which no days off can be read; the message says why, in words. */
public final class UnreadableCalendarException extends Exception {
    private static final long serialVersionUID = 1L;

    public UnreadableCalendarException(String message) {
        super(message);
    }
}
