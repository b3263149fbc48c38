package app.tychon.exchange;

import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.PlanDraft;
import app.tychon.core.model.PlanRules;
import app.tychon.core.model.Problem;
import app.tychon.core.model.Project;
import app.tychon.core.model.Sections;
import com.fasterxml.jackson.core.JsonLocation;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Reads open project files. Every problem of a file is reported at once; what this version cannot keep is refused. */
public final class ProjectFileReader {
    static final String FORMAT = "tychon-project";
    static final int VERSION = 1;

    private static final Set<String> FIELDS = Stream.concat(
                    Stream.of("format", "version"), SectionJson.ALL.stream().map(SectionJson::name))
            .collect(Collectors.toUnmodifiableSet());
    private static final int MOST_FIELDS = 1000;

    private static final JsonMapper MAPPER = JsonMapper.builder()
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
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
        if (problems.size() >= JsonCursor.MOST_PROBLEMS) {
            problems.add(new Problem("", "there are more problems than these " + JsonCursor.MOST_PROBLEMS));
            throw new InvalidPlanException(problems);
        }
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

    /**
     * The document as a tree. What stands at the top is read field by field, so that a large file that is something else
     * is refused before it fills the memory.
     */
    private static JsonNode tree(InputStream in) throws IOException {
        try (JsonParser parser = MAPPER.createParser(in)) {
            parser.disable(JsonParser.Feature.AUTO_CLOSE_SOURCE);
            if (parser.nextToken() != JsonToken.START_OBJECT) {
                throw notOurs();
            }
            ObjectNode root = MAPPER.createObjectNode();
            while (parser.nextToken() == JsonToken.FIELD_NAME) {
                String name = parser.currentName();
                parser.nextToken();
                if (FIELDS.contains(name)) {
                    root.set(name, MAPPER.readTree(parser));
                } else {
                    parser.skipChildren();
                    root.putNull(name);
                }
                if (root.size() > MOST_FIELDS) {
                    throw notOurs();
                }
            }
            if (parser.nextToken() != null) {
                throw refused("", "something follows after the end of the project" + where(parser.currentLocation()));
            }
            return known(root);
        } catch (JsonProcessingException e) {
            throw refused("", "this is not sound JSON: " + e.getOriginalMessage() + where(e.getLocation()));
        }
    }

    private static JsonNode known(JsonNode root) {
        if (!FORMAT.equals(root.path("format").asText())) {
            throw notOurs();
        }
        if (root.path("version").asInt() != VERSION) {
            throw refused(
                    "/version",
                    "this version reads project files of version " + VERSION + ", not "
                            + root.path("version").asText("without one"));
        }
        return root;
    }

    private static String where(JsonLocation location) {
        return location == null ? "" : " (line " + location.getLineNr() + ", column " + location.getColumnNr() + ")";
    }

    private static InvalidPlanException notOurs() {
        return refused("", "this is not a Tychon project file: it does not say \"format\": \"" + FORMAT + "\"");
    }

    private static InvalidPlanException refused(String pointer, String message) {
        return new InvalidPlanException(List.of(new Problem(pointer, message)));
    }

    private static Plan plan(JsonCursor at) {
        at.allow(FIELDS);
        Project project = WorkJson.project(at.get(Sections.PROJECT.name()));
        PlanDraft draft =
                Plan.of(project, List.of(), List.of(), List.of(), List.of()).edit();
        SectionJson.ALL.stream()
                .filter(section -> section != SectionJson.PROJECT)
                .forEach(section -> section.readInto(draft, at, project.calendar()));
        return draft.done();
    }
}
