package app.tychon.server.programmes;

import com.fasterxml.jackson.annotation.JsonProperty;

/** What a project's owner lets those see of it in a programme who may not read it. */
public enum Shown {
    /** That it takes part; what it does to the whole is in the whole. */
    @JsonProperty("nothing")
    NOTHING,
    /** Its name, its odds, and when its milestones are reached. */
    @JsonProperty("milestones")
    MILESTONES
}
