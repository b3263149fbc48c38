package app.tychon.server.launch;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Locale;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/**
 * {@code ./tychon people}: accounts and roles, for whoever may read the data folder. It asks the server that runs on it; where
 * none does, one is started for as long as it takes.
 */
@Command(
        name = "people",
        mixinStandardHelpOptions = true,
        description = "Who can come in, and what they may do.",
        synopsisSubcommandLabel = "COMMAND")
public final class PeopleCommand implements Runnable {
    private static final ObjectMapper JSON = new ObjectMapper();
    private static final int USAGE_WIDTH = 100;

    private final RunningServer server;
    private final String url;

    private PeopleCommand(RunningServer server, String url) {
        this.server = server;
        this.url = url;
    }

    /** Ends the program with 0 where it was done, 1 where the server said no, 2 where the command is none. */
    static void run(Settings settings, List<String> words) {
        int code;
        try (CommandServer server = CommandServer.of(settings)) {
            String url = settings.url()
                    .map(URI::toString)
                    .orElse(server.running().address().toString());
            CommandLine command = new CommandLine(new PeopleCommand(server.running(), url));
            command.setCaseInsensitiveEnumValuesAllowed(true);
            command.getSubcommands().values().forEach(one -> one.setUsageHelpWidth(USAGE_WIDTH));
            command.setExecutionExceptionHandler((fault, line, result) -> {
                System.err.println("tychon: " + fault.getMessage());
                return 1;
            });
            code = command.execute(words.toArray(String[]::new));
        }
        System.exit(code);
    }

    @Override
    public void run() {
        CommandLine.usage(this, System.out);
    }

    @Command(
            description =
                    "Adds somebody and prints the link by which they set their password, once. The first becomes administrator and owns every project.")
    void add(
            @Parameters(paramLabel = "EMAIL") String email,
            @Option(names = "--name", required = true, description = "what they are called") String name,
            @Option(names = "--administrator", description = "they look after people and server") boolean administrator)
            throws IOException {
        ObjectNode body =
                JSON.createObjectNode().put("email", email).put("name", name).put("administrator", administrator);
        tellLink(ask("POST", "/api/people", body));
    }

    @Command(description = "Prints a link by which somebody sets another password, once.")
    void reset(
            @Parameters(paramLabel = "EMAIL") String email,
            @Option(names = "--without-codes", description = "they lost their app for one-time codes: ask for none")
                    boolean codes)
            throws IOException {
        String person = "/api/people/" + person(email).get("id").asText();
        if (codes) {
            ask("PATCH", person, JSON.createObjectNode().put("codes", false));
        }
        tellLink(ask("POST", person + "/reset", JSON.createObjectNode()));
    }

    /** What somebody can be, as it is typed. */
    enum RoleWord {
        READER,
        RISK_OWNER,
        EDITOR,
        OWNER,
        ADMINISTRATOR,
        NO_ADMINISTRATOR;

        @Override
        public String toString() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }

    @Command(description = "Gives somebody a part in a project, or makes them administrator of the server.")
    void role(
            @Parameters(paramLabel = "EMAIL") String email,
            @Parameters(paramLabel = "ROLE", description = "one of ${COMPLETION-CANDIDATES}") RoleWord role,
            @Option(names = "--project", description = "code or id of the project") String project)
            throws IOException {
        if (role == RoleWord.ADMINISTRATOR || role == RoleWord.NO_ADMINISTRATOR) {
            ask(
                    "PATCH",
                    "/api/people/" + person(email).get("id").asText(),
                    JSON.createObjectNode().put("administrator", role == RoleWord.ADMINISTRATOR));
        } else if (project == null) {
            throw new IllegalArgumentException("In which project? Say --project CODE.");
        } else {
            ask(
                    "PUT",
                    "/api/people/roles",
                    JSON.createObjectNode()
                            .put("email", email)
                            .put("project", project)
                            .put("role", role.toString()));
        }
        System.out.println(email + " is " + role + (project == null ? "" : " of " + project) + " now.");
    }

    @Command(description = "Lists everybody.")
    void list() throws IOException {
        for (JsonNode person : ask("GET", "/api/people", null)) {
            System.out.printf(
                    "%-40s %-30s %s%n",
                    person.get("email").asText(),
                    person.get("name").asText(),
                    (person.get("administrator").asBoolean() ? "administrator " : "")
                            + (person.get("disabled").asBoolean() ? "shut out " : "")
                            + (person.get("joined").asBoolean() ? "" : "has not joined yet"));
        }
    }

    private JsonNode person(String email) throws IOException {
        for (JsonNode person : ask("GET", "/api/people", null)) {
            if (person.get("email").asText().equalsIgnoreCase(email.strip())) {
                return person;
            }
        }
        throw new IllegalArgumentException("There is nobody with the address " + email + ".");
    }

    private void tellLink(JsonNode link) {
        System.out.println(
                "Good once, for three days: " + url + link.get("path").asText());
    }

    private JsonNode ask(String method, String path, JsonNode body) throws IOException {
        HttpResponse<String> response = server.send(method, path, body == null ? "" : body.toString());
        JsonNode answer = response.body().isEmpty() ? JSON.createObjectNode() : JSON.readTree(response.body());
        if (response.statusCode() >= 400) {
            throw new IllegalArgumentException(
                    answer.path("detail").asText("the server answered " + response.statusCode()));
        }
        return answer;
    }
}
