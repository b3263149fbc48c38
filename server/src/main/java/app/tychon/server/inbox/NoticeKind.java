package app.tychon.server.inbox;

import com.fasterxml.jackson.annotation.JsonProperty;

/** Why something waits for somebody. */
public enum NoticeKind {
    /** They were named in a comment. */
    @JsonProperty("mention")
    MENTION,
    /** A comment of theirs was answered. */
    @JsonProperty("answer")
    ANSWER,
    /** They are asked to confirm something. */
    @JsonProperty("ask")
    ASK,
    /** Something that they asked for was confirmed. */
    @JsonProperty("confirmed")
    CONFIRMED,
    /** Something that they asked for does not hold, as its owner says. */
    @JsonProperty("declined")
    DECLINED
}
