package app.tychon.server.rights;

import com.fasterxml.jackson.annotation.JsonProperty;

/** What somebody is in a project. */
public enum Role {
    @JsonProperty("reader")
    READER(Act.READ),
    /** Reads all, and keeps the risks that the register says are theirs. */
    @JsonProperty("risk-owner")
    RISK_OWNER(Act.KEEP_RISKS),
    @JsonProperty("editor")
    EDITOR(Act.EDIT),
    /** Also says who else takes part. */
    @JsonProperty("owner")
    OWNER(Act.OWN);

    private final Act furthest;

    Role(Act furthest) {
        this.furthest = furthest;
    }

    /** Whether they may do that; each may what those before them may. */
    public boolean may(Act act) {
        return act.compareTo(furthest) <= 0;
    }
}
