package app.tychon.server.effects;

import com.fasterxml.jackson.annotation.JsonProperty;
import jakarta.annotation.Nullable;
import java.util.List;

/**
 * What each risk of a project does to the finish and the cost kept with its level of confidence.
 *
 * @param revision of the plan they are worked out from
 * @param level percent
 * @param iterations futures that they rest on so far; 0 while there are none
 * @param total futures that they will rest on
 * @param all what the whole register adds; absent while there is nothing, and where it is empty
 * @param rows strongest first
 * @param refusal why they cannot be worked out
 */
public record EffectsView(
        long revision,
        State state,
        int level,
        int iterations,
        int total,
        @Nullable Movement all,
        List<RiskRow> rows,
        @Nullable String refusal) {
    public enum State {
        /** Being worked out; what there is rests on some of the futures. */
        @JsonProperty("working")
        WORKING,
        @JsonProperty("done")
        DONE,
        @JsonProperty("refused")
        REFUSED
    }

    /**
     * One risk.
     *
     * @param struck share of futures, 0 to 1, in which it makes a difference
     * @param moved what it adds as it stands: the percentile with everything less that with it switched off
     * @param response what its response changes, or has changed where it is decided on, actions included; absent where it
     *     has none
     */
    public record RiskRow(String risk, double struck, Movement moved, @Nullable Movement response) {}

    /**
     * How far the percentiles of finish and cost move.
     *
     * @param days working days of the project's calendar
     * @param daysError half-width of the 95 % interval; absent where the futures are too few for one
     * @param money in the project's currency
     * @param moneyError likewise
     */
    public record Movement(double days, @Nullable Double daysError, double money, @Nullable Double moneyError) {}
}
