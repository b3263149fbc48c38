package app.tychon.brief.blocks;

import app.tychon.brief.drawing.Frontier;
import app.tychon.brief.drawing.Frontier.Point;
import app.tychon.brief.ground.Options;
import app.tychon.core.model.Plan;
import app.tychon.core.scenario.BestSets;
import app.tychon.core.scenario.BestSets.Best;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Collectors;

/** Which responses buy most of the finish, for each amount that is spent on them. */
final class Bought {
    private static final int USUAL_ROWS = 8;

    private Bought() {}

    static Content of(Scene scene) {
        if (BestSets.responses(scene.plan()).isEmpty()) {
            return Content.words(List.of("No open risk has a response that is not decided on yet."));
        }
        BestSets.Found found = Options.sets(scene.ground(), scene.level());
        List<Best> best = found.best();
        Best most = best.get(best.size() - 1);
        scene.fields().always("fund.cost", "What the best set costs", () -> scene.telling()
                .money(most.cost()));
        scene.fields().always("fund.time", "Days it gains", () -> gained(scene, most));
        scene.fields().always("fund.finish", "The sure finish with it", () -> finish(scene, most));
        scene.fields().always("fund.names", "The responses in it", () -> names(scene.plan(), most));
        List<String> words = most.change() < 0
                ? List.of(
                        "{fund.cost} buys most: {fund.time}, so that one could be {level} sure of {fund.finish}. It goes to"
                                + " {fund.names}.")
                : List.of("No response that could be taken brings the date forward.");
        double low =
                found.tried().stream().mapToDouble(BestSets.Tried::value).min().orElse(0);
        double high =
                found.tried().stream().mapToDouble(BestSets.Tried::value).max().orElse(1);
        double dear =
                found.tried().stream().mapToDouble(BestSets.Tried::cost).max().orElse(1);
        String alt = "The best set for each amount: "
                + best.stream()
                        .map(one -> scene.telling().money(one.cost()) + " " + finish(scene, one))
                        .collect(Collectors.joining("; "));
        return new Content(
                words,
                Optional.of(Frontier.of(
                        best.stream()
                                .map(one -> point(scene, one.cost(), one.value()))
                                .toList(),
                        found.tried().stream()
                                .map(one -> point(scene, one.cost(), one.value()))
                                .toList(),
                        scene.amounts(0, dear),
                        scene.dates(instant(scene, low), instant(scene, high)),
                        "spent on responses",
                        alt)),
                Optional.of(grid(scene, best)),
                List.of((found.complete()
                                ? "Every set of responses was tried, "
                                : "Sets that adding and dropping one response at a time lead to were tried, ")
                        + scene.telling().whole(found.tried().size())
                        + " in all; each step of the stair is the best for its"
                        + " money."));
    }

    private static Point point(Scene scene, double cost, double duration) {
        return new Point(cost, instant(scene, duration));
    }

    /** When work ends that takes so many working minutes of the project. */
    private static double instant(Scene scene, double duration) {
        return scene.ground().compiled().network().frame().endOf(duration);
    }

    private static String finish(Scene scene, Best best) {
        return scene.telling().date(instant(scene, best.value()));
    }

    private static String gained(Scene scene, Best best) {
        return scene.telling().workingDays(best.change() / scene.odds().day());
    }

    private static String names(Plan plan, Best best) {
        return new TreeSet<>(best.options())
                .stream()
                        .map(id -> plan.risks().stream()
                                .filter(risk -> risk.id().equals(id))
                                .map(risk -> "“" + risk.title() + "”")
                                .findFirst()
                                .orElse(id))
                        .collect(Collectors.joining(", "));
    }

    private static Grid grid(Scene scene, List<Best> best) {
        List<List<String>> rows = new ArrayList<>();
        int skipped = Math.max(0, best.size() - scene.rows(USUAL_ROWS));
        for (Best one : best.subList(skipped, best.size())) {
            rows.add(List.of(
                    scene.telling().exactMoney(one.cost()),
                    one.options().isEmpty() ? "none" : names(scene.plan(), one),
                    finish(scene, one),
                    one.change() == 0 ? "–" : gained(scene, one)));
        }
        return Grid.of(rows, "#Spent", "On the responses to", "#" + scene.percentile() + " finish", "#Gains");
    }
}
