package app.tychon.brief.blocks;

import app.tychon.brief.ground.Sight;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** How much to hold beside the plan for each level of confidence. */
final class Held {
    private static final int[] LEVELS = {50, 60, 70, 75, 80, 85, 90, 95};

    private Held() {}

    static Content of(Scene scene) {
        Sight finish = scene.odds().finish(scene.of());
        Optional<Sight> cost = scene.odds().cost(scene.of());
        List<List<String>> rows = new ArrayList<>();
        for (int percent : LEVELS) {
            double level = percent / 100.0;
            List<String> row = new ArrayList<>(List.of(
                    scene.telling().percent(level),
                    scene.telling().shortDate(finish.sure(level)),
                    sign(finish.sure(level) - finish.plan())
                            + scene.telling().between(scene.odds(), finish.plan(), finish.sure(level))));
            cost.ifPresent(sight -> {
                row.add(scene.telling().exactMoney(sight.sure(level)));
                row.add(sign(sight.sure(level) - sight.plan())
                        + scene.telling().exactMoney(Math.abs(sight.sure(level) - sight.plan())));
            });
            rows.add(row);
        }
        Grid grid = cost.isPresent()
                ? Grid.of(rows, "#To be sure", "#Finish by", "#Beyond the plan", "#Cost up to", "#Beyond the plan")
                : Grid.of(rows, "#To be sure", "#Finish by", "#Beyond the plan");
        return new Content(
                List.of("To be {level} sure, hold {contingency.time}"
                        + (cost.isPresent() ? " and {contingency.cost}" : "") + " beside the plan."),
                Optional.empty(),
                Optional.of(grid),
                List.of());
    }

    private static String sign(double value) {
        return value < 0 ? "−" : "";
    }
}
