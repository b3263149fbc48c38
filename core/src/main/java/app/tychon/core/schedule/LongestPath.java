package app.tychon.core.schedule;

import java.util.HashSet;
import java.util.Set;

/** Activities on a longest path of the plan without uncertainty, to the project's finish or to an activity. */
public final class LongestPath {
    private LongestPath() {}

    /**
     * @param target position of an activity, or {@link CriticalTrace#PROJECT}
     * @return ids
     */
    public static Set<String> to(Network network, int target) {
        ForwardPass pass = new ForwardPass(network);
        Lanes lanes = new Lanes(network.size(), 1);
        for (int i = 0; i < network.size(); i++) {
            lanes.duration[i][0] = network.expected(i);
        }
        pass.run(lanes, 1);
        new CriticalTrace(network, pass, target).run(lanes, 1);
        Set<String> ids = new HashSet<>();
        for (int i = 0; i < network.size(); i++) {
            if (lanes.critical[i][0]) {
                ids.add(network.activity(i).id());
            }
        }
        return ids;
    }
}
