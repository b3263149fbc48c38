package app.tychon.server.pool;

import com.fasterxml.jackson.annotation.JsonProperty;

/** How far work goes that is asked about again and again while it is done. */
public enum JobState {
    @JsonProperty("working")
    WORKING,
    @JsonProperty("done")
    DONE,
    /** Stopped by somebody; what was done stays. */
    @JsonProperty("stopped")
    STOPPED,
    @JsonProperty("refused")
    REFUSED
}
