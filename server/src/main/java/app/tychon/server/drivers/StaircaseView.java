package app.tychon.server.drivers;

import app.tychon.core.analysis.CostStaircase;
import app.tychon.core.analysis.Staircase;
import app.tychon.core.simulation.Aim;
import app.tychon.core.simulation.settings.RunMonitor;
import jakarta.annotation.Nullable;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.DoubleFunction;

/**
 * From the plan to a percentile, one cause after the other. Changes are in working days, or in money; they add up.
 *
 * @param level  percent
 * @param asItIs how many steps lead to what is to be expected of the plan as it is, the first included
 * @param target what was promised; absent where nothing was
 */
record StaircaseView(
        double level, int asItIs, List<StairStep> steps, @Nullable GoalValue target, @Nullable Double targetChange) {

    /**
     * One step.
     *
     * @param cause  what it adds, in the words of the calculation, as in longestPath
     * @param value  where it ends
     * @param change what it adds
     * @param opens  whether there is something in it to look at one by one
     */
    record StairStep(String cause, GoalValue value, double change, boolean opens) {}

    /** One thing in a step, and what it would add alone. */
    record StairPart(InputView input, double change) {}

    /**
     * What is in a step.
     *
     * @param parts   the strongest first
     * @param overlap what makes them add up to the step
     */
    record StairInside(String cause, double change, List<StairPart> parts, double overlap) {}

    private record Landing(String cause, double value, boolean opens) {}

    private record Asked(Aim aim, double level) {}

    /** Worked out once, where all that simulates takes its turn. */
    static StaircaseView of(Goal goal, double level) {
        return goal.run().once(new Asked(goal.aim(), level), () -> {
            GoalValue planned = goal.tellPlanned();
            DoubleFunction<GoalValue> telling = goal.telling(level);
            return goal.run()
                    .calculate(
                            goal.run().result().iterations(),
                            (ready, monitor) -> of(goal, level, planned, telling, monitor));
        });
    }

    private static StaircaseView of(
            Goal goal, double level, GoalValue planned, DoubleFunction<GoalValue> telling, RunMonitor monitor) {
        boolean byMoney = goal.aim().equals(Aim.COST);
        List<Landing> landings = byMoney ? money(goal, level) : causes(goal, level, monitor);
        List<StairStep> steps = new ArrayList<>();
        for (int i = 0; i < landings.size(); i++) {
            Landing landing = landings.get(i);
            double before = i == 0 ? landing.value() : landings.get(i - 1).value();
            steps.add(new StairStep(
                    landing.cause(),
                    i == 0 ? planned : telling.apply(landing.value()),
                    (landing.value() - before) / goal.unit(),
                    landing.opens()));
        }
        int asItIs = byMoney ? steps.size() : Staircase.Cause.OPPORTUNITIES.ordinal() + 1;
        double plan = landings.get(0).value();
        return new StaircaseView(
                Goal.percent(level),
                asItIs,
                steps,
                goal.target().map(target -> goal.promised()).orElse(null),
                goal.target().map(target -> (target - plan) / goal.unit()).orElse(null));
    }

    private static List<Landing> money(Goal goal, double level) {
        return CostStaircase.of(goal.run().result().cost(), level).stream()
                .map(step -> new Landing(
                        name(step.cause()),
                        step.value(),
                        step.cause() != CostStaircase.Cause.PLANNED && step.cause() != CostStaircase.Cause.ACTIONS))
                .toList();
    }

    private static List<Landing> causes(Goal goal, double level, RunMonitor monitor) {
        return Staircase.of(goal.run().compiled(), goal.aim(), goal.settings(), level).steps(monitor).stream()
                .map(step -> new Landing(
                        name(step.cause()),
                        step.value(),
                        step.cause() != Staircase.Cause.PLAN && step.cause() != Staircase.Cause.CORRELATION))
                .toList();
    }

    /** As in longestPath. */
    static String name(Enum<?> cause) {
        String[] words = cause.name().toLowerCase(Locale.ROOT).split("_");
        StringBuilder name = new StringBuilder(words[0]);
        for (int i = 1; i < words.length; i++) {
            name.append(Character.toUpperCase(words[i].charAt(0))).append(words[i].substring(1));
        }
        return name.toString();
    }
}
