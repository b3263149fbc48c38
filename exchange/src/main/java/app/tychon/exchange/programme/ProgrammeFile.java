package app.tychon.exchange.programme;

import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.core.model.Targets;
import app.tychon.core.programme.ExchangeRate;
import app.tychon.core.programme.Member;
import app.tychon.core.programme.Programme;
import app.tychon.core.programme.Tie;
import app.tychon.exchange.JsonCursor;
import app.tychon.exchange.WorkJson;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A programme as a file, {@code .programme.json}: its projects by the names of their files or codes, and what ties them. What its
 * projects consist of stands in their own files.
 *
 * @param projects in the order in which they are shown
 */
public record ProgrammeFile(
        String id, String name, String currency, Targets targets, List<Named> projects, List<Tie> ties) {
    public static final String FORMAT = "tychon-programme";
    static final int VERSION = 1;
    /** A programme of fifty projects takes some kilobytes. */
    private static final int LARGEST = 20_000_000;

    private static final JsonMapper MAPPER = JsonMapper.builder()
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .build();

    /**
     * A project of a programme.
     *
     * @param code what stands before the ids of its rows
     * @param file name of its file, beside that of the programme; or the code of the project on a server
     */
    public record Named(String code, String file, Optional<ExchangeRate> rate) {}

    /** Where the plans of projects come from. */
    public interface Plans {
        /** @throws InvalidPlanException where it is not sound */
        Optional<Plan> find(String file) throws IOException;
    }

    public ProgrammeFile {
        projects = List.copyOf(projects);
        ties = List.copyOf(ties);
    }

    /** Whether a document says that it is a programme. */
    public static boolean isOne(JsonNode document) {
        return FORMAT.equals(document.path("format").asText());
    }

    /**
     * Reads one; the stream is not closed.
     *
     * @throws InvalidPlanException with every problem of the file
     */
    public static ProgrammeFile read(InputStream in) throws IOException {
        JsonNode root;
        try {
            byte[] bytes = in.readNBytes(LARGEST + 1);
            if (bytes.length > LARGEST) {
                throw refused("", "a programme file has at most " + LARGEST / 1_000_000 + " MB");
            }
            root = MAPPER.readTree(bytes);
        } catch (JsonProcessingException e) {
            throw refused("", "this is not sound JSON: " + e.getOriginalMessage());
        }
        if (!isOne(root)) {
            throw refused("", "this is not a Tychon programme file: it does not say \"format\": \"" + FORMAT + "\"");
        }
        if (root.path("version").asInt() != VERSION) {
            throw refused("/version", "this version reads programme files of version " + VERSION);
        }
        List<Problem> problems = new ArrayList<>();
        ProgrammeFile file = read(JsonCursor.at(root, problems));
        if (!problems.isEmpty()) {
            throw new InvalidPlanException(problems);
        }
        return file;
    }

    private static InvalidPlanException refused(String pointer, String message) {
        return new InvalidPlanException(List.of(new Problem(pointer, message)));
    }

    private static ProgrammeFile read(JsonCursor at) {
        at.allow(Set.of("format", "version", "programme", "projects", "ties"));
        JsonCursor own = at.get("programme");
        own.allow(Set.of("id", "name", "currency", "targets"));
        return new ProgrammeFile(
                own.get("id").text(),
                own.get("name").text(),
                WorkJson.currency(own.get("currency")),
                own.optional("targets", WorkJson::targets).orElse(Targets.NONE),
                at.list("projects", ProgrammeFile::named),
                at.list("ties", TieJson::read));
    }

    private static Named named(JsonCursor at) {
        at.allow(Set.of("code", "file", "rate"));
        return new Named(at.get("code").text(), at.get("file").text(), at.optional("rate", ProgrammeFile::rate));
    }

    private static ExchangeRate rate(JsonCursor at) {
        at.allow(Set.of("worth", "on"));
        return new ExchangeRate(at.get("worth").number(), at.get("on").date());
    }

    /** Writes it as UTF-8, indented; the stream is closed. */
    public void write(OutputStream out) throws IOException {
        ObjectNode root = MAPPER.createObjectNode();
        root.put("format", FORMAT).put("version", VERSION);
        ObjectNode own = root.putObject("programme");
        own.put("id", id).put("name", name).put("currency", currency);
        own.set("targets", WorkJson.write(targets));
        for (Named project : projects) {
            ObjectNode node = root.withArray("projects").addObject();
            node.put("code", project.code()).put("file", project.file());
            project.rate().ifPresent(rate -> node.putObject("rate")
                    .put("worth", rate.worth())
                    .put("on", rate.on().toString()));
        }
        root.withArray("ties");
        ties.forEach(tie -> root.withArray("ties").add(TieJson.write(tie)));
        MAPPER.writerWithDefaultPrettyPrinter().writeValue(out, root);
    }

    /**
     * The programme with the plans of its projects.
     *
     * @throws InvalidPlanException with each that is not there
     */
    public Programme with(Plans plans) throws IOException {
        List<Member> members = new ArrayList<>();
        List<Problem> problems = new ArrayList<>();
        for (int i = 0; i < projects.size(); i++) {
            Named project = projects.get(i);
            Optional<Plan> plan = plans.find(project.file());
            if (plan.isEmpty()) {
                problems.add(new Problem("/projects/" + i + "/file", "there is no project " + project.file()));
            } else {
                members.add(new Member(project.code(), plan.get(), project.rate()));
            }
        }
        if (!problems.isEmpty()) {
            throw new InvalidPlanException(problems);
        }
        return new Programme(id, name, currency, targets, members, ties);
    }
}
