package app.tychon.brief.blocks;

import app.tychon.brief.ground.Reasons;
import app.tychon.brief.ground.Reasons.Reason;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Risk;
import app.tychon.core.simulation.RiskSize;
import app.tychon.core.simulation.settings.Input;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The largest risks of the register, with who owns them. */
final class Register {
    private static final int USUAL_ROWS = 10;

    private Register() {}

    /**
     * A risk with what it does.
     *
     * @param adds minutes that it moves the sure date by; nothing where it is not among what swings most
     */
    private record Weighed(Risk risk, RiskSize size, Optional<Double> adds) {
        /** Those that move the date before all others, which go by what they take on average. */
        static final Comparator<Weighed> LARGEST_FIRST = Comparator.comparingDouble(
                        (Weighed one) -> -Math.abs(one.adds().orElse(0.0)))
                .thenComparingDouble(
                        one -> -Math.abs(one.size().chance() * one.size().days()));
    }

    static Content of(Scene scene) {
        List<Weighed> risks = weighed(scene);
        if (risks.isEmpty()) {
            return Content.words(List.of(
                    scene.block().owner().isEmpty()
                            ? "No risk of the register is open."
                            : scene.block().owner() + " owns no open risk."));
        }
        scene.fields().always("risks.count", "How many risks are open", () -> scene.telling()
                .count(risks.size(), "risk is open", "risks are open"));
        long unowned =
                risks.stream().filter(one -> one.risk().owner().isBlank()).count();
        scene.fields()
                .put(
                        "risks.unowned",
                        "How many of them nobody owns",
                        () -> unowned == 0
                                ? Optional.empty()
                                : Optional.of(scene.telling().count(unowned, "of them", "of them")));
        Weighed first = risks.get(0);
        scene.fields()
                .always("risk.name", "The largest risk", () -> first.risk().title());
        scene.fields().put("risk.time", "Days it adds to the sure finish", () -> first.adds()
                .map(minutes ->
                        scene.telling().workingDays(minutes / scene.odds().day())));
        scene.fields().always("risk.chance", "Its chance", () -> scene.telling()
                .percent(first.size().chance()));
        List<String> words = new ArrayList<>();
        String whose =
                scene.block().owner().isEmpty() ? "" : " with " + scene.block().owner();
        words.add("{risks.count}" + whose + ". The largest is “{risk.name}”, with a chance of {risk.chance}"
                + (first.adds().isPresent() ? ": it moves the date one can be {level} sure of by {risk.time}." : "."));
        words.addAll(scene.where("risks.unowned", "Nobody owns {risks.unowned}."));
        return new Content(words, Optional.empty(), Optional.of(grid(scene, risks)), List.of());
    }

    private static List<Weighed> weighed(Scene scene) {
        Map<String, Double> adds = new HashMap<>();
        for (Reason reason : Reasons.of(scene.ground(), Plan.PROJECT, false, scene.level())) {
            if (reason.input().kind() == Input.Kind.RISK) {
                adds.putIfAbsent(reason.input().id(), reason.adds());
            }
        }
        RiskSize.Sizing sizing = new RiskSize.Sizing(scene.ground().compiled().network());
        return scene.plan().risks().stream()
                .filter(risk -> risk.state() == Risk.State.OPEN)
                .filter(risk -> owns(scene, risk))
                .map(risk -> new Weighed(risk, sizing.of(risk), Optional.ofNullable(adds.get(risk.id()))))
                .sorted(Weighed.LARGEST_FIRST)
                .toList();
    }

    static boolean owns(Scene scene, Risk risk) {
        return scene.block().owner().isEmpty()
                || scene.block().owner().equalsIgnoreCase(risk.owner().strip());
    }

    private static Grid grid(Scene scene, List<Weighed> risks) {
        boolean money = scene.odds().hasMoney();
        List<List<String>> rows = new ArrayList<>();
        for (Weighed one : risks.subList(0, Math.min(risks.size(), scene.rows(USUAL_ROWS)))) {
            List<String> row = new ArrayList<>(List.of(
                    one.risk().id(),
                    one.risk().title(),
                    one.risk().owner().isBlank() ? "nobody" : one.risk().owner(),
                    scene.telling().percent(one.size().chance()),
                    one.size().days() == 0
                            ? "–"
                            : scene.telling().number(one.size().days(), 1)));
            if (money) {
                row.add(
                        one.size().money() == 0
                                ? "–"
                                : scene.telling().money(one.size().money()));
            }
            row.add(one.adds()
                    .map(minutes ->
                            scene.telling().number(minutes / scene.odds().day(), 1))
                    .orElse("–"));
            row.add(response(one.risk()));
            rows.add(row);
        }
        return money
                ? Grid.of(
                        rows,
                        "",
                        "Risk",
                        "Owner",
                        "#Chance",
                        "#Days if it strikes",
                        "#Money if it strikes",
                        "#Days at " + scene.percentile(),
                        "Response")
                : Grid.of(
                        rows,
                        "",
                        "Risk",
                        "Owner",
                        "#Chance",
                        "#Days if it strikes",
                        "#Days at " + scene.percentile(),
                        "Response");
    }

    private static String response(Risk risk) {
        if (risk.response().isEmpty()) {
            return "none";
        }
        if (risk.response().get().isDone()) {
            return "done";
        }
        return risk.isAnswered() ? "decided" : "proposed";
    }
}
