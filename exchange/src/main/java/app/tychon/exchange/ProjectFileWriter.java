package app.tychon.exchange;

import app.tychon.core.model.Plan;
import app.tychon.core.model.Sections;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.OutputStream;

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
        root.set(Sections.PROJECT.name(), WorkJson.write(plan.project()));
        SectionJson.ALL.stream()
                .filter(section -> section != SectionJson.PROJECT)
                .forEach(section -> section.writeInto(root, plan));
        return root;
    }
}
