package app.tychon.core.model;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.Optional;

/**
 * Money on an activity or hammock, a WBS branch or the whole project.
 *
 * @param on         id of an activity or a WBS branch, or {@link Plan#PROJECT}
 * @param amount     planned amount in the project's currency, at the prices of the project's start
 * @param perDay     what it costs beside the amount for each working day that is planned now of what it stands on, so that it
 *     grows with the plan, too; the amount is all due then
 * @param fixedShare share of the amount, 0 to 1, that does not grow with time; the rest is proportional to duration
 * @param grade      id of the grade of spread it has of its own; where it has none, that of the branch it stands in counts
 * @param estimate   how uncertain the amount is, for both shares alike; goes before any grade
 * @param category   in the project's own cost breakdown, levels apart by a slash; empty for none
 * @param instalments when it falls due, in parts; where there are any, they go before the timing
 * @param spent      what has been paid up to the data date
 * @param toGo       what is still to be paid, as planned now; unless given, what of the planned amount is not spent
 */
@RecordBuilder
public record CostLine(
        String id,
        String name,
        String on,
        double amount,
        Optional<Double> perDay,
        double fixedShare,
        CostTiming timing,
        Optional<String> grade,
        Optional<Estimate> estimate,
        String category,
        List<Instalment> instalments,
        Optional<Double> spent,
        Optional<Double> toGo)
        implements CostLineBuilder.With {
    /** What a line has when nothing but its amount is known. */
    public static CostLine of(String id, String name, String on, double amount) {
        return new CostLine(
                id,
                name,
                on,
                amount,
                Optional.empty(),
                1,
                CostTiming.EVEN,
                Optional.empty(),
                Optional.empty(),
                "",
                List.of(),
                Optional.empty(),
                Optional.empty());
    }

    public CostLine {
        instalments = List.copyOf(instalments);
    }

    /** The same without a rate a day: what so many planned days come to is in the amount, as the part that grows with time. */
    public CostLine over(double days) {
        if (perDay.isEmpty()) {
            return this;
        }
        double total = amount + perDay.get() * days;
        return withPerDay(Optional.empty())
                .withAmount(total)
                .withFixedShare(total == 0 ? 1 : Math.min(1, Math.max(0, amount / total)));
    }

    /** Whether it is known what has been paid of it, or what is still to be. */
    public boolean isUnderWay() {
        return spent.isPresent() || toGo.isPresent();
    }
}
