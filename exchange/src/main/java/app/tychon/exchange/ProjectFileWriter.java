package app.tychon.exchange;

import app.tychon.core.model.Activity;
import app.tychon.core.model.CombineRisks;
import app.tychon.core.model.Constraint;
import app.tychon.core.model.Link;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Progress;
import app.tychon.core.model.Project;
import app.tychon.core.model.WbsNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.OutputStream;
import java.util.List;
import java.util.function.Function;

/** Writes open project files, which {@link ProjectFileReader} reads back to an equal plan. */
public final class ProjectFileWriter {
    private static final JsonMapper MAPPER = JsonMapper.builder().build();

    private ProjectFileWriter() {}

    /** Writes a plan as UTF-8, indented; the stream is closed. */
    public static void write(Plan plan, OutputStream out) throws IOException {
        MAPPER.writerWithDefaultPrettyPrinter().writeValue(out, tree(plan));
    }

    private static ObjectNode tree(Plan plan) {
        ObjectNode root = JsonNodeFactory.instance.objectNode();
        root.put("format", ProjectFileReader.FORMAT);
        root.put("version", ProjectFileReader.VERSION);
        project(root.putObject("project"), plan.project());
        ArrayNode calendars = root.putArray("calendars");
        plan.calendars().forEach(calendar -> calendars.add(CalendarJson.write(calendar)));
        ArrayNode wbs = root.putArray("wbs");
        plan.wbs().forEach(node -> branch(wbs.addObject(), node));
        ArrayNode activities = root.putArray("activities");
        plan.activities().forEach(activity -> activity(activities.addObject(), activity));
        ArrayNode links = root.putArray("links");
        plan.links().forEach(link -> link(links.addObject(), link));
        array(root, "grades", plan.grades(), SpreadJson::write);
        array(root, "correlations", plan.correlations(), SpreadJson::write);
        array(root, "resources", plan.resources(), MoneyJson::write);
        array(root, "assignments", plan.assignments(), MoneyJson::write);
        array(root, "costs", plan.costs(), MoneyJson::write);
        array(root, "risks", plan.risks(), RiskJson::write);
        return root;
    }

    private static <T> void array(ObjectNode root, String field, List<T> all, Function<T, ObjectNode> write) {
        ArrayNode array = root.putArray(field);
        all.forEach(one -> array.add(write.apply(one)));
    }

    private static void project(ObjectNode node, Project project) {
        node.put("id", project.id());
        node.put("name", project.name());
        node.put("currency", project.currency());
        node.put("start", project.start().toString());
        project.dataDate().ifPresent(date -> node.put("dataDate", date.toString()));
        node.put("calendar", project.calendar());
        node.put("lagCalendar", Words.of(project.lagCalendar()));
        ObjectNode targets = node.putObject("targets");
        project.targets().finish().ifPresent(finish -> targets.put("finish", finish.toString()));
        project.targets().cost().ifPresent(cost -> Numbers.put(targets, "cost", cost));
    }

    private static void branch(ObjectNode node, WbsNode branch) {
        node.put("id", branch.id());
        node.put("parent", branch.parent().orElse(null));
        node.put("code", branch.code());
        node.put("name", branch.name());
        branch.grade().ifPresent(grade -> node.put("grade", grade));
    }

    private static void activity(ObjectNode node, Activity activity) {
        node.put("id", activity.id());
        node.put("wbs", activity.wbs());
        node.put("name", activity.name());
        node.put("kind", Words.of(activity.kind()));
        node.put("duration", activity.duration().toString());
        node.put("calendar", activity.calendar());
        if (activity.constraint().isPresent()) {
            Constraint constraint = activity.constraint().get();
            ObjectNode held = node.putObject("constraint");
            held.put("type", Words.of(constraint.type()));
            held.put("date", constraint.date().toString());
        }
        Progress progress = activity.progress();
        progress.actualStart().ifPresent(date -> node.put("actualStart", date.toString()));
        progress.actualFinish().ifPresent(date -> node.put("actualFinish", date.toString()));
        progress.remaining().ifPresent(remaining -> node.put("remaining", remaining.toString()));
        activity.grade().ifPresent(grade -> node.put("grade", grade));
        activity.estimate().ifPresent(e -> node.set("estimate", EstimateJson.write(e)));
        if (activity.combineRisks() != CombineRisks.ADD) {
            node.put("combineRisks", Words.of(activity.combineRisks()));
        }
        if (activity.watch()) {
            node.put("watch", true);
        }
    }

    private static void link(ObjectNode node, Link link) {
        node.put("from", link.from());
        node.put("to", link.to());
        node.put("type", Words.of(link.type()));
        node.put("lag", link.lag().toString());
    }
}
