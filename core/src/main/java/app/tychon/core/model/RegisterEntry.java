package app.tychon.core.model;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.time.LocalDate;
import java.util.Optional;

/**
 * What a risk register tells of a risk beside what is simulated of it.
 *
 * @param cause         why it may occur; with the event and the consequence it reads as one sentence
 * @param notes         anything else; with line breaks
 * @param from          first day on which it can strike, where that is known
 * @param to            last day on which it can strike
 * @param strategy      what is meant to be done about it, in a word
 * @param closedBecause why it is closed; empty while it is not
 * @param occurred      what it really did, where it has occurred
 * @param score         its place in the scheme of the project
 * @param scoreAfter    its place after its response
 * @param history       past events of its kind, from which its rate and size were fitted
 */
@RecordBuilder
public record RegisterEntry(
        String cause,
        String event,
        String consequence,
        String notes,
        Optional<LocalDate> from,
        Optional<LocalDate> to,
        Optional<Strategy> strategy,
        String closedBecause,
        Optional<Occurrence> occurred,
        Optional<Score> score,
        Optional<Score> scoreAfter,
        Optional<PastEvents> history)
        implements RegisterEntryBuilder.With {
    /** Nothing said. */
    public static final RegisterEntry NONE = new RegisterEntry(
            "",
            "",
            "",
            "",
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            "",
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty());

    /**
     * When a risk struck, and what it took. The estimates of the risk stay as they were, to be read beside it.
     *
     * @param days  working days of the project's calendar, lost by each activity it names
     * @param money in the project's currency
     */
    public record Occurrence(LocalDate on, double days, double money) {}
}
