package app.tychon.brief.blocks;

import app.tychon.core.model.Acceptance;
import app.tychon.core.register.check.RiskCheck;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.check.PlanCheck;
import app.tychon.core.uncertainty.check.RangeCheck;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** What the checks of plan, ranges and register found, and what of it was accepted and why. */
final class Checked {
    private Checked() {}

    /** A finding of any check. */
    private record Finding(String part, Enum<?> fault, String on, Optional<Acceptance> accepted) {}

    static Content of(Scene scene) {
        List<Finding> findings = findings(scene);
        long open = findings.stream().filter(one -> one.accepted().isEmpty()).count();
        scene.fields().always("findings.open", "Findings that are open", () -> scene.telling()
                .count(open, "finding is open", "findings are open"));
        scene.fields().always("findings.accepted", "Findings that were accepted", () -> scene.telling()
                .count(findings.size() - open, "was accepted", "were accepted"));
        Map<List<String>, long[]> counts = new LinkedHashMap<>();
        findings.forEach(one -> {
            long[] count = counts.computeIfAbsent(List.of(one.part(), title(one.fault())), key -> new long[2]);
            count[one.accepted().isEmpty() ? 0 : 1]++;
        });
        List<List<String>> rows = new ArrayList<>();
        counts.forEach((what, count) -> rows.add(List.of(
                what.get(0),
                what.get(1),
                scene.telling().whole(count[0]),
                scene.telling().whole(count[1]))));
        return new Content(
                findings.isEmpty()
                        ? List.of("The checks of plan, ranges and register found nothing.")
                        : List.of("Of what the checks of plan, ranges and register found, {findings.open} and"
                                + " {findings.accepted} with a reason."),
                Optional.empty(),
                rows.isEmpty()
                        ? Optional.empty()
                        : Optional.of(Grid.of(rows, "Check of", "What", "#Open", "#Accepted")),
                List.of());
    }

    private static List<Finding> findings(Scene scene) {
        Network network = scene.ground().compiled().network();
        List<Finding> all = new ArrayList<>();
        PlanCheck.of(network, scene.ground().compiled().schedule())
                .forEach(one -> all.add(new Finding("the plan", one.check(), one.on(), one.accepted())));
        RangeCheck.of(scene.plan())
                .forEach(one -> all.add(new Finding("ranges", one.fault(), one.on(), one.accepted())));
        RiskCheck.of(network, Map.of())
                .forEach(one -> all.add(new Finding("the register", one.fault(), one.on(), one.accepted())));
        return all;
    }

    /** What was accepted, with the reasons that were given. */
    static List<String> reasons(Scene scene) {
        return scene.plan().accepted().stream()
                .map(one -> words(one.check()) + " on " + one.on() + ": " + one.reason())
                .toList();
    }

    private static String title(Enum<?> fault) {
        return words(Acceptance.word(fault));
    }

    /** openStart becomes open start. */
    private static String words(String check) {
        String apart = check.replaceAll("(\\p{Lu})", " $1").toLowerCase(Locale.ROOT);
        return Character.toUpperCase(apart.charAt(0)) + apart.substring(1);
    }

    /** How many findings are open. */
    static long open(Scene scene) {
        return findings(scene).stream().filter(one -> one.accepted().isEmpty()).count();
    }
}
