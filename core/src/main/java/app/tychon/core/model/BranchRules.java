package app.tychon.core.model;

import java.util.HashMap;
import java.util.Map;

/** What cannot be true of a work breakdown: branches without a place, or one within another without end. */
final class BranchRules {
    private static final int MOST_STEPS = 200;

    private final Plan plan;
    private final PlanNames names;
    private final Found found;

    private BranchRules(Plan plan, PlanNames names, Found found) {
        this.plan = plan;
        this.names = names;
        this.found = found;
    }

    static void check(Plan plan, PlanNames names, Found found) {
        new BranchRules(plan, names, found).check();
    }

    private void check() {
        Map<String, String> parents = new HashMap<>();
        for (int i = 0; i < plan.wbs().size(); i++) {
            WbsNode node = plan.wbs().get(i);
            found.addAll("/wbs/" + i, TextRules.name("/name", node.name()));
            found.addAll(TextRules.text("/wbs/" + i + "/code", node.code(), Bounds.LONGEST_OUTLINE));
            names.needGrade("/wbs/" + i, node.grade(), found);
            node.parent().ifPresent(parent -> parents.put(node.id(), parent));
        }
        for (int i = 0; i < plan.wbs().size(); i++) {
            WbsNode node = plan.wbs().get(i);
            String pointer = "/wbs/" + i + "/parent";
            node.parent()
                    .filter(parent -> !names.branches.contains(parent))
                    .ifPresent(parent -> found.add(pointer, "there is no WBS branch \"" + parent + "\""));
            switch (depth(node.id(), parents)) {
                case LOOP -> found.add(pointer, "branch \"" + node.id() + "\" lies under itself");
                case TOO_DEEP ->
                    found.add(
                            pointer,
                            "branches lie at most " + Bounds.DEEPEST_BRANCH + " deep within each other; \"" + node.id()
                                    + "\" lies deeper");
                case SOUND -> {}
            }
        }
    }

    private enum Depth {
        SOUND,
        TOO_DEEP,
        LOOP
    }

    /** Looks no farther up than branches may lie deep, so that a long chain costs no more than many short ones. */
    private static Depth depth(String id, Map<String, String> parents) {
        String at = parents.get(id);
        for (int above = 1; at != null; above++) {
            if (at.equals(id)) {
                return Depth.LOOP;
            }
            if (above >= Bounds.DEEPEST_BRANCH) {
                return depthOfLong(id, at, parents);
            }
            at = parents.get(at);
        }
        return Depth.SOUND;
    }

    /** Of a chain that does not end soon those above it tell what is wrong, in a loop or too deep themselves. */
    private static Depth depthOfLong(String id, String from, Map<String, String> parents) {
        String at = from;
        for (int steps = 0; steps <= MOST_STEPS; steps++) {
            if (at == null) {
                return Depth.TOO_DEEP;
            }
            if (at.equals(id)) {
                return Depth.LOOP;
            }
            at = parents.get(at);
        }
        return Depth.SOUND;
    }
}
