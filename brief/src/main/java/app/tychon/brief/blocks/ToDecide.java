package app.tychon.brief.blocks;

import app.tychon.brief.ground.Options.Option;
import app.tychon.core.model.Action;
import app.tychon.core.model.BriefBlock.Decision;
import app.tychon.core.model.RiskSwitch;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/** What to decide, by whom, by when. As long as nobody says, it is what the option that gains most would need. */
final class ToDecide {
    private ToDecide() {}

    static Content of(Scene scene) {
        boolean typed = !scene.block().decisions().isEmpty();
        List<Decision> decisions = typed ? scene.block().decisions() : suggested(scene);
        if (decisions.isEmpty()) {
            return Content.words(List.of("Nothing is to be decided now."));
        }
        double cost = decisions.stream()
                .mapToDouble(decision -> decision.cost().orElse(0.0))
                .sum();
        scene.fields().always("decide.count", "How much is to be decided", () -> scene.telling()
                .count(decisions.size(), "decision", "decisions"));
        scene.fields()
                .put(
                        "decide.cost",
                        "What that costs",
                        () -> cost == 0
                                ? Optional.empty()
                                : Optional.of(scene.telling().money(cost)));
        scene.fields().put("decide.by", "When the first is due", () -> decisions.stream()
                .flatMap(decision -> decision.by().stream())
                .min(LocalDate::compareTo)
                .map(scene.telling()::day));
        String words = "We ask for {decide.count}"
                + (scene.fields().has("decide.cost") ? ", {decide.cost} in all" : "")
                + (scene.fields().has("decide.by") ? ", the first by {decide.by}." : ".");
        return new Content(List.of(words), Optional.empty(), Optional.of(grid(scene, decisions)), List.of());
    }

    /** The actions of the option that gains most, where it answers risks. */
    static List<Decision> suggested(Scene scene) {
        Optional<Option> best = scene.fields().best();
        return best.stream()
                .flatMap(option -> scene.plan().risks().stream()
                        .filter(risk -> option.scenario().of(risk) == RiskSwitch.RESPONSE && !risk.isAnswered())
                        .flatMap(risk -> risk.response().stream()
                                .flatMap(response -> response.keptActions().stream())
                                .filter(action -> action.state() == Action.State.PLANNED)
                                .map(action -> new Decision(
                                        action.name(),
                                        action.owner().isBlank() ? risk.owner() : action.owner(),
                                        Optional.of(action.start()),
                                        action.cost() == 0 ? Optional.empty() : Optional.of(action.cost())))))
                .toList();
    }

    private static Grid grid(Scene scene, List<Decision> decisions) {
        return Grid.of(
                decisions.stream()
                        .map(decision -> List.of(
                                decision.what(),
                                decision.who(),
                                decision.by().map(scene.telling()::day).orElse(""),
                                decision.cost().map(scene.telling()::money).orElse("")))
                        .toList(),
                "What",
                "By whom",
                "#By when",
                "#Cost");
    }
}
