package app.tychon.server.standings;

import java.time.LocalDateTime;

/** When a milestone is reached. */
record MilestoneReach(String name, Reach<LocalDateTime> finish) {}
