package app.tychon.brief.blocks;

import app.tychon.core.model.Estimates;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Risk;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** How it was worked out: the run, its error, what it rests on, what was accepted and why. */
final class Method {
    private static final int MOST_REASONS = 20;

    private Method() {}

    static Content of(Scene scene) {
        boolean money = scene.odds().hasMoney();
        List<String> words = new ArrayList<>();
        words.add(
                scene.fields().has("run")
                        ? "The numbers are those of run {run}, recorded on {recorded}: {iterations} futures, each with its own"
                                + " durations, amounts and risks, drawn with seed {seed}."
                        : "The numbers are of {iterations} futures, each with its own durations, amounts and risks, drawn with"
                                + " seed {seed} on {recorded}.");
        words.add(
                "Simulated anew with another seed, the date one can be {level} sure of would in 19 of 20 cases lie within"
                        + " {error.time} of what is said here" + (money ? ", and the cost within {error.cost}." : "."));
        List<String> reasons = Checked.reasons(scene);
        List<String> notes = new ArrayList<>();
        if (!reasons.isEmpty()) {
            notes.add("Findings of the checks that were accepted: "
                    + String.join("; ", reasons.subList(0, Math.min(reasons.size(), MOST_REASONS)))
                    + (reasons.size() > MOST_REASONS ? "; and " + (reasons.size() - MOST_REASONS) + " more." : "."));
        }
        return new Content(words, Optional.empty(), Optional.of(grid(scene)), notes);
    }

    private static Grid grid(Scene scene) {
        Plan plan = scene.plan();
        Estimates estimates = Estimates.of(plan);
        long ranged = plan.activities().stream()
                .filter(activity -> estimates.of(activity).isPresent())
                .count();
        List<List<String>> rows = new ArrayList<>();
        rows.add(List.of(
                "Sampling",
                scene.odds().result().settings().sampling().name().equals("LATIN") ? "Latin hypercube" : "plain"));
        rows.add(List.of(
                "Data date",
                plan.project()
                        .dataDate()
                        .map(date -> scene.telling().day(date.toLocalDate()))
                        .orElse("none: nothing has begun")));
        rows.add(List.of(
                "Activities",
                scene.telling().whole(plan.activities().size()) + ", of which "
                        + scene.telling().whole(ranged) + " have a range"));
        rows.add(List.of(
                "Risks that can strike",
                scene.telling().whole(plan.risks().stream().filter(Risk::isLive).count())));
        rows.add(List.of(
                "What moves together",
                plan.correlations().isEmpty()
                        ? "nothing: all durations and amounts are drawn apart"
                        : scene.telling().count(plan.correlations().size(), "group", "groups")));
        rows.add(List.of("Cost lines", scene.telling().whole(plan.costs().size())));
        scene.ground().scenario().ifPresent(scenario -> rows.add(List.of("Scenario", scenario.name())));
        rows.add(List.of(
                "Findings of the checks",
                scene.telling()
                        .count(Checked.open(scene), "is open", "are open")
                        .replaceFirst("^no ", "none ")));
        return Grid.of(rows, "What", "How");
    }
}
