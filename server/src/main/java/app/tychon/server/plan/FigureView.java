package app.tychon.server.plan;

import app.tychon.core.schedule.Network;
import app.tychon.core.simulation.money.CostItem;
import jakarta.annotation.Nullable;
import java.util.List;

/**
 * What a cost line, or a resource at work, comes to as planned, at the durations, dates and prices of the plan now.
 *
 * @param id      code of the line; of a resource at work that of the activity
 * @param resource code of the resource at work; absent for a cost line
 * @param planned all of it, what is spent included
 * @param fixed   the part of it that does not grow with time
 * @param perDay  what the rest comes to a working day; absent where nothing of it grows with time
 */
public record FigureView(String id, @Nullable String resource, double planned, double fixed, @Nullable Double perDay) {

    private static final int MINUTES_PER_HOUR = 60;

    static List<FigureView> of(LoadedPlan plan) {
        return plan.items().stream().map(item -> of(item, plan.network())).toList();
    }

    private static FigureView of(CostItem item, Network network) {
        String[] assignment = item.id().split("\n", 2);
        double planned = item.plannedCost();
        double variable = item.followsTime()
                ? item.amount()
                        * item.variableShare()
                        * item.progressRatio()
                        * item.planned().level()
                : 0;
        double days = item.plannedDuration()
                * item.progressRatio()
                / minutesPerDay(network, item.place().on());
        return new FigureView(
                assignment[0],
                assignment.length > 1 ? assignment[1] : null,
                planned,
                planned - variable,
                variable == 0 || days == 0 ? null : variable / days);
    }

    private static double minutesPerDay(Network network, String on) {
        if (network.branches().isBranch(on)) {
            return network.plan().projectCalendar().hoursPerDay() * MINUTES_PER_HOUR;
        }
        int position = network.position(on);
        return network.activity(position).minutesPerDay(network.calendar(position));
    }
}
