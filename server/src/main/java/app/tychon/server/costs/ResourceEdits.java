package app.tychon.server.costs;

import app.tychon.core.model.Assignment;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.core.model.Resource;
import app.tychon.exchange.JsonCursor;
import app.tychon.exchange.costs.CrewText;
import app.tychon.exchange.costs.RateText;
import app.tychon.server.edits.Edit;
import app.tychon.server.rows.RowPointer;
import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;

/** Resources changed field by field, and new ones. @see ResourceWords */
final class ResourceEdits implements Edit {
    private static final Set<String> FIELDS = Set.of("id", "add", "name", "rate", "per", "limit", "category", "work");

    private final List<JsonNode> edits = new ArrayList<>();
    private final List<String> about = new ArrayList<>();

    ResourceEdits(JsonNode body) {
        body.forEach(edits::add);
    }

    @Override
    public Outcome apply(Plan plan) {
        Map<String, Resource> all = new LinkedHashMap<>();
        plan.resources().forEach(one -> all.put(one.id(), one));
        List<Assignment> works = new ArrayList<>(plan.assignments());
        List<Problem> problems = new ArrayList<>();
        about.clear();
        int added = 0;
        for (int i = 0; i < edits.size(); i++) {
            JsonCursor at = JsonCursor.at(edits.get(i), "/" + i, problems).allow(FIELDS);
            String id = at.get("id").text().strip();
            boolean isNew = at.optional("add", JsonCursor::truth).orElse(false);
            if (isNew) {
                added++;
                id = id.isEmpty() ? code(at.optional("name", JsonCursor::text).orElse(""), all.keySet()) : id;
            }
            about.add(id);
            if (isNew == all.containsKey(id)) {
                at.get("id")
                        .problem(
                                isNew
                                        ? "there is already a resource \"" + id + "\""
                                        : "there is no resource \"" + id + "\"");
                continue;
            }
            Resource one = isNew ? new Resource(id, "New resource", 0, Resource.Per.DAY) : all.get(id);
            all.put(id, edited(one, at, plan.project().currency()));
            work(id, at, plan, works);
        }
        if (!problems.isEmpty()) {
            throw new InvalidPlanException(problems);
        }
        String what = about.size() == 1 ? "Resource " + about.get(0) : about.size() + " resources";
        Plan after = plan.edit()
                .resources(List.copyOf(all.values()))
                .assignments(works)
                .done();
        return new Outcome(after, what + (added > 0 ? " added" : ""));
    }

    /** All the work of a resource, in place of what it was. */
    private static void work(String id, JsonCursor at, Plan plan, List<Assignment> works) {
        Optional<String> text = at.optional("work", JsonCursor::text);
        try {
            text.map(said -> CrewText.readPlaces(said, id, plan)).ifPresent(own -> {
                works.removeIf(one -> one.resource().equals(id));
                works.addAll(own);
            });
        } catch (IllegalArgumentException e) {
            at.get("work").problem(e.getMessage());
        }
    }

    /** The first word of a name, or the next free one after it. */
    private static String code(String name, Set<String> taken) {
        String word =
                name.strip().toLowerCase(Locale.ROOT).replaceAll("\\s.*", "").replaceAll("[^\\p{L}\\d-]", "");
        String base = word.isEmpty() ? "resource" : word;
        String code = base;
        for (int n = 2; taken.contains(code); n++) {
            code = base + n;
        }
        return code;
    }

    private static Resource edited(Resource one, JsonCursor at, String currency) {
        Resource now = one;
        now = said(at, "name", now, String::strip, Resource::withName);
        now = said(at, "category", now, String::strip, Resource::withCategory);
        now = said(at, "per", now, ResourceEdits::per, Resource::withPer);
        now = said(at, "limit", now, ResourceEdits::limit, Resource::withLimit);
        return said(at, "rate", now, text -> RateText.read(text, currency), (resource, said) -> resource.withRate(
                        said.rate())
                .withRates(said.rates()));
    }

    private static Resource.Per per(String text) {
        return Arrays.stream(Resource.Per.values())
                .filter(one -> one.name().equalsIgnoreCase(text.strip()))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(
                        "a resource is paid by the hour, day or unit, not \"" + text.strip() + "\""));
    }

    private static Optional<Double> limit(String text) {
        if (text.isBlank()) {
            return Optional.empty();
        }
        try {
            return Optional.of(Double.parseDouble(text.strip().replace(',', '.')));
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException("\"" + text.strip() + "\" is no number of units");
        }
    }

    private static <T> Resource said(
            JsonCursor at,
            String field,
            Resource one,
            Function<String, T> read,
            BiFunction<Resource, T, Resource> change) {
        Optional<String> text = at.optional(field, JsonCursor::text);
        try {
            return text.map(said -> change.apply(one, read.apply(said))).orElse(one);
        } catch (IllegalArgumentException e) {
            at.get(field).problem(e.getMessage());
            return one;
        }
    }

    @Override
    public Problem told(Plan plan, Problem problem) {
        Problem told = RowPointer.told(
                problem, "resources", i -> plan.resources().get(i).id(), about);
        return new Problem(told.pointer().replaceFirst("/rates$", "/rate"), told.message());
    }
}
