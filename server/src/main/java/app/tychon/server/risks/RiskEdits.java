package app.tychon.server.risks;

import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.core.model.Risk;
import app.tychon.exchange.JsonCursor;
import app.tychon.exchange.risks.Targets;
import app.tychon.server.edits.Edit;
import app.tychon.server.rows.Codes;
import app.tychon.server.rows.RowPointer;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.security.access.AccessDeniedException;

/**
 * Risks changed field by field, and new ones: a cell, a selection, a pasted block.
 *
 * @see RiskWords
 */
final class RiskEdits implements Edit {
    private static final String FIRST_CODE = "R00";

    private final List<JsonNode> edits = new ArrayList<>();
    /** Codes of the risks that edits are about, edit by edit, as they are afterwards. */
    private final List<String> about = new ArrayList<>();

    /** Who keeps nothing but their own risks; nothing for those who edit all. */
    private final Optional<String> keeper;

    RiskEdits(JsonNode body) {
        this(body, Optional.empty());
    }

    /** @param keeper what the register calls somebody who changes only risks of their own; nothing for those who edit all */
    RiskEdits(JsonNode body, Optional<String> keeper) {
        body.forEach(edits::add);
        this.keeper = keeper;
    }

    @Override
    public Outcome apply(Plan plan) {
        Map<String, Risk> risks = new LinkedHashMap<>();
        plan.risks().forEach(risk -> risks.put(risk.id(), risk));
        RiskFields fields = new RiskFields(plan, new Targets(plan));
        List<Problem> problems = new ArrayList<>();
        Map<String, String> renamed = new LinkedHashMap<>();
        about.clear();
        int added = 0;
        for (int i = 0; i < edits.size(); i++) {
            JsonCursor at = JsonCursor.at(edits.get(i), "/" + i, problems);
            String id = at.get("id").text();
            boolean isNew = at.optional("add", JsonCursor::truth).orElse(false);
            if (isNew) {
                id = id.isBlank() ? nextCode(risks) : id;
                added++;
            }
            if (isNew == risks.containsKey(id)) {
                at.get("id")
                        .problem(isNew ? "there is already a risk \"" + id + "\"" : "there is no risk \"" + id + "\"");
                about.add(id);
                continue;
            }
            refuseOthers(isNew ? null : risks.get(id), edits.get(i));
            Risk risk = fields.edited(isNew ? RiskFields.fresh(id) : risks.get(id), edits.get(i), "/" + i, problems);
            risks.put(id, risk);
            String code =
                    at.optional("code", JsonCursor::text).map(String::strip).orElse(id);
            if (!code.equals(id)) {
                renamed.put(id, code);
            }
            about.add(code);
        }
        if (!problems.isEmpty()) {
            throw new InvalidPlanException(problems);
        }
        Plan after = plan.withRisks(List.copyOf(risks.values()));
        return new Outcome(RiskCodes.renamed(after, renamed), label(added));
    }

    /** @throws AccessDeniedException where the risk is not the keeper's own, or would be no longer */
    private void refuseOthers(Risk risk, JsonNode edit) {
        if (keeper.isEmpty()) {
            return;
        }
        String name = keeper.get();
        if (risk == null) {
            throw new AccessDeniedException("You keep your own risks here, and may add none. Nothing was changed.");
        }
        String owner = risk.owner().isBlank() ? "nobody" : risk.owner();
        if (!owner.strip().equalsIgnoreCase(name.strip())) {
            throw new AccessDeniedException("Risk " + risk.id() + " is owned by " + owner + ", and you, as " + name
                    + ", may change your own alone. Nothing was changed.");
        }
        if (edit.has("owner") || edit.has("code")) {
            throw new AccessDeniedException("Who owns risk " + risk.id()
                    + ", and its code, are changed by those who edit the project. Nothing was changed.");
        }
    }

    private static String nextCode(Map<String, Risk> risks) {
        String last = risks.keySet().stream().reduce((one, other) -> other).orElse(FIRST_CODE);
        return Codes.after(last, risks.keySet());
    }

    private String label(int added) {
        if (added > 0) {
            return added == 1 ? "New risk " + about.get(0) : added + " risks added";
        }
        Set<String> names = new TreeSet<>();
        edits.forEach(edit -> edit.fieldNames().forEachRemaining(name -> {
            if (!name.equals("id")) {
                names.add(RiskFields.word(name));
            }
        }));
        String what = names.size() == 1 ? names.iterator().next() : "Several fields";
        return what + " of " + (about.size() == 1 ? about.get(0) : about.size() + " risks");
    }

    @Override
    public Problem told(Plan plan, Problem problem) {
        return RowPointer.told(problem, "risks", i -> plan.risks().get(i).id(), about);
    }
}
