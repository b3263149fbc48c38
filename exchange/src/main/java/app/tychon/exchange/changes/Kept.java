package app.tychon.exchange.changes;

import app.tychon.core.model.Into;
import app.tychon.core.model.Plan;
import app.tychon.core.model.PlanDraft;
import app.tychon.core.model.Section;
import app.tychon.exchange.JsonCursor;
import app.tychon.exchange.SectionJson;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.function.BiConsumer;
import java.util.function.Function;

/**
 * A section as change sets keep it: objects with keys, in the words of the project file. What leads into an activity is
 * one object.
 */
record Kept<T>(
        String name,
        Function<Plan, List<T>> of,
        Function<T, String> key,
        Function<T, ObjectNode> write,
        Function<JsonCursor, T> read,
        BiConsumer<PlanDraft, List<T>> put,
        boolean isInto) {

    static final List<Kept<?>> ALL =
            SectionJson.ALL.stream().<Kept<?>>map(Kept::of).toList();

    private static <T> Kept<?> of(SectionJson<T> words) {
        Section<T> section = words.section();
        return section.keys() == Section.Keys.INTO
                ? into(words)
                : new Kept<>(
                        section.name(),
                        section.of(),
                        section.key(),
                        words.write(),
                        words::read,
                        (draft, all) -> section.put().apply(draft, all),
                        false);
    }

    private static <T> Kept<Into<T>> into(SectionJson<T> words) {
        Section<T> section = words.section();
        return new Kept<>(
                section.name(),
                plan -> Into.of(section.of().apply(plan), section.key()),
                Into::activity,
                into -> {
                    ObjectNode node = JsonNodeFactory.instance.objectNode();
                    node.put("into", into.activity());
                    into.all().forEach(one -> node.withArray("all")
                            .add(words.write().apply(one)));
                    return node;
                },
                at -> new Into<>(at.get("into").text(), at.list("all", words::read)),
                (draft, groups) -> section.put()
                        .apply(
                                draft,
                                groups.stream()
                                        .flatMap(into -> into.all().stream())
                                        .toList()),
                true);
    }
}
