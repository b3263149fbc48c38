package app.tychon.server.project;

import com.fasterxml.jackson.annotation.JsonProperty;

/** Where a project is kept: at hand, put away, or deleted but not yet gone. */
public enum Shelf {
    @JsonProperty("open")
    OPEN,
    @JsonProperty("archived")
    ARCHIVED,
    @JsonProperty("deleted")
    DELETED
}
