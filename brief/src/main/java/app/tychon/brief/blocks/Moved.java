package app.tychon.brief.blocks;

import app.tychon.brief.drawing.Stair;
import app.tychon.brief.ground.Changed;
import app.tychon.core.analysis.PlanChange;
import app.tychon.core.calendar.WorkingTimes;
import app.tychon.core.model.HybridPlan;
import app.tychon.core.model.Plan;
import app.tychon.core.statistics.DateSample;
import app.tychon.core.statistics.Sample;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What changed since an earlier run, kind by kind, adding up. */
final class Moved {
    private Moved() {}

    static Content of(Scene scene) {
        Optional<Changed> found = Changed.since(scene.ground(), scene.block().since(), scene.level());
        if (found.isEmpty()) {
            return Content.words(List.of(
                    scene.block().since().isPresent()
                            ? "Run " + scene.block().since().get() + " is no longer on record."
                            : "No earlier run is on record to compare with."));
        }
        Changed changed = found.get();
        double then = DateSample.of(
                        changed.past().result().finish(),
                        WorkingTimes.ofProject(changed.past().plan()))
                .percentile(scene.level());
        double now = scene.odds().finish(Plan.PROJECT).sure(scene.level());
        fields(scene, changed, then, now);
        List<String> words = new ArrayList<>();
        String moved = Math.abs(now - then) < 1
                ? "has not moved since run {since.run} of {since.recorded}: {sure.finish}."
                : "was {since.finish} by run {since.run} of {since.recorded}; it is {sure.finish} now, {since.time} "
                        + (now > then ? "later." : "sooner.");
        words.add("The date one can be {level} sure of " + moved);
        words.addAll(scene.where("since.cost", "The cost has moved by {since.cost}."));
        List<Stair.Step> steps = steps(scene, changed.steps());
        if (steps.isEmpty()) {
            return new Content(
                    words,
                    Optional.empty(),
                    Optional.empty(),
                    List.of("What lies between the two cannot be told step by step."));
        }
        String alt = "What moved the date: "
                + String.join(
                        "; ",
                        steps.stream()
                                .map(step ->
                                        step.name() + " " + (step.change().isEmpty() ? step.words() : step.change()))
                                .toList());
        return new Content(
                words,
                Optional.of(Stair.of(steps, alt)),
                Optional.of(grid(scene, steps)),
                List.of("Each step is the change of one kind, on top of those before; together they are the whole."));
    }

    private static void fields(Scene scene, Changed changed, double then, double now) {
        scene.fields().always("since.run", "The earlier run", () -> scene.telling()
                .whole(changed.past().run().number()));
        scene.fields().always("since.recorded", "When that was recorded", () -> scene.telling()
                .day(changed.past().run().recorded().toLocalDate()));
        scene.fields().always("since.finish", "The sure finish then", () -> scene.telling()
                .date(then));
        scene.fields()
                .always("since.time", "Days it has moved", () -> scene.telling().between(scene.odds(), then, now));
        scene.fields().put("since.cost", "Money it has moved", () -> {
            if (!scene.odds().hasMoney() || !changed.past().result().hasMoney()) {
                return Optional.empty();
            }
            double before = Sample.of(changed.past().result().cost().totals()).percentile(scene.level());
            double after = scene.odds().cost(Plan.PROJECT).orElseThrow().sure(scene.level());
            return Optional.of(Money.signed(scene, after - before));
        });
    }

    private static List<Stair.Step> steps(Scene scene, List<PlanChange.Step> steps) {
        List<Stair.Step> drawn = new ArrayList<>();
        PlanChange.Step before = null;
        for (PlanChange.Step step : steps) {
            boolean moves = before != null && Math.abs(step.finish() - before.finish()) >= 1;
            if (before == null || moves) {
                drawn.add(new Stair.Step(
                        step.kind().map(Moved::title).orElse("Then"),
                        step.finish(),
                        scene.telling().shortDate(step.finish()),
                        before == null ? "" : change(scene, before, step)));
            }
            before = step;
        }
        return drawn;
    }

    private static String change(Scene scene, PlanChange.Step before, PlanChange.Step step) {
        String days = scene.telling().between(scene.odds(), before.finish(), step.finish());
        return days + (step.finish() < before.finish() ? " sooner" : " later");
    }

    private static Grid grid(Scene scene, List<Stair.Step> steps) {
        return Grid.of(
                steps.stream()
                        .map(step -> List.of(step.name(), step.change(), step.words()))
                        .toList(),
                "What changed",
                "#By",
                "#" + scene.percentile() + " finish");
    }

    private static String title(HybridPlan.Kind kind) {
        return switch (kind) {
            case PROGRESS -> "Progress";
            case CALENDARS -> "Calendars";
            case LOGIC -> "Work and its logic";
            case RANGES -> "Ranges";
            case CORRELATION -> "Correlation";
            case RISKS -> "Risks";
            case RESPONSES -> "Responses";
            case COSTS -> "Costs";
        };
    }
}
