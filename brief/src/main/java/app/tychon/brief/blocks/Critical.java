package app.tychon.brief.blocks;

import app.tychon.brief.drawing.Rings;
import app.tychon.core.model.Activity;
import app.tychon.core.simulation.result.ActivityResult;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What lies on a longest path to the finish most often. */
final class Critical {
    private static final int USUAL_ROWS = 12;

    private Critical() {}

    static Content of(Scene scene) {
        Map<String, Activity> activities = new HashMap<>();
        scene.plan().activities().forEach(one -> activities.put(one.id(), one));
        List<ActivityResult> results = scene.odds().result().activities().stream()
                .filter(one -> one.criticality() > 0 && one.meanDuration() > 0)
                .sorted(Comparator.comparingDouble((ActivityResult one) -> -one.criticality()))
                .limit(scene.rows(USUAL_ROWS))
                .toList();
        if (results.isEmpty()) {
            return Content.words(List.of("No work drives the finish."));
        }
        int all = scene.odds().result().iterations();
        List<Rings.Row> rows = new ArrayList<>();
        List<List<String>> table = new ArrayList<>();
        for (ActivityResult one : results) {
            String name = activities.get(one.id()).name();
            String often = scene.telling().often(Math.round(one.criticality() * all), all);
            rows.add(new Rings.Row(one.criticality(), name, "in " + often));
            table.add(List.of(
                    one.id(),
                    name,
                    scene.telling().percent(one.criticality()),
                    scene.telling().shortDate(one.meanStart()),
                    scene.telling().shortDate(one.meanFinish())));
        }
        ActivityResult first = results.get(0);
        scene.fields().always("critical.name", "What drives the finish most often", () -> activities
                .get(first.id())
                .name());
        scene.fields().always("critical.often", "In how many futures", () -> scene.telling()
                .often(Math.round(first.criticality() * all), all));
        String alt = "How often work drives the finish: "
                + String.join(
                        "; ",
                        rows.stream().map(row -> row.name() + " " + row.words()).toList());
        return new Content(
                List.of("“{critical.name}” drives the finish in {critical.often} of all futures."),
                Optional.of(Rings.of(rows, alt)),
                Optional.of(Grid.of(table, "", "Activity", "#Criticality", "#Mean start", "#Mean finish")),
                List.of(
                        "Work drives the finish in a future where a longer duration of it would have moved the finish."));
    }
}
