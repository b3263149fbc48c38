package app.tychon.core.register.check;

/** What the risk check looks for. */
public enum RiskFault {
    /** A risk that is open and does nothing. */
    NO_EFFECT,
    /** An effect that strikes only what is finished, so that it does nothing any more. */
    NOTHING_LEFT,
    /** A chance of nothing or of certainty: no risk, but a fact. */
    NO_CHANCE,
    /** An opportunity that adds, or a threat that saves. */
    WRONG_WAY,
    /** Two risks that give the same cause. */
    SAME_CAUSE,
    /** An effect on work whose own range is wide and speaks of the same. */
    COUNTED_TWICE,
    /** An open risk whose days have passed. */
    PAST,
    /** A response that costs money and saves neither days nor money. */
    DEAR_RESPONSE,
    /** An action that should be done by now. */
    OVERDUE,
    /** Nobody to ask. */
    NO_OWNER
}
