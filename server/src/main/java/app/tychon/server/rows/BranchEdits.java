package app.tychon.server.rows;

import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.core.model.WbsNode;
import app.tychon.exchange.JsonCursor;
import app.tychon.server.edits.Edit;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Edits of branches, and new ones. */
record BranchEdits(List<BranchEdit> edits) implements Edit {
    private static final String UNNAMED = "New branch";

    @Override
    public Outcome apply(Plan plan) {
        List<Problem> problems = new ArrayList<>();
        List<WbsNode> nodes = new ArrayList<>(plan.wbs());
        Codes codes = new Codes(plan);
        String label = "";
        for (int i = 0; i < edits.size(); i++) {
            BranchEdit edit = edits.get(i);
            boolean isNew = Boolean.TRUE.equals(edit.add());
            int at = isNew ? added(nodes, edit, codes) : indexOf(nodes, edit.id());
            if (at < 0) {
                problems.add(new Problem("/" + i + "/id", "there is no branch \"" + edit.id() + "\""));
                continue;
            }
            nodes.set(at, edited(nodes.get(at), edit, "/" + i, problems));
            label = (isNew ? "New branch " : "Branch ") + nodes.get(at).name();
        }
        if (!problems.isEmpty()) {
            throw new InvalidPlanException(problems);
        }
        Plan after = plan.edit().wbs(Outlining.renumbered(nodes, plan.wbs())).done();
        return new Outcome(after, edits.size() > 1 ? edits.size() + " branches edited" : label);
    }

    private static int added(List<WbsNode> nodes, BranchEdit edit, Codes codes) {
        int behind = indexOf(nodes, edit.after());
        Optional<String> parent = behind >= 0 ? nodes.get(behind).parent() : Optional.ofNullable(edit.parent());
        String id = edit.id().isBlank() ? codes.next("W0") : edit.id();
        int at = behind >= 0 ? behind + 1 : nodes.size();
        nodes.add(at, new WbsNode(id, parent, "", UNNAMED, Optional.empty()));
        return at;
    }

    private static int indexOf(List<WbsNode> nodes, String id) {
        for (int i = 0; i < nodes.size(); i++) {
            if (nodes.get(i).id().equals(id)) {
                return i;
            }
        }
        return -1;
    }

    private static WbsNode edited(WbsNode node, BranchEdit edit, String pointer, List<Problem> problems) {
        return new WbsNode(
                node.id(),
                node.parent(),
                text(edit.code(), pointer + "/code", problems).orElse(node.code()),
                text(edit.name(), pointer + "/name", problems).orElse(node.name()),
                edit.grade() == null ? node.grade() : text(edit.grade(), pointer + "/grade", problems));
    }

    private static Optional<String> text(JsonNode node, String pointer, List<Problem> problems) {
        return Optional.ofNullable(node)
                .filter(value -> !value.isNull())
                .map(value -> JsonCursor.at(value, pointer, problems).text());
    }

    @Override
    public Problem told(Plan plan, Problem problem) {
        return RowPointer.told(
                problem,
                "wbs",
                i -> plan.wbs().get(i).id(),
                edits.stream().map(BranchEdit::id).toList());
    }
}
