package app.tychon.brief.words;

import app.tychon.brief.ground.Ground;
import app.tychon.brief.ground.Odds;
import app.tychon.brief.ground.Options;
import app.tychon.brief.ground.Options.Option;
import app.tychon.brief.ground.Sight;
import app.tychon.brief.words.Line.Change;
import app.tychon.brief.words.Line.Piece;
import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Action;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Risk;
import app.tychon.core.model.RiskSwitch;
import app.tychon.core.statistics.PercentileInterval;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** The numbers that sentences of a block can hold, by name; each is told only where there is such a number. */
public final class Fields {
    private static final Pattern PERCENTILE = Pattern.compile("p(\\d{1,2})\\.(finish|cost)");
    private static final Pattern SCENARIO = Pattern.compile("scenario\\.(.+)\\.(name|finish|cost|time|now|more|by)");
    private static final double LOW = 0.1;
    private static final double HIGH = 0.9;

    /** A number that a sentence can hold. */
    public record Field(String key, String label, String value) {}

    private record Entry(String label, Supplier<Optional<String>> value) {}

    private final Odds odds;
    private final Telling telling;
    private final String of;
    private final double level;
    private final List<String> scenarios;
    private final Map<String, Entry> entries = new LinkedHashMap<>();

    /**
     * @param of        the project, a branch or an activity
     * @param level     of confidence, 0 to 1
     * @param scenarios of which the best is the option; none for all
     */
    public Fields(Odds odds, Telling telling, String of, double level, List<String> scenarios) {
        this.odds = odds;
        this.telling = telling;
        this.of = of;
        this.level = level;
        this.scenarios = scenarios;
        what();
        finish();
        cost();
        together();
        run();
    }

    private void what() {
        always("of", "What it is about", this::name);
        always("level", "How sure one wants to be", () -> telling.percent(level));
    }

    private String name() {
        Plan plan = odds.plan();
        if (of.equals(Plan.PROJECT)) {
            return plan.project().name();
        }
        return plan.activities().stream()
                .filter(one -> one.id().equals(of))
                .map(one -> one.name())
                .findFirst()
                .or(() -> plan.wbs().stream()
                        .filter(one -> one.id().equals(of))
                        .map(one -> one.name())
                        .findFirst())
                .orElse(of);
    }

    private void finish() {
        always("plan.finish", "The finish as planned", () -> telling.date(date().plan()));
        always("plan.often", "Futures that keep the planned finish", () -> often(date(), date().plan()));
        always("low.finish", "The finish that one in ten futures keeps", () -> telling.date(date().sure(LOW)));
        always("half.finish", "The finish that half of all futures keep", () -> telling.date(date().sure(0.5)));
        always("sure.finish", "The finish one can be sure of", () -> telling.date(date().sure(level)));
        always("high.finish", "The finish that nine in ten keep", () -> telling.date(date().sure(HIGH)));
        always(
                "contingency.time",
                "Days from the planned finish to the sure one",
                () -> days(date().plan(), date().sure(level)));
        put("target.finish", "The target", () -> date().target().map(telling::date));
        put("target.often", "Futures that keep the target", () -> date().target()
                .map(at -> often(date(), at)));
        put("target.time", "Days from the target to the sure finish", () -> date().target()
                .map(at -> days(at, date().sure(level))));
        always("error.time", "How closely the sure finish is known", () -> {
            PercentileInterval interval = date().sample().percentileWithInterval(level);
            double middle = (interval.low() + interval.high()) / 2;
            return days(middle, interval.high());
        });
    }

    private void cost() {
        money("plan.cost", "The cost as planned", Sight::plan);
        put("plan.cost.often", "Futures that keep the planned cost", () -> amount().map(
                        sight -> often(sight, sight.plan())));
        money("low.cost", "The cost that one in ten futures keeps", sight -> sight.sure(LOW));
        money("half.cost", "The cost that half of all futures keep", sight -> sight.sure(0.5));
        money("sure.cost", "The cost one can be sure of", sight -> sight.sure(level));
        money("high.cost", "The cost that nine in ten keep", sight -> sight.sure(HIGH));
        money(
                "contingency.cost",
                "Money from the planned cost to the sure one",
                sight -> Math.abs(sight.sure(level) - sight.plan()));
        put("budget", "The budget", () -> amount().flatMap(Sight::target).map(telling::money));
        put("budget.often", "Futures that keep the budget", () -> amount().flatMap(
                        sight -> sight.target().map(at -> often(sight, at))));
        money("error.cost", "How closely the sure cost is known", sight -> {
            PercentileInterval interval = sight.sample().percentileWithInterval(level);
            return (interval.high() - interval.low()) / 2;
        });
    }

    private void together() {
        put("both.often", "Futures that keep target and budget both", () -> odds.keepingBoth()
                .filter(both -> of.equals(Plan.PROJECT))
                .map(both -> telling.often(both, odds.result().iterations())));
        option(
                "name",
                "What gains most",
                option -> Optional.of(option.scenario().name()));
        option("finish", "The sure finish with it", this::optionFinish);
        option("cost", "The sure cost with it", this::optionCost);
        option("time", "Days it gains", this::optionTime);
        option("now", "What it costs now", this::optionNow);
        option("more", "What it changes of the sure cost", this::optionMore);
        option("by", "When it must begin", this::optionBy);
    }

