package app.tychon.exchange;

import app.tychon.core.model.Grade;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.OutputStream;
import java.util.List;

/** A table of grades as a file of its own, to be used in other projects. */
public final class GradesFile {
    private static final String FORMAT = "tychon-grades";

    private GradesFile() {}

    /** Writes grades as UTF-8, indented, under {@code grades} as in a project file; the stream is closed. */
    public static void write(List<Grade> grades, OutputStream out) throws IOException {
        ObjectNode root = JsonNodeFactory.instance.objectNode();
        root.put("format", FORMAT);
        root.put("version", ProjectFileReader.VERSION);
        ArrayNode array = root.putArray("grades");
        grades.forEach(grade -> array.add(SpreadJson.write(grade)));
        JsonMapper.builder().build().writerWithDefaultPrettyPrinter().writeValue(out, root);
    }
}
