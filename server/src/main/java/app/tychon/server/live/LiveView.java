package app.tychon.server.live;

import com.fasterxml.jackson.annotation.JsonProperty;
import jakarta.annotation.Nullable;
import java.util.UUID;

/**
 * Live odds of a project, with what they are odds of.
 *
 * @param revision of the plan they are worked out from
 * @param state updating, live, refined or refused; while updating, the outlook is of an older revision or absent
 * @param run under which the newest simulation that was kept can be read like a recorded run; absent where there is none
 * @param runRevision of the plan that one is of: older than the odds until they are refined
 * @param outlook absent where there is none yet
 * @param first by the short simulation alone: with it the odds of an edit can be compared before they are refined
 * @param refusal why the plan cannot be simulated
 */
public record LiveView(
        long revision,
        State state,
        @Nullable UUID run,
        @Nullable Long runRevision,
        @Nullable Outlook outlook,
        @Nullable Outlook first,
        @Nullable String refusal) {
    public enum State {
        /** Being worked out; nothing here is of the newest plan. */
        @JsonProperty("updating")
        UPDATING,
        /** Of the newest plan, by a short simulation of finish and cost alone. */
        @JsonProperty("live")
        LIVE,
        /** Of the newest plan, by a longer one. */
        @JsonProperty("refined")
        REFINED,
        /** The plan cannot be simulated. */
        @JsonProperty("refused")
        REFUSED
    }
}
