package app.tychon.brief.blocks;

import app.tychon.brief.drawing.Rails;
import app.tychon.brief.drawing.Rails.Row;
import app.tychon.core.calendar.Instants;
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
        double high = rows.stream().mapToDouble(row -> row.finish()[98]).max().orElse(1);
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
        Map<String, BranchResult> results = new HashMap<>();
        scene.odds().result().branches().forEach(one -> results.put(one.id(), one));
        Map<Optional<String>, List<WbsNode>> beneath = new HashMap<>();
        scene.plan().wbs().forEach(node -> beneath.computeIfAbsent(node.parent(), up -> new ArrayList<>())
                .add(node));
        List<Row> rows = new ArrayList<>();
        Optional<String> root = scene.of().equals(Plan.PROJECT) ? Optional.empty() : Optional.of(scene.of());
        int depth = scene.block().depth().orElse(USUAL_DEPTH);
        add(scene, beneath, results, root, 0, depth, rows);
        return rows.subList(0, Math.min(rows.size(), scene.rows(USUAL_ROWS)));
    }

    private static void add(
            Scene scene,
            Map<Optional<String>, List<WbsNode>> beneath,
            Map<String, BranchResult> results,
            Optional<String> parent,
            int level,
            int depth,
            List<Row> rows) {
        if (level == depth) {
            return;
        }
        for (WbsNode node : beneath.getOrDefault(parent, List.of())) {
            BranchResult result = results.get(node.id());
            if (result != null) {
                rows.add(row(scene, node, result, level));
                add(scene, beneath, results, Optional.of(node.id()), level + 1, depth, rows);
            }
        }
    }

    private static Row row(Scene scene, WbsNode node, BranchResult result, int level) {
        Network network = scene.ground().compiled().network();
        List<ScheduledActivity> planned = scene.ground().compiled().schedule().activities();
        Map<String, Integer> places = new HashMap<>();
        for (int i = 0; i < scene.plan().activities().size(); i++) {
            places.put(scene.plan().activities().get(i).id(), i);
        }
        double start = Double.POSITIVE_INFINITY;
        double finish = Double.NEGATIVE_INFINITY;
        for (int position : network.branches().beneath(node.id())) {
            if (!network.isHammock(position)) {
                ScheduledActivity one =
                        planned.get(places.get(network.activity(position).id()));
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

    private static Grid grid(Scene scene, List<Row> rows) {
        return Grid.of(
                rows.stream()
                        .map(row -> List.of(
                                "\u2003".repeat(row.level()) + row.name(),
                                scene.telling().shortDate(row.planStart()),
                                scene.telling().shortDate(row.planFinish()),
                                scene.telling().shortDate(row.half()),
                                scene.telling().shortDate(row.sure()),
                                scene.telling()
                                        .days(
                                                scene.odds().work(row.planFinish(), row.sure())
                                                        / scene.odds().day(),
                                                (row.sure() - row.planFinish()) / Instants.DAY)))
                        .toList(),
                "Work",
                "#Planned start",
                "#Planned finish",
                "#P50 finish",
                "#" + scene.percentile() + " finish",
                "#May take longer");
    }
}
