package app.tychon.server.people;

import java.time.Duration;

/** It was tried too often; says how long to wait. */
class TooManyTries extends RuntimeException {
    private static final long serialVersionUID = 1L;
    private static final int MINUTE = 60;

    private final long seconds;

    TooManyTries(Duration wait) {
        super("Too many tries. Try again in " + words(seconds(wait)) + ".");
        seconds = seconds(wait);
    }

    long seconds() {
        return seconds;
    }

    private static long seconds(Duration wait) {
        return Math.max(1, wait.plusMillis(999).toSeconds());
    }

    private static String words(long seconds) {
        if (seconds < 2 * MINUTE) {
            return seconds == 1 ? "1 second" : seconds + " seconds";
        }
        return (seconds + MINUTE - 1) / MINUTE + " minutes";
    }
}
