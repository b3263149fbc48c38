package app.tychon.brief.words;

import app.tychon.brief.ground.Ground;
import app.tychon.brief.ground.Odds;
import app.tychon.brief.ground.Sight;
import app.tychon.core.model.Plan;
import app.tychon.core.statistics.PercentileInterval;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What can be said of the finish and the cost of something, and of the run they are out of. */
final class OddsFields {
    private static final Pattern PERCENTILE = Pattern.compile("p([1-9]\\d?)\\.(finish|cost)");
    private static final double LOW = 0.1;
    private static final double HIGH = 0.9;

    private final Fields fields;
    private final Odds odds;
    private final Telling telling;
    private final String of;
    private final double level;

    private OddsFields(Fields fields, Odds odds, Telling telling, String of, double level) {
        this.fields = fields;
        this.odds = odds;
        this.telling = telling;
        this.of = of;
        this.level = level;
    }

    /**
     * @param of    the project, a branch or an activity
     * @param level of confidence, 0 to 1
     */
    static void into(Fields fields, Odds odds, Telling telling, String of, double level) {
        OddsFields all = new OddsFields(fields, odds, telling, of, level);
        fields.always("of", "What it is about", () -> odds.name(of));
        fields.always("level", "How sure one wants to be", () -> telling.percent(level));
        all.finish();
        all.cost();
        all.both();
        all.run();
        fields.pattern(PERCENTILE, all::percentile);
    }

    private void finish() {
        date("plan.finish", "The finish as planned", Sight::plan);
        fields.always("plan.often", "Futures that keep the planned finish", () -> often(date(), date().plan()));
        date("low.finish", "The finish that one in ten futures keeps", sight -> sight.sure(LOW));
        date("half.finish", "The finish that half of all futures keep", sight -> sight.sure(0.5));
        date("sure.finish", "The finish one can be sure of", sight -> sight.sure(level));
        date("high.finish", "The finish that nine in ten keep", sight -> sight.sure(HIGH));
        fields.always(
                "contingency.time",
                "Days from the planned finish to the sure one",
                () -> telling.between(odds, date().plan(), date().sure(level)));
        fields.put("target.finish", "The target", () -> date().target().map(telling::date));
        fields.put("target.often", "Futures that keep the target", () -> date().target()
                .map(at -> often(date(), at)));
        fields.put("target.time", "Days from the target to the sure finish", () -> date().target()
                .map(at -> telling.between(odds, at, date().sure(level))));
        fields.always("error.time", "How closely the sure finish is known", () -> {
            PercentileInterval interval = date().sample().percentileWithInterval(level);
            return telling.between(odds, (interval.low() + interval.high()) / 2, interval.high());
        });
    }

    private void cost() {
        money("plan.cost", "The cost as planned", Sight::plan);
        fields.put("plan.cost.often", "Futures that keep the planned cost", () -> amount().map(
                        sight -> often(sight, sight.plan())));
        money("low.cost", "The cost that one in ten futures keeps", sight -> sight.sure(LOW));
        money("half.cost", "The cost that half of all futures keep", sight -> sight.sure(0.5));
        money("sure.cost", "The cost one can be sure of", sight -> sight.sure(level));
        money("high.cost", "The cost that nine in ten keep", sight -> sight.sure(HIGH));
        money(
                "contingency.cost",
                "Money from the planned cost to the sure one",
                sight -> Math.abs(sight.sure(level) - sight.plan()));
        fields.put("budget", "The budget", () -> amount().flatMap(Sight::target).map(telling::money));
        fields.put("budget.often", "Futures that keep the budget", () -> amount().flatMap(
                        sight -> sight.target().map(at -> often(sight, at))));
        money("error.cost", "How closely the sure cost is known", sight -> {
            PercentileInterval interval = sight.sample().percentileWithInterval(level);
            return (interval.high() - interval.low()) / 2;
        });
    }

    private void both() {
        fields.put("both.often", "Futures that keep target and budget both", () -> odds.keepingBoth()
                .filter(both -> of.equals(Plan.PROJECT))
                .map(both -> telling.often(both, odds.result().iterations())));
    }

    private void run() {
        Ground.Run run = odds.ground().run();
        fields.put(
                "run", "The run", () -> run.number() > 0 ? Optional.of(telling.whole(run.number())) : Optional.empty());
        fields.always(
                "recorded",
                "When the run was recorded",
                () -> telling.day(run.recorded().toLocalDate()));
        fields.always(
                "iterations",
                "How many futures",
                () -> telling.whole(odds.result().iterations()));
        fields.always(
                "seed", "The seed", () -> Long.toString(odds.result().settings().seed()));
    }

    private Optional<String> percentile(Matcher key) {
        double chance = Integer.parseInt(key.group(1)) / 100.0;
        return key.group(2).equals("finish")
                ? Optional.of(telling.date(date().sure(chance)))
                : amount().map(sight -> telling.money(sight.sure(chance)));
    }

    private Sight date() {
        return odds.finish(of);
    }

    private Optional<Sight> amount() {
        return odds.cost(of);
    }

    private void date(String key, String label, Function<Sight, Double> value) {
        fields.always(key, label, () -> telling.date(value.apply(date())));
    }

    private void money(String key, String label, Function<Sight, Double> value) {
        fields.put(key, label, () -> amount().map(value).map(telling::money));
    }

    private String often(Sight sight, double value) {
        return telling.often(sight.keeping(value), sight.sample().size());
    }
}
