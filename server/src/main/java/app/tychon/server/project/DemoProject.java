package app.tychon.server.project;

import java.util.UUID;

/** The demo's project, which has the same id wherever it is brought in by {@code ./tychon demo}. */
public final class DemoProject {
    public static final UUID ID = UUID.fromString("01900000-0000-7000-8000-00000000de30");

    private DemoProject() {}
}
