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
 */
public record SectionJson<T>(
        Section<T> section, Function<T, ObjectNode> write, BiFunction<JsonCursor, String, T> read, Form form) {

    /** How a file says a section. */
    public enum Form {
        /** A list, even where it is empty. */
        ALWAYS,
        /** A list where there is something in it. */
        WHERE_FILLED,
        /** One object, where there is one. */
        SINGLE
    }

    public static final SectionJson<?> PROJECT = of(Sections.PROJECT, WorkJson::write, WorkJson::project);

    /** All of them, in the order of the file. */
    public static final List<SectionJson<?>> ALL = List.of(
            PROJECT,
            of(Sections.CALENDARS, CalendarJson::write, CalendarJson::read),
            of(Sections.WBS, WorkJson::write, WorkJson::branch),
            new SectionJson<>(Sections.ACTIVITIES, WorkJson::write, WorkJson::activity, Form.ALWAYS),
            of(Sections.LINKS, WorkJson::write, WorkJson::link),
            of(Sections.GRADES, SpreadJson::write, SpreadJson::grade),
            of(Sections.CORRELATIONS, SpreadJson::write, SpreadJson::correlation),
            of(Sections.RESOURCES, MoneyJson::write, MoneyJson::resource),
            of(Sections.ASSIGNMENTS, MoneyJson::write, MoneyJson::assignment),
            of(Sections.COSTS, MoneyJson::write, MoneyJson::cost),
            of(Sections.RISKS, RiskJson::write, RiskJson::read),
            where(Sections.ACCEPTED, WorkJson::write, WorkJson::acceptance),
            where(Sections.EVIDENCE, SpreadJson::write, SpreadJson::evidence),
            single(Sections.SCHEME, SchemeJson::write, SchemeJson::read),
            where(Sections.ESCALATION, MoneyJson::write, MoneyJson::escalation),
            where(Sections.FUNDING, MoneyJson::write, MoneyJson::funding),
            where(Sections.SCENARIOS, ScenarioJson::write, ScenarioJson::read),
            where(Sections.BRIEFS, BriefJson::write, BriefJson::read),
            where(Sections.PARTS, PartJson::write, PartJson::read));

    private static <T> SectionJson<T> of(
            Section<T> section, Function<T, ObjectNode> write, Function<JsonCursor, T> read) {
        return new SectionJson<>(section, write, (at, calendar) -> read.apply(at), Form.ALWAYS);
    }

    /** A section that is said only where there is something in it. */
    private static <T> SectionJson<T> where(
            Section<T> section, Function<T, ObjectNode> write, Function<JsonCursor, T> read) {
        return new SectionJson<>(section, write, (at, calendar) -> read.apply(at), Form.WHERE_FILLED);
    }

    private static <T> SectionJson<T> single(
            Section<T> section, Function<T, ObjectNode> write, Function<JsonCursor, T> read) {
        return new SectionJson<>(section, write, (at, calendar) -> read.apply(at), Form.SINGLE);
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
        List<T> objects = form == Form.SINGLE
                ? file.optional(name(), at -> read.apply(at, calendar)).stream().toList()
                : file.list(name(), at -> read.apply(at, calendar));
        return section.put().apply(draft, objects);
    }

    void writeInto(ObjectNode file, Plan plan) {
        List<T> objects = section.of().apply(plan);
        if (form == Form.SINGLE) {
            objects.forEach(one -> file.set(name(), write.apply(one)));
        } else if (form == Form.ALWAYS || !objects.isEmpty()) {
            ArrayNode array = file.putArray(name());
            objects.forEach(one -> array.add(write.apply(one)));
        }
    }
}
