package app.tychon.core.model;

/** How a scenario has a risk. */
public enum RiskSwitch {
    /** It cannot strike, unless it has already. What is decided about it is still paid. */
    OFF,
    /** As the plan has it, whatever else the scenario says of its category. */
    NOW,
    /** As it is after its response, whose actions are paid. */
    RESPONSE,
    /** As if nothing were done about it, even where the plan has decided to; nothing is paid. */
    UNANSWERED
}
