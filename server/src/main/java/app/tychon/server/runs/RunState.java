package app.tychon.server.runs;

import java.util.Locale;

enum RunState {
    RUNNING,
    DONE,
    /** Stopped by the analyst; what was simulated by then is kept. */
    STOPPED,
    /** The server went down while it ran. */
    INTERRUPTED,
    FAILED;

    /** As it is told. */
    String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}
