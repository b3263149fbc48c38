package app.tychon.exchange;

import app.tychon.core.model.Plan;
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
        root.set("project", WorkJson.write(plan.project()));
        array(root, "calendars", plan.calendars(), CalendarJson::write);
        array(root, "wbs", plan.wbs(), WorkJson::write);
        array(root, "activities", plan.activities(), WorkJson::write);
        array(root, "links", plan.links(), WorkJson::write);
        array(root, "grades", plan.grades(), SpreadJson::write);
        array(root, "correlations", plan.correlations(), SpreadJson::write);
        array(root, "resources", plan.resources(), MoneyJson::write);
        array(root, "assignments", plan.assignments(), MoneyJson::write);
        array(root, "costs", plan.costs(), MoneyJson::write);
        array(root, "risks", plan.risks(), RiskJson::write);
        if (!plan.accepted().isEmpty()) {
            array(root, "accepted", plan.accepted(), WorkJson::write);
        }
        if (!plan.evidence().isEmpty()) {
            array(root, "evidence", plan.evidence(), SpreadJson::write);
        }
        return root;
    }

    private static <T> void array(ObjectNode root, String field, List<T> all, Function<T, ObjectNode> write) {
        ArrayNode array = root.putArray(field);
        all.forEach(one -> array.add(write.apply(one)));
    }
}
