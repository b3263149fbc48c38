package app.tychon.core.model;

import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What cannot be true of a scenario, whatever the plan is. That it speaks of rows which the plan no longer has is no fault of
 * it: it follows the plan, and says where it no longer fits.
 */
final class ScenarioRules {
    private ScenarioRules() {}

    static void check(Plan plan, PlanNames names, Found found) {
        Set<String> sections = new HashSet<>();
        Sections.ALL.stream()
                .filter(section -> section != Sections.SCENARIOS && section != Sections.BRIEFS)
                .forEach(s -> sections.add(s.name()));
        Map<String, Long> called = plan.scenarios().stream()
                .collect(Collectors.groupingBy(one -> one.name().strip(), Collectors.counting()));
        for (int i = 0; i < plan.scenarios().size(); i++) {
            Scenario scenario = plan.scenarios().get(i);
            String pointer = "/scenarios/" + i;
            found.addAll(pointer, TextRules.name("/name", scenario.name()));
            found.addAll(pointer, TextRules.text("/note", scenario.note(), Bounds.LONGEST_NOTES));
            if (called.get(scenario.name().strip()) > 1) {
                found.add(pointer + "/name", "there is another scenario called \"" + scenario.name() + "\"");
            }
            scenario.finish().ifPresent(date -> found.addAll(TextRules.date(pointer + "/targets/finish", date)));
            scenario.cost()
                    .ifPresent(budget ->
                            found.addAll(TextRules.number(pointer + "/targets/cost", budget, Bounds.LARGEST_AMOUNT)));
            edits(pointer + "/edits/", scenario.edits(), sections, found);
        }
    }

    private static void edits(String pointer, List<ScenarioEdit> edits, Set<String> sections, Found found) {
        Set<List<String>> seen = new HashSet<>();
        for (int i = 0; i < edits.size(); i++) {
            ScenarioEdit edit = edits.get(i);
            if (!sections.contains(edit.section())) {
                found.add(
                        pointer + i + "/section",
                        "a scenario cannot edit \"" + edit.section() + "\"; it can edit "
                                + String.join(", ", sections.stream().sorted().toList()));
            }
            if (edit.before().isEmpty() && edit.after().isEmpty()) {
                found.add(pointer + i, "an edit says what was before, or what is after, or both");
            }
            if (!seen.add(List.of(edit.section(), edit.key()))) {
                found.add(pointer + i + "/key", "\"" + edit.key() + "\" is edited twice");
            }
        }
    }
}
