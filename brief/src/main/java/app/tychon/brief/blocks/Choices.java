package app.tychon.brief.blocks;

import app.tychon.brief.drawing.Drawing;
import app.tychon.brief.drawing.Spans;
import app.tychon.brief.drawing.Spans.Column;
import app.tychon.brief.drawing.Spans.Span;
import app.tychon.brief.ground.Options;
import app.tychon.brief.ground.Options.Option;
import app.tychon.brief.ground.Sight;
import app.tychon.core.model.Plan;
import app.tychon.core.statistics.Sample;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleFunction;

/** What scenarios would change. */
final class Choices {
    private static final double LOW = 0.1;
    private static final double HIGH = 0.9;

    private Choices() {}

    static Content of(Scene scene) {
        List<Option> options = Options.scenarios(scene.ground(), scene.level()).stream()
                .filter(option -> scene.block().scenarios().isEmpty()
                        || scene.block().scenarios().contains(option.scenario().id()))
                .limit(scene.rows(12))
                .toList();
        if (options.isEmpty()) {
            return Content.words(List.of("The plan has no scenarios to compare with."));
        }
        boolean money = scene.odds().hasMoney();
        List<String> words = scene.where(
                "option.name",
                "“{option.name}” gains most: one could be {level} sure {option.time} sooner"
                        + (scene.fields().has("option.now") ? ", for {option.now} spent now" : "")
                        + (money ? ". The cost one can be sure of becomes {option.cost}, {option.more}." : "."));
        return new Content(
                words.isEmpty() ? List.of("None of them brings the date one can be {level} sure of forward.") : words,
                Optional.of(drawing(scene, options, money)),
                Optional.of(grid(scene, options, money)),
                List.of(
                        "Each line reaches from the lowest to the highest tenth of all futures; the short stroke is the middle, the"
                                + " long one what one can be {level} sure of. All are simulated with the same chances, so what differs"
                                + " is what the choice does."));
    }

    private static Drawing drawing(Scene scene, List<Option> options, boolean money) {
        List<Column> columns = new ArrayList<>();
        Sight finish = scene.odds().finish(Plan.PROJECT);
        columns.add(new Column("finish", "Finish", finish.target()));
        Optional<Sight> cost = scene.odds().cost(Plan.PROJECT);
        cost.ifPresent(sight -> columns.add(new Column("cost", "Cost", sight.target())));
        List<Spans.Row> rows = new ArrayList<>();
        List<Span> own = new ArrayList<>();
        own.add(span(scene, finish.sample(), scene.telling()::shortDate));
        cost.ifPresent(sight -> own.add(span(scene, sight.sample(), scene.telling()::money)));
        rows.add(new Spans.Row("The plan as it stands", true, own));
        for (Option option : options) {
            List<Span> spans = new ArrayList<>();
            spans.add(span(scene, option.odds().finish(), scene.telling()::shortDate));
            if (money) {
                spans.add(span(scene, option.odds().cost(), scene.telling()::money));
            }
            rows.add(new Spans.Row(option.scenario().name(), false, spans));
        }
        String alt = scene.percentile() + " of the plan and its scenarios: "
                + String.join(
                        "; ",
                        rows.stream()
                                .map(row -> row.name() + " "
                                        + String.join(
                                                ", ",
                                                row.spans().stream()
                                                        .map(Span::words)
                                                        .toList()))
                                .toList());
        return Spans.of(columns, rows, alt);
    }

    private static Span span(Scene scene, Sample sample, DoubleFunction<String> tell) {
        double sure = sample.percentile(scene.level());
        return new Span(
                sample.percentile(LOW), sample.percentile(0.5), sample.percentile(HIGH), sure, tell.apply(sure));
    }

    private static Grid grid(Scene scene, List<Option> options, boolean money) {
        Sight finish = scene.odds().finish(Plan.PROJECT);
        Optional<Sight> cost = scene.odds().cost(Plan.PROJECT);
        List<List<String>> rows = new ArrayList<>();
        List<String> own = new ArrayList<>(
                List.of("The plan as it stands", scene.telling().shortDate(finish.sure(scene.level())), "", ""));
        cost.ifPresent(sight -> own.addAll(List.of(scene.telling().money(sight.sure(scene.level())), "")));
        rows.add(own);
        for (Option option : options) {
            double days = option.gap().duration().change() / scene.odds().day();
            List<String> row = new ArrayList<>(List.of(
                    option.scenario().name(),
                    scene.telling().shortDate(option.odds().finish().percentile(scene.level())),
                    days == 0 ? "no change" : scene.telling().workingDays(days) + (days < 0 ? " sooner" : " later"),
                    option.gap().now() == 0
                            ? "–"
                            : scene.telling().money(option.gap().now())));
            if (money) {
                row.add(scene.telling().money(option.odds().cost().percentile(scene.level())));
                row.add(Money.signed(scene, option.gap().cost().change()));
            }
            rows.add(row);
        }
        return money
                ? Grid.of(
                        rows,
                        "Choice",
                        "#" + scene.percentile() + " finish",
                        "#Against the plan",
                        "#Costs now",
                        "#" + scene.percentile() + " cost",
                        "#Against the plan")
                : Grid.of(rows, "Choice", "#" + scene.percentile() + " finish", "#Against the plan", "#Costs now");
    }
}
