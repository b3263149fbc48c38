package app.tychon.exchange;

import app.tychon.core.model.Plan;
import app.tychon.core.model.PlanDraft;
import app.tychon.core.model.Section;
import app.tychon.core.model.Sections;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;

/**
 * A section of a plan in the words of the project file.
 *
 * @param read an object; given the project's calendar, which counts where an activity of a file names none
 * @param always whether a file says it even where it is empty
 */
public record SectionJson<T>(
        Section<T> section, Function<T, ObjectNode> write, BiFunction<JsonCursor, String, T> read, boolean always) {

    public static final SectionJson<?> PROJECT = of(Sections.PROJECT, WorkJson::write, WorkJson::project);

    /** All of them, in the order of the file. */
    public static final List<SectionJson<?>> ALL = List.of(
            PROJECT,
            of(Sections.CALENDARS, CalendarJson::write, CalendarJson::read),
            of(Sections.WBS, WorkJson::write, WorkJson::branch),
            new SectionJson<>(Sections.ACTIVITIES, WorkJson::write, WorkJson::activity, true),
            of(Sections.LINKS, WorkJson::write, WorkJson::link),
            of(Sections.GRADES, SpreadJson::write, SpreadJson::grade),
            of(Sections.CORRELATIONS, SpreadJson::write, SpreadJson::correlation),
            of(Sections.RESOURCES, MoneyJson::write, MoneyJson::resource),
            of(Sections.ASSIGNMENTS, MoneyJson::write, MoneyJson::assignment),
            of(Sections.COSTS, MoneyJson::write, MoneyJson::cost),
            of(Sections.RISKS, RiskJson::write, RiskJson::read),
            where(Sections.ACCEPTED, WorkJson::write, WorkJson::acceptance),
            where(Sections.EVIDENCE, SpreadJson::write, SpreadJson::evidence));

    private static <T> SectionJson<T> of(
            Section<T> section, Function<T, ObjectNode> write, Function<JsonCursor, T> read) {
        return new SectionJson<>(section, write, (at, calendar) -> read.apply(at), true);
    }

    /** A section that is said only where there is something in it. */
    private static <T> SectionJson<T> where(
            Section<T> section, Function<T, ObjectNode> write, Function<JsonCursor, T> read) {
        return new SectionJson<>(section, write, (at, calendar) -> read.apply(at), false);
    }

    /** Its words for a section. */
    @SuppressWarnings("unchecked")
    public static <T> SectionJson<T> of(Section<T> section) {
        return (SectionJson<T>) ALL.stream()
                .filter(words -> words.section() == section)
                .findFirst()
                .orElseThrow();
    }

    /** Reads an object that this class has written. */
    public T read(JsonCursor at) {
        return read.apply(at, "");
    }

    String name() {
        return section.name();
    }

    /** Puts what a file says of the section into a plan. */
    PlanDraft readInto(PlanDraft draft, JsonCursor file, String calendar) {
        return section.put().apply(draft, file.list(name(), at -> read.apply(at, calendar)));
    }

    void writeInto(ObjectNode file, Plan plan) {
        List<T> objects = section.of().apply(plan);
        if (always || !objects.isEmpty()) {
            ArrayNode array = file.putArray(name());
            objects.forEach(one -> array.add(write.apply(one)));
        }
    }
}
