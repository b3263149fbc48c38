package app.tychon.server.drivers;

import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Activity;
import app.tychon.core.model.Plan;
import app.tychon.core.model.WbsNode;
import app.tychon.core.simulation.Aim;
import app.tychon.core.simulation.Inputs;
import app.tychon.core.simulation.result.Output;
import app.tychon.core.simulation.settings.Input;
import app.tychon.core.simulation.settings.Input.Key;
import app.tychon.core.statistics.Sample;
import app.tychon.server.odds.Asked;
import app.tychon.server.odds.Opened;
import java.util.Arrays;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Stream;

/**
 * One of two quantities that are held against each other: an input, or an output.
 *
 * @param key    {@code estimate:S20:0} for an input; {@code finish:project}, {@code duration:S20} for an output
 * @param unit   date, day, money, strike, factor or score
 * @param values in days or money, one a future; of a date, working days of the project's calendar
 * @param told   the same as they are told: of a date, milliseconds since 1970
 * @param usual  where it is cut when nothing is said
 */
record Side(String key, String name, String unit, double[] values, double[] told, double usual) {
    private static final Set<String> OUTPUTS = Set.of("finish", "start", "duration", "cost");
    private static final double MILLIS = 60_000;
    private static final double USUAL_LEVEL = 0.8;

    /** @throws IllegalArgumentException where it names nothing of this plan */
    static Side of(Opened run, String key) {
        int colon = key.indexOf(':');
        String what = colon < 0 ? key : key.substring(0, colon);
        return OUTPUTS.contains(what)
                ? output(run, key, new Asked(what, colon < 0 ? null : key.substring(colon + 1)))
                : input(run, InputView.key(key));
    }

    private static Side output(Opened run, String key, Asked asked) {
        Goal goal = Goal.of(run, asked);
        double[] values =
                Arrays.stream(goal.values()).map(value -> value / goal.unit()).toArray();
        String name = name(run.plan(), asked);
        if (!goal.aim().quantity().isDate()) {
            String unit = goal.aim().isMoney() ? "money" : "day";
            double usual = goal.target().map(target -> target / goal.unit()).orElseGet(() -> level(values));
            return new Side(key, name, unit, values, values, usual);
        }
        // To the minute, as dates are told.
        double[] told = Arrays.stream(instants(run, asked, goal))
                .map(minutes -> Math.rint(minutes) * MILLIS)
                .toArray();
        double usual = asked.isProject() && goal.target().isPresent()
                ? Instants.of(run.plan().project().targets().finish().orElseThrow()) * MILLIS
                : level(told);
        return new Side(key, name, "date", values, told, usual);
    }

    private static double[] instants(Opened run, Asked asked, Goal goal) {
        boolean finish = goal.aim().quantity() == Aim.Quantity.FINISH;
        if (asked.isProject() && finish) {
            return run.result().finish();
        }
        Output output = run.output(asked.item());
        return finish ? output.finish() : output.start();
    }

    private static String name(Plan plan, Asked asked) {
        String of = Stream.concat(
                        plan.activities().stream()
                                .filter(one -> one.id().equals(asked.item()))
                                .map(Activity::name),
                        plan.wbs().stream()
                                .filter(one -> one.id().equals(asked.item()))
                                .map(WbsNode::name))
                .findFirst()
                .orElse("the project");
        String what = asked.quantity("finish");
        return what.substring(0, 1).toUpperCase(Locale.ROOT) + what.substring(1) + " of " + of;
    }

    private static Side input(Opened run, Key key) {
        Goal goal = Goal.of(run, new Asked(null, null));
        Inputs inputs = goal.inputs();
        Input input = Stream.of(new Grains(true, false), new Grains(false, true))
                .flatMap(grains -> inputs.all(grains.of(goal)).stream())
                .filter(one -> one.key().kind() == key.kind() && one.id().equals(key.id()))
                .filter(one -> one.kind() == Input.Kind.RISK || one.key().impact() == key.impact())
                .findFirst()
                .map(one -> new Input(key, one.name()))
                .orElseThrow(() -> new IllegalArgumentException(
                        "\"" + InputView.text(key) + "\" is no uncertain input of this plan"));
        InputUnits units = new InputUnits(run.plan());
        double each = units.each(input);
        int count = run.result().iterations();
        double[] values = Arrays.stream(inputs.sample(input, goal.settings(), count))
                .map(value -> value / each)
                .toArray();
        String name = new InputView.Words(run.plan()).of(input).name();
        boolean struck = input.kind() == Input.Kind.RISK || input.kind() == Input.Kind.OCCURRENCE;
        return new Side(InputView.text(key), name, units.of(input), values, values, struck ? 0 : level(values));
    }

    private static double level(double[] values) {
        return Sample.of(values).percentile(USUAL_LEVEL);
    }
}
