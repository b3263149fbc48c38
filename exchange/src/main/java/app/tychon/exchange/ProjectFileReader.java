package app.tychon.exchange;

import app.tychon.core.model.Activity;
import app.tychon.core.model.ActivityKind;
import app.tychon.core.model.Basis;
import app.tychon.core.model.Constraint;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.CostTiming;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.LagCalendar;
import app.tychon.core.model.Link;
import app.tychon.core.model.LinkType;
import app.tychon.core.model.Plan;
import app.tychon.core.model.PlanRules;
import app.tychon.core.model.Problem;
import app.tychon.core.model.Project;
import app.tychon.core.model.Targets;
import app.tychon.core.model.WbsNode;
import app.tychon.core.model.WorkDuration;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.BooleanNode;
import com.fasterxml.jackson.databind.node.NullNode;
import com.fasterxml.jackson.databind.node.TextNode;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;

/** Reads open project files. Every problem of a file is reported at once; what this version cannot keep is refused. */
public final class ProjectFileReader {
    static final String FORMAT = "tychon-project";
    static final int VERSION = 1;

    private static final JsonMapper MAPPER = JsonMapper.builder()
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .build();

    private ProjectFileReader() {}

    /**
     * Reads a plan; the stream is not closed.
     *
     * @throws InvalidPlanException with every problem of the file
     * @throws IOException when the stream cannot be read
     */
    public static Plan read(InputStream in) throws IOException {
        List<Problem> problems = new ArrayList<>();
        Plan plan = plan(JsonCursor.at(tree(in), problems));
        Set<String> told = problems.stream().map(Problem::pointer).collect(Collectors.toSet());
        // Where a value could not be read, a stand-in stands; what the rules say of that is no news.
        PlanRules.problems(plan).stream()
                .filter(problem -> !told.contains(problem.pointer()))
                .forEach(problems::add);
        if (!problems.isEmpty()) {
            throw new InvalidPlanException(problems);
        }
        return plan;
    }

    private static JsonNode tree(InputStream in) throws IOException {
        try {
            JsonNode root = MAPPER.readTree(in);
            if (root == null
                    || !root.isObject()
                    || !FORMAT.equals(root.path("format").asText())) {
                throw refused("", "this is not a Tychon project file: it does not say \"format\": \"" + FORMAT + "\"");
            }
            if (root.path("version").asInt() != VERSION) {
                throw refused(
                        "/version",
                        "this version reads project files of version " + VERSION + ", not "
                                + root.path("version").asText("without one"));
            }
            return root;
        } catch (JsonProcessingException e) {
            String where = e.getLocation() == null
                    ? ""
                    : " (line " + e.getLocation().getLineNr() + ", column "
                            + e.getLocation().getColumnNr() + ")";
            throw refused("", "this is not sound JSON: " + e.getOriginalMessage() + where);
        }
    }

    private static InvalidPlanException refused(String pointer, String message) {
        return new InvalidPlanException(List.of(new Problem(pointer, message)));
    }

    private static Plan plan(JsonCursor at) {
        at.allow(Set.of(
                "format",
                "version",
                "project",
                "calendars",
                "wbs",
                "activities",
                "links",
                "grades",
                "correlations",
                "resources",
                "assignments",
                "costs",
                "risks"));
        for (String later : List.of("grades", "correlations", "resources", "assignments", "risks")) {
            at.mustBeUnused(later, NullNode.getInstance());
        }
        Project project = project(at.get("project"));
        return new Plan(
                project,
                at.list("calendars", CalendarJson::read),
                at.list("wbs", ProjectFileReader::branch),
                at.list("activities", activity -> activity(activity, project.calendar())),
                at.list("links", ProjectFileReader::link),
                at.list("costs", ProjectFileReader::cost));
    }

    private static Project project(JsonCursor at) {
        at.allow(Set.of("id", "name", "currency", "start", "dataDate", "calendar", "lagCalendar", "targets"));
        at.mustBeUnused("dataDate", NullNode.getInstance());
        return new Project(
                at.get("id").text(),
                at.get("name").text(),
                currency(at.get("currency")),
                at.get("start").dateTime(),
                at.get("calendar").text(),
                at.optional("lagCalendar", Words::lagCalendar).orElse(LagCalendar.PREDECESSOR),
                at.optional("targets", ProjectFileReader::targets).orElse(Targets.NONE));
    }

    private static String currency(JsonCursor at) {
        String code = at.text();
        if (!code.matches("[A-Z]{3}|\\?")) {
            at.problem("must be a currency code of three capitals such as EUR, not " + at.quoted());
        }
        return code;
    }

    private static Targets targets(JsonCursor at) {
        at.allow(Set.of("finish", "cost"));
        return new Targets(at.optional("finish", JsonCursor::dateTime), at.optional("cost", JsonCursor::number));
    }

    private static WbsNode branch(JsonCursor at) {
        at.allow(Set.of("id", "parent", "code", "name", "grade"));
        at.mustBeUnused("grade", NullNode.getInstance());
        return new WbsNode(
                at.get("id").text(),
                at.optional("parent", JsonCursor::text),
                at.optional("code", JsonCursor::text).orElse(""),
                at.get("name").text());
    }

    private static Activity activity(JsonCursor at, String projectCalendar) {
        at.allow(Set.of(
                "id",
                "wbs",
                "name",
                "kind",
                "duration",
                "calendar",
                "constraint",
                "actualStart",
                "actualFinish",
                "remaining",
                "grade",
                "estimate",
                "combineRisks",
                "watch"));
        for (String later : List.of("actualStart", "actualFinish", "remaining", "grade")) {
            at.mustBeUnused(later, NullNode.getInstance());
        }
        at.mustBeUnused("combineRisks", TextNode.valueOf("add"));
        at.mustBeUnused("watch", BooleanNode.FALSE);
        ActivityKind kind = at.optional("kind", Words::kind).orElse(ActivityKind.TASK);
        boolean milestone = kind == ActivityKind.MILESTONE;
        return new Activity(
                at.get("id").text(),
                at.get("wbs").text(),
                at.get("name").text(),
                kind,
                milestone && at.get("duration").isAbsent() ? WorkDuration.ZERO : DurationText.read(at.get("duration")),
                at.optional("calendar", JsonCursor::text).orElse(projectCalendar),
                at.optional("constraint", ProjectFileReader::constraint),
                at.optional("estimate", estimate -> EstimateJson.read(estimate, Basis.DAYS)));
    }

    private static Constraint constraint(JsonCursor at) {
        at.allow(Set.of("type", "date"));
        return new Constraint(Words.constraint(at.get("type")), at.get("date").dateTime());
    }

    private static Link link(JsonCursor at) {
        at.allow(Set.of("from", "to", "type", "lag"));
        return new Link(
                at.get("from").text(),
                at.get("to").text(),
                at.optional("type", Words::link).orElse(LinkType.FS),
                at.optional("lag", DurationText::read).orElse(WorkDuration.ZERO));
    }

    private static CostLine cost(JsonCursor at) {
        at.allow(Set.of("id", "name", "on", "amount", "fixedShare", "timing", "estimate"));
        return new CostLine(
                at.get("id").text(),
                at.get("name").text(),
                at.get("on").text(),
                at.get("amount").number(),
                at.optional("fixedShare", JsonCursor::number).orElse(1.0),
                at.optional("timing", Words::timing).orElse(CostTiming.EVEN),
                at.optional("estimate", estimate -> EstimateJson.read(estimate, Basis.FACTOR)));
    }
}
