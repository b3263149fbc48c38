package app.tychon.core.schedule;

import app.tychon.core.model.Plan;
import app.tychon.core.model.WbsNode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The work breakdown of a network: which activities lie beneath each branch, and how branches nest. The whole project is
 * the branch {@link Plan#PROJECT}, above all others.
 */
public final class Branches {
    private final Network network;
    private final Map<String, Optional<String>> parents = new HashMap<>();
    private final Map<String, int[]> beneath = new HashMap<>();
    private final Map<String, String> places = new HashMap<>();

    Branches(Network network) {
        this.network = network;
        for (WbsNode node : network.plan().wbs()) {
            parents.put(node.id(), Optional.of(node.parent().orElse(Plan.PROJECT)));
        }
        parents.put(Plan.PROJECT, Optional.empty());
        Map<String, List<Integer>> lists = new HashMap<>();
        parents.keySet().forEach(branch -> lists.put(branch, new ArrayList<>()));
        for (int i = 0; i < network.size(); i++) {
            int position = i;
            chain(network.activity(i).wbs()).forEach(branch -> lists.get(branch).add(position));
        }
        network.plan().costs().forEach(line -> places.put(line.id(), line.on()));
        lists.forEach((branch, list) ->
                beneath.put(branch, list.stream().mapToInt(Integer::intValue).toArray()));
    }

    /** Whether an id is that of a branch, or means the whole project. */
    public boolean isBranch(String id) {
        return parents.containsKey(id);
    }

    /** What a cost line stands on: an activity, a branch or the project; anything else is its own place. */
    public String placeOf(String id) {
        return places.getOrDefault(id, id);
    }

    /** A branch and all above it, up to the whole project. */
    public List<String> chain(String branch) {
        List<String> chain = new ArrayList<>();
        Optional<String> at = Optional.of(branch);
        while (at.isPresent()) {
            chain.add(at.get());
            at = parents.get(at.get());
        }
        return chain;
    }

    /** All branches, each before the one above it; the whole project comes last. */
    public List<String> deepestFirst() {
        return parents.keySet().stream()
                .sorted(Comparator.comparingInt(
                                (String branch) -> -chain(branch).size())
                        .thenComparing(branch -> branch))
                .toList();
    }

    /** The branch above, nothing above the whole project. */
    public Optional<String> above(String branch) {
        return parents.get(branch);
    }

    /** Positions of all activities beneath a branch, in topological order. */
    public int[] beneath(String branch) {
        return beneath.get(branch);
    }

    /**
     * Positions beneath a branch from which no path of links leads to another beneath it, not even through work outside;
     * hammocks lead nowhere and are none. O(activities + links).
     */
    public int[] exits(String branch) {
        boolean[] inside = new boolean[network.size()];
        for (int i : beneath(branch)) {
            inside[i] = !network.isHammock(i);
        }
        boolean[] leadsIn = new boolean[network.size()];
        // Every link leads from a lower position to a higher one.
        for (int i = network.size() - 1; i >= 0; i--) {
            boolean arrives = !network.isHammock(i) && (inside[i] || leadsIn[i]);
            for (int link = network.firstIn(i); arrives && link < network.firstIn(i + 1); link++) {
                leadsIn[network.from(link)] = true;
            }
        }
        return Arrays.stream(beneath(branch))
                .filter(i -> inside[i] && !leadsIn[i])
                .toArray();
    }
}
