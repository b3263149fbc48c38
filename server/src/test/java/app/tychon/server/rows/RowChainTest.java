package app.tychon.server.rows;

import static org.assertj.core.api.Assertions.assertThat;

import app.tychon.core.model.Activity;
import app.tychon.core.model.ActivityKind;
import app.tychon.core.model.WorkDuration;
import java.util.List;
import org.junit.jupiter.api.Test;

class RowChainTest {
    private static Activity activity(String id, String branch) {
        return Activity.of(id, branch, id, ActivityKind.TASK, WorkDuration.days(1), "std");
    }

    private static List<String> ids(RowChain chain) {
        return chain.all().stream().map(Activity::id).toList();
    }

    @Test
    void rowsGoBehindAnotherOrFirstOrLastInTheirBranch() {
        RowChain chain = new RowChain(List.of(activity("a", "X"), activity("b", "Y"), activity("c", "X")));
        chain.addAfter("a", activity("a2", "X"));
        chain.addIn("Y", false, activity("b2", "Y"));
        chain.addIn("X", true, activity("first", "X"));
        chain.addIn("X", false, activity("last", "X"));
        chain.addIn("Z", false, activity("new", "Z"));
        chain.addAfter("new", activity("newer", "Z"));
        assertThat(ids(chain)).containsExactly("first", "a", "a2", "b", "b2", "c", "last", "new", "newer");
        assertThat(chain.find("b2")).isPresent();
        assertThat(chain.find("none")).isEmpty();
    }

    @Test
    void theFirstRowOfAllGoesIntoNothing() {
        RowChain chain = new RowChain(List.of());
        chain.addIn("X", true, activity("a", "X"));
        assertThat(ids(chain)).containsExactly("a");
    }
}
