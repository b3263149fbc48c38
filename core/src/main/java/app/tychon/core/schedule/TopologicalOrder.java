package app.tychon.core.schedule;

import app.tychon.core.model.Activity;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Activities in an order in which every predecessor comes first (Kahn 1962, O(activities + links)), or else the loops
 * that make it impossible, each spelled out once.
 */
final class TopologicalOrder {
    private final List<Activity> ordered;
    private final List<Problem> loops;

    private TopologicalOrder(List<Activity> ordered, List<Problem> loops) {
        this.ordered = ordered;
        this.loops = loops;
    }

    List<Activity> activities() {
        return ordered;
    }

    /** One problem a loop, naming its activities in order and pointing to a link of it; empty for a sound plan. */
    List<Problem> loops() {
        return loops;
    }

    static TopologicalOrder of(Plan plan) {
        int n = plan.activities().size();
        Map<String, Integer> index = new HashMap<>();
        for (int i = 0; i < n; i++) {
            index.put(plan.activities().get(i).id(), i);
        }
        List<List<Integer>> outgoing = new ArrayList<>(n);
        int[] waiting = new int[n];
        for (int i = 0; i < n; i++) {
            outgoing.add(new ArrayList<>(2));
        }
        List<Arrow> arrows = Arrow.of(plan);
        for (Arrow arrow : arrows) {
            outgoing.get(index.get(arrow.from())).add(arrow.index());
            waiting[index.get(arrow.to())]++;
        }
        Deque<Integer> ready = new ArrayDeque<>();
        for (int i = 0; i < n; i++) {
            if (waiting[i] == 0) {
                ready.add(i);
            }
        }
        List<Activity> ordered = new ArrayList<>(n);
        while (!ready.isEmpty()) {
            int at = ready.poll();
            ordered.add(plan.activities().get(at));
            for (int l : outgoing.get(at)) {
                int to = index.get(arrows.get(l).to());
                if (--waiting[to] == 0) {
                    ready.add(to);
                }
            }
        }
        List<Problem> loops = ordered.size() == n ? List.of() : loops(plan, arrows, index, outgoing, waiting);
        return new TopologicalOrder(ordered, loops);
    }

    /**
     * Walks forward from each activity left over, within those left over; each walk that meets itself has found a loop.
     * What a walk has passed is not walked again, so this is linear too.
     */
    private static List<Problem> loops(
            Plan plan, List<Arrow> arrows, Map<String, Integer> index, List<List<Integer>> outgoing, int[] waiting) {
        int n = waiting.length;
        int[] next = new int[n];
        boolean[] walked = new boolean[n];
        boolean[] onPath = new boolean[n];
        List<Problem> found = new ArrayList<>();
        for (int first = 0; first < n; first++) {
            if (waiting[first] == 0 || walked[first]) {
                continue;
            }
            Deque<Integer> path = new ArrayDeque<>();
            path.push(first);
            walked[first] = true;
            onPath[first] = true;
            while (!path.isEmpty()) {
                int at = path.peek();
                if (next[at] == outgoing.get(at).size()) {
                    onPath[at] = false;
                    path.pop();
                    continue;
                }
                int link = outgoing.get(at).get(next[at]++);
                int to = index.get(arrows.get(link).to());
                if (onPath[to]) {
                    found.add(loop(plan, path, to, link));
                } else if (!walked[to]) {
                    walked[to] = true;
                    onPath[to] = true;
                    path.push(to);
                }
            }
        }
        return found;
    }

    private static Problem loop(Plan plan, Deque<Integer> path, int start, int closingLink) {
        List<String> names = new ArrayList<>();
        names.add(plan.activities().get(start).id());
        for (int at : path) {
            names.add(0, plan.activities().get(at).id());
            if (at == start) {
                break;
            }
        }
        String what = plan.activities().get(start).isHammock()
                ? "a hammock lies inside its own span: "
                : "the logic runs in a loop: ";
        return new Problem("/links/" + closingLink, what + String.join(" → ", names));
    }
}
