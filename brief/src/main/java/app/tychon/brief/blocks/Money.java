package app.tychon.brief.blocks;

import app.tychon.brief.drawing.Stair;
import app.tychon.core.analysis.CostStaircase;
import app.tychon.core.analysis.CostStaircase.Cause;
import app.tychon.core.simulation.result.RunResult.CostSamples;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Where the money goes: from the planned cost to the one that one can be sure of, cause by cause. */
final class Money {
    private Money() {}

    static Content of(Scene scene) {
        if (!scene.odds().hasMoney()) {
            return Content.words(List.of("The plan has no money in it."));
        }
        CostSamples cost = scene.odds().result().cost();
        List<CostStaircase.Step> steps = CostStaircase.of(cost, scene.level());
        List<Stair.Step> drawn = new ArrayList<>();
        double before = 0;
        for (CostStaircase.Step step : steps) {
            double change = step.value() - before;
            boolean first = step.cause() == Cause.PLANNED;
            if (first || Math.abs(change) >= 1) {
                drawn.add(new Stair.Step(
                        title(step.cause()),
                        step.value(),
                        scene.telling().money(step.value()),
                        first ? "" : signed(scene, change)));
            }
            if (!first) {
                scene.fields()
                        .always(
                                "cause."
                                        + step.cause()
                                                .name()
                                                .toLowerCase(Locale.ROOT)
                                                .replace('_', '.'),
                                title(step.cause()),
                                () -> scene.telling().money(Math.abs(change)));
            }
            before = step.value();
        }
        String alt = "From the planned cost to what one can be sure of: "
                + String.join(
                        "; ",
                        drawn.stream()
                                .map(step ->
                                        step.name() + " " + (step.change().isEmpty() ? step.words() : step.change()))
                                .toList());
        return new Content(
                List.of(
                        "Of {contingency.cost} between the planned {plan.cost} and the {sure.cost} that one can be {level} sure"
                                + " of, {cause.time.driven} is what longer work costs, {cause.estimate.spread} the spread of amounts, and"
                                + " {cause.risk} what risks add to amounts."),
                Optional.of(Stair.of(drawn, alt)),
                Optional.of(grid(scene, drawn)),
                List.of("Each step is what the cost at {level} grows by when its cause comes in."));
    }

    private static Grid grid(Scene scene, List<Stair.Step> steps) {
        return Grid.of(
                steps.stream()
                        .map(step -> List.of(
                                step.name(), step.change(), scene.telling().exactMoney(step.value())))
                        .toList(),
                "Cause",
                "#Adds",
                "#Cost at " + scene.percentile());
    }

    static String signed(Scene scene, double change) {
        return (change < 0 ? "−" : "+") + scene.telling().money(Math.abs(change));
    }

    private static String title(Cause cause) {
        return switch (cause) {
            case PLANNED -> "As planned";
            case ESTIMATE_SPREAD -> "The spread of amounts";
            case TIME_DRIVEN -> "What longer work costs";
            case RISK -> "What risks add to amounts";
            case ACTIONS -> "Actions that are decided on";
        };
    }
}
