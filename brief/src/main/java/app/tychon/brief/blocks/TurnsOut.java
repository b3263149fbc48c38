package app.tychon.brief.blocks;

import app.tychon.brief.drawing.Rails;
import app.tychon.brief.drawing.Rails.Row;
import app.tychon.core.model.Plan;
import app.tychon.core.model.WbsNode;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.Schedule.ScheduledActivity;
import app.tychon.core.simulation.result.BranchResult;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The plan as it may turn out, down to a level of the work breakdown. */
final class TurnsOut {
    private static final int USUAL_DEPTH = 1;
    private static final int USUAL_ROWS = 30;
    private static final int HALF = 50;

    private TurnsOut() {}

    static Content of(Scene scene) {
        List<Row> rows = rows(scene);
        if (rows.isEmpty()) {
            return Content.words(List.of("No branch of the work breakdown holds work."));
        }
        double low = rows.stream().mapToDouble(Row::planStart).min().orElse(0);
        double high = rows.stream()
                .mapToDouble(row -> row.finish()[row.finish().length - 1])
                .max()
                .orElse(1);
        rows.stream()
                .max(Comparator.comparingDouble(row -> scene.odds().work(row.planFinish(), row.sure())))
                .filter(row -> row.sure() > row.planFinish())
                .ifPresent(row -> {
                    scene.fields().always("slip.name", "The branch that may slip most", row::name);
                    scene.fields().always("slip.plan", "When that is planned to end", () -> scene.telling()
                            .date(row.planFinish()));
                    scene.fields().always("slip.finish", "When one can be sure of it", () -> scene.telling()
                            .date(row.sure()));
                });
        List<String> words = scene.where(
                "slip.name",
                "What may slip most is “{slip.name}”: planned to end on {slip.plan}, {level} sure by {slip.finish}.");
        String alt = "When the work of each branch may be under way: "
                + String.join(
                        "; ",
                        rows.stream()
                                .map(row -> row.name() + " planned to end "
                                        + scene.telling().shortDate(row.planFinish())
                                        + ", " + scene.telling().percent(scene.level()) + " sure by "
                                        + scene.telling().shortDate(row.sure()))
                                .toList());
        return new Content(
                words,
                Optional.of(Rails.of(
                        rows,
                        scene.dates(low, high),
                        scene.odds().finish(Plan.PROJECT).target(),
                        alt)),
                Optional.of(grid(scene, rows)),
                List.of(
                        "The line is work as planned; the mist is work as it may turn out, the denser the likelier. The short"
                                + " stroke is where half of all futures have ended, the long one where {level} have."));
    }

    private static List<Row> rows(Scene scene) {
        Gathering gathering = new Gathering(scene);
        gathering.beneath(scene.of().equals(Plan.PROJECT) ? Optional.empty() : Optional.of(scene.of()), 0);
        List<Row> rows = gathering.rows;
        return rows.subList(0, Math.min(rows.size(), scene.rows(USUAL_ROWS)));
    }

    /** Goes down the work breakdown, branch by branch. */
    private static final class Gathering {
        private final Scene scene;
        private final Network network;
        private final Map<String, BranchResult> results = new HashMap<>();
        private final Map<Optional<String>, List<WbsNode>> children = new HashMap<>();
        private final Map<String, ScheduledActivity> planned = new HashMap<>();
        private final List<Row> rows = new ArrayList<>();

        Gathering(Scene scene) {
            this.scene = scene;
            network = scene.ground().compiled().network();
            scene.odds().result().branches().forEach(one -> results.put(one.id(), one));
            scene.plan().wbs().forEach(node -> children.computeIfAbsent(node.parent(), up -> new ArrayList<>())
                    .add(node));
            List<ScheduledActivity> schedule =
                    scene.ground().compiled().schedule().activities();
            for (int i = 0; i < schedule.size(); i++) {
                planned.put(scene.plan().activities().get(i).id(), schedule.get(i));
            }
        }

        void beneath(Optional<String> parent, int level) {
            if (level == scene.block().depth().orElse(USUAL_DEPTH)) {
                return;
            }
            for (WbsNode node : children.getOrDefault(parent, List.of())) {
                BranchResult result = results.get(node.id());
                if (result != null) {
                    rows.add(row(node, result, level));
                    beneath(Optional.of(node.id()), level + 1);
                }
            }
        }

        private Row row(WbsNode node, BranchResult result, int level) {
            double start = Double.POSITIVE_INFINITY;
            double finish = Double.NEGATIVE_INFINITY;
            for (int position : network.branches().beneath(node.id())) {
                if (!network.isHammock(position)) {
                    ScheduledActivity one =
                            planned.get(network.activity(position).id());
                    start = Math.min(start, one.earlyStart());
                    finish = Math.max(finish, one.earlyFinish());
                }
            }
            return new Row(
                    node.id(),
                    node.name(),
                    level,
                    start,
                    finish,
                    result.start(),
                    result.finish(),
                    result.finish()[HALF - 1],
                    result.finish()[(int) Math.round(scene.level() * 100) - 1]);
        }
    }

    private static Grid grid(Scene scene, List<Row> rows) {
        return Grid.of(
                rows.stream()
                        .map(row -> List.of(
                                "\u2003".repeat(row.level()) + row.name(),
                                scene.telling().shortDate(row.planStart()),
                                scene.telling().shortDate(row.planFinish()),
                                scene.telling().shortDate(row.half()),
                                scene.telling().shortDate(row.sure()),
                                scene.telling().between(scene.odds(), row.planFinish(), row.sure())))
                        .toList(),
                "Work",
                "#Planned start",
                "#Planned finish",
                "#P50 finish",
                "#" + scene.percentile() + " finish",
                "#May take longer");
    }
}
