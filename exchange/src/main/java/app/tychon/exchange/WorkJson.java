package app.tychon.exchange;

import app.tychon.core.model.Acceptance;
import app.tychon.core.model.Activity;
import app.tychon.core.model.ActivityKind;
import app.tychon.core.model.Basis;
import app.tychon.core.model.CombineRisks;
import app.tychon.core.model.Constraint;
import app.tychon.core.model.LagCalendar;
import app.tychon.core.model.Link;
import app.tychon.core.model.LinkType;
import app.tychon.core.model.Progress;
import app.tychon.core.model.Project;
import app.tychon.core.model.Targets;
import app.tychon.core.model.WbsNode;
import app.tychon.core.model.WorkDuration;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.Set;

/** The project itself, its branches, activities and links in the words of the project file. */
public final class WorkJson {
    private WorkJson() {}

    public static Project project(JsonCursor at) {
        at.allow(Set.of("id", "name", "currency", "start", "dataDate", "calendar", "lagCalendar", "targets", "draws"));
        return new Project(
                at.get("id").text(),
                at.get("name").text(),
                currency(at.get("currency")),
                at.get("start").dateTime(),
                at.optional("dataDate", JsonCursor::dateTime),
                at.get("calendar").text(),
                at.optional("lagCalendar", Words::lagCalendar).orElse(LagCalendar.PREDECESSOR),
                at.optional("targets", WorkJson::targets).orElse(Targets.NONE),
                at.optional("draws", JsonCursor::text).orElse(""));
    }

    public static String currency(JsonCursor at) {
        String code = at.text();
        if (!code.matches("[A-Z]{3}|\\?")) {
            at.problem("must be a currency code of three capitals such as EUR, not " + at.quoted());
        }
        return code;
    }

    public static Targets targets(JsonCursor at) {
        at.allow(Set.of("finish", "cost", "confidence"));
        return new Targets(
                at.optional("finish", JsonCursor::dateTime),
                at.optional("cost", JsonCursor::number),
                at.optional("confidence", WorkJson::confidence).orElse(Targets.USUAL_CONFIDENCE));
    }

    public static int confidence(JsonCursor at) {
        double percent = at.number();
        if (percent != Math.rint(percent) || percent < 1 || percent > 99) {
            at.problem("must be a whole number of percent from 1 to 99, not " + at.quoted());
            return Targets.USUAL_CONFIDENCE;
        }
        return (int) percent;
    }

    public static WbsNode branch(JsonCursor at) {
        at.allow(Set.of("id", "parent", "code", "name", "grade"));
        return new WbsNode(
                at.get("id").text(),
                at.optional("parent", JsonCursor::text),
                at.optional("code", JsonCursor::text).orElse(""),
                at.get("name").text(),
                at.optional("grade", JsonCursor::text));
    }

    public static Activity activity(JsonCursor at, String projectCalendar) {
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
                "watch",
                "notes"));
        ActivityKind kind = at.optional("kind", Words::kind).orElse(ActivityKind.TASK);
        boolean timeless = kind != ActivityKind.TASK && at.get("duration").isAbsent();
        return new Activity(
                at.get("id").text(),
                at.get("wbs").text(),
                at.get("name").text(),
                kind,
                timeless ? WorkDuration.ZERO : DurationText.read(at.get("duration")),
                at.optional("calendar", JsonCursor::text).orElse(projectCalendar),
                at.optional("constraint", WorkJson::constraint),
                new Progress(
                        at.optional("actualStart", JsonCursor::dateTime),
                        at.optional("actualFinish", JsonCursor::dateTime),
                        at.optional("remaining", DurationText::read)),
                at.optional("grade", JsonCursor::text),
                at.optional("estimate", estimate -> EstimateJson.read(estimate, Basis.DAYS)),
                at.optional("combineRisks", combine -> Words.read(combine, CombineRisks.values()))
                        .orElse(CombineRisks.ADD),
                at.optional("watch", JsonCursor::truth).orElse(false),
                at.optional("notes", JsonCursor::text).orElse(""));
    }

    public static Constraint constraint(JsonCursor at) {
        at.allow(Set.of("type", "date"));
        return new Constraint(Words.constraint(at.get("type")), at.get("date").dateTime());
    }

    public static Link link(JsonCursor at) {
        at.allow(Set.of("from", "to", "type", "lag"));
        return linkIn(at);
    }

    /** What an object says of a link, whatever else it says. */
    public static Link linkIn(JsonCursor at) {
        return new Link(
                at.get("from").text(),
                at.get("to").text(),
                at.optional("type", Words::link).orElse(LinkType.FS),
                at.optional("lag", DurationText::read).orElse(WorkDuration.ZERO));
    }

    public static ObjectNode write(Project project) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("id", project.id());
        node.put("name", project.name());
        node.put("currency", project.currency());
        node.put("start", project.start().toString());
        project.dataDate().ifPresent(date -> node.put("dataDate", date.toString()));
        node.put("calendar", project.calendar());
        node.put("lagCalendar", Words.of(project.lagCalendar()));
        node.set("targets", write(project.targets()));
        if (!project.draws().isEmpty()) {
            node.put("draws", project.draws());
        }
        return node;
    }

    public static ObjectNode write(Targets targets) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        targets.finish().ifPresent(finish -> node.put("finish", finish.toString()));
        targets.cost().ifPresent(cost -> Numbers.put(node, "cost", cost));
        node.put("confidence", targets.confidence());
        return node;
    }

    public static ObjectNode write(WbsNode branch) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("id", branch.id());
        node.put("parent", branch.parent().orElse(null));
        node.put("code", branch.code());
        node.put("name", branch.name());
        branch.grade().ifPresent(grade -> node.put("grade", grade));
        return node;
    }

    public static ObjectNode write(Activity activity) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
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
        if (!activity.notes().isEmpty()) {
            node.put("notes", activity.notes());
        }
        return node;
    }

    public static ObjectNode write(Link link) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("from", link.from());
        node.put("to", link.to());
        node.put("type", Words.of(link.type()));
        node.put("lag", link.lag().toString());
        return node;
    }

    public static Acceptance acceptance(JsonCursor at) {
        at.allow(Set.of("check", "on", "finding", "reason"));
        return new Acceptance(
                at.get("check").text(),
                at.get("on").text(),
                at.optional("finding", JsonCursor::text).orElse(""),
                at.get("reason").text());
    }

    public static ObjectNode write(Acceptance accepted) {
        ObjectNode node = JsonNodeFactory.instance.objectNode();
        node.put("check", accepted.check());
        node.put("on", accepted.on());
        if (!accepted.finding().isEmpty()) {
            node.put("finding", accepted.finding());
        }
        node.put("reason", accepted.reason());
        return node;
    }
}
