package app.tychon.server.rows;

import static org.assertj.core.api.Assertions.assertThat;

import app.tychon.core.PlanBuilder;
import app.tychon.core.model.WbsNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class CodesTest {
    @Test
    void newRowsAreCalledAfterTheirNeighbour() {
        Codes codes = new Codes(new PlanBuilder()
                .task("S10", 1)
                .task("S20", 1)
                .task("S30", 1)
                .task("X009", 1)
                .task("Dig", 1)
                .build());
        assertThat(codes.next("S10")).as("between S10 and S20").isEqualTo("S15");
        assertThat(codes.next("S30")).isEqualTo("S40");
        assertThat(codes.next("X009")).isEqualTo("X019");
        assertThat(codes.next("Dig")).isEqualTo("Dig.10");
        assertThat(codes.take("S15")).isTrue();
        assertThat(codes.next("S10")).isEqualTo("S12");
        assertThat(codes.take("project")).as("a word with a meaning").isFalse();
    }

    private static WbsNode node(String id, String parent, String code) {
        return new WbsNode(id, Optional.ofNullable(parent), code, id, Optional.empty());
    }

    private static List<String> codes(List<WbsNode> before, List<WbsNode> after) {
        return Outlining.renumbered(after, before).stream().map(WbsNode::code).toList();
    }

    @Test
    void countedOutlinesAreCountedAnewWhenBranchesMove() {
        List<WbsNode> before = List.of(node("A", null, "1"), node("B", "A", "1.1"), node("C", null, "2"));
        List<WbsNode> moved = List.of(node("A", null, "1"), node("B", "A", "1.1"), node("C", "A", "2"));
        assertThat(codes(before, moved)).containsExactly("1", "1.1", "1.2");
        assertThat(codes(before, before)).containsExactly("1", "1.1", "2");
    }

    @Test
    void outlinesThatSomebodyChoseStayAndOnlyNewBranchesGetANumber() {
        List<WbsNode> before = List.of(node("A", null, "Civil"), node("C", null, "Steel"));
        List<WbsNode> after = new ArrayList<>(before);
        after.add(1, node("N", null, ""));
        assertThat(codes(before, after)).containsExactly("Civil", "2", "Steel");
    }
}