    private void run() {
        Ground ground = odds.ground();
        put(
                "run",
                "The run",
                () -> ground.run().number() > 0
                        ? Optional.of(telling.whole(ground.run().number()))
                        : Optional.empty());
        always(
                "recorded",
                "When the run was recorded",
                () -> telling.moment(ground.run().recorded()));
        always(
                "iterations",
                "How many futures",
                () -> telling.whole(odds.result().iterations()));
        always("seed", "The seed", () -> Long.toString(odds.result().settings().seed()));
    }

    private void option(String what, String label, Function<Option, Optional<String>> value) {
        put("option." + what, label, () -> best().flatMap(value));
    }

    /** The scenario that gains most of those that the block looks at. */
    public Optional<Option> best() {
        return Options.best(odds.ground(), level, scenarios);
    }

    private Optional<String> optionFinish(Option option) {
        return Optional.of(telling.date(option.odds().finish().percentile(level)));
    }

    private Optional<String> optionCost(Option option) {
        return odds.hasMoney() ? Optional.of(telling.money(option.odds().cost().percentile(level))) : Optional.empty();
    }

    private Optional<String> optionTime(Option option) {
        double before = odds.finish(Plan.PROJECT).sure(level);
        return Optional.of(days(option.odds().finish().percentile(level), before));
    }

    private Optional<String> optionNow(Option option) {
        return option.gap().now() == 0
                ? Optional.empty()
                : Optional.of(telling.money(option.gap().now()));
    }

    private Optional<String> optionMore(Option option) {
        double more = option.gap().cost().change();
        return odds.hasMoney()
                ? Optional.of(telling.money(Math.abs(more)) + (more < 0 ? " less" : " more"))
                : Optional.empty();
    }

    /** The first day of what is to be done about risks that it answers. */
    private Optional<String> optionBy(Option option) {
        return odds.plan().risks().stream()
                .filter(risk -> option.scenario().of(risk) == RiskSwitch.RESPONSE && !risk.isAnswered())
                .flatMap(Fields::planned)
                .map(Action::start)
                .min(LocalDate::compareTo)
                .map(telling::day);
    }

    private static Stream<Action> planned(Risk risk) {
        return risk.response().stream()
                .flatMap(response -> response.keptActions().stream())
                .filter(action -> action.state() == Action.State.PLANNED);
    }

    private Sight date() {
        return odds.finish(of);
    }

    private Optional<Sight> amount() {
        return odds.cost(of);
    }

    private String often(Sight sight, double value) {
        return telling.often(sight.keeping(value), sight.sample().size());
    }

    /** What lies between two instants. */
    public String days(double from, double to) {
        return telling.days(odds.work(from, to) / odds.day(), Math.rint((to - from) / Instants.DAY));
    }

    private void money(String key, String label, Function<Sight, Double> value) {
        put(key, label, () -> amount().map(value).map(telling::money));
    }

    /** A number that there always is. */
    public void always(String key, String label, Supplier<String> value) {
        put(key, label, () -> Optional.of(value.get()));
    }

    /** A number that may be missing. */
    public void put(String key, String label, Supplier<Optional<String>> value) {
        entries.put(key, new Entry(label, value));
    }

    /** What a field says; nothing where there is no such number. */
    public Optional<String> value(String key) {
        Entry entry = entries.get(key);
        if (entry != null) {
            return entry.value().get();
        }
        Matcher percentile = PERCENTILE.matcher(key);
        if (percentile.matches() && Integer.parseInt(percentile.group(1)) > 0) {
            double chance = Integer.parseInt(percentile.group(1)) / 100.0;
            return percentile.group(2).equals("finish")
                    ? Optional.of(telling.date(date().sure(chance)))
                    : amount().map(sight -> telling.money(sight.sure(chance)));
        }
        Matcher scenario = SCENARIO.matcher(key);
        return scenario.matches() ? ofScenario(scenario.group(1), scenario.group(2)) : Optional.empty();
    }

    private Optional<String> ofScenario(String id, String what) {
        Optional<Option> found = Options.scenarios(odds.ground(), level).stream()
                .filter(option -> option.scenario().id().equals(id))
                .findFirst();
        return found.flatMap(option -> switch (what) {
            case "name" -> Optional.of(option.scenario().name());
            case "finish" -> optionFinish(option);
            case "cost" -> optionCost(option);
            case "time" -> optionTime(option);
            case "now" -> optionNow(option);
            case "by" -> optionBy(option);
            default -> optionMore(option);
        });
    }

    /** Whether there is such a number. */
    public boolean has(String key) {
        return value(key).isPresent();
    }

    /** All that are listed and that there are. */
    public List<Field> all() {
        List<Field> all = new ArrayList<>();
        entries.forEach(
                (key, entry) -> entry.value().get().ifPresent(value -> all.add(new Field(key, entry.label(), value))));
        return all;
    }

    /**
     * A paragraph with its numbers.
     *
     * @param seen what fields said when the words were written; none where nobody has typed them
     */
    public Line line(String template, Map<String, String> seen) {
        List<Piece> pieces = new ArrayList<>();
        List<Change> changed = new ArrayList<>();
        Template parts = Template.of(template);
        for (Template.Part part : parts.parts()) {
            if (!part.isField()) {
                pieces.add(new Piece(part.words(), "", false));
                continue;
            }
            Optional<String> value = value(part.field());
            pieces.add(new Piece(value.orElse("[" + part.field() + "]"), part.field(), value.isEmpty()));
        }
        for (String field : parts.fields()) {
            String was = seen.get(field);
            String now = value(field).orElse("nothing");
            if (was != null && !was.equals(now)) {
                changed.add(new Change(field, was, now));
            }
        }
        return new Line(template, pieces, changed);
    }
}
