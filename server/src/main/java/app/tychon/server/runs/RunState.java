package app.tychon.server.runs;

enum RunState {
    RUNNING,
    DONE,
    /** Stopped by the analyst; what was simulated by then is kept. */
    STOPPED,
    /** The server went down while it ran. */
    INTERRUPTED,
    FAILED
}
