package app.tychon.server.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.request;

import app.tychon.server.TestDatabase;
import app.tychon.server.rights.Who;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.http.HttpMethod;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/**
 * Every route of ours with everybody who may come along: {@code routes.txt} says of each who is let through, written by hand. A
 * new route that is not on the list fails the test, and so does one that lets others through than it says.
 */
class RouteRulesTest extends PeopledTest {
    private static final String NOBODY = "nobody";
    private static final String MACHINE = "machine";
    private static final String READING_TOKEN = "reading-token";
    private static final String OTHERS_TOKEN = "token-of-another-project";

    /** Whom each word of the list lets through. */
    private static final Map<String, List<String>> LETS_THROUGH = Map.ofEntries(
            Map.entry(
                    "everybody",
                    List.of(
                            NOBODY,
                            MACHINE,
                            READING_TOKEN,
                            OTHERS_TOKEN,
                            OWNER,
                            EDITOR,
                            RISK_OWNER,
                            READER,
                            ADMINISTRATOR)),
            Map.entry("worker", List.of(READING_TOKEN, OTHERS_TOKEN, OWNER, EDITOR, RISK_OWNER, READER, ADMINISTRATOR)),
            Map.entry("beginner", List.of(OWNER, EDITOR, RISK_OWNER, READER, ADMINISTRATOR)),
            Map.entry("account", List.of(OWNER, EDITOR, RISK_OWNER, READER, ADMINISTRATOR)),
            Map.entry("reader", List.of(READING_TOKEN, OWNER, EDITOR, RISK_OWNER, READER)),
            Map.entry("in-person", List.of(OWNER, EDITOR, RISK_OWNER, READER)),
            Map.entry("risk-owner", List.of(OWNER, EDITOR, RISK_OWNER)),
            Map.entry("editor", List.of(OWNER, EDITOR)),
            Map.entry("owner", List.of(OWNER)),
            Map.entry("administrator", List.of(ADMINISTRATOR, MACHINE)),
            Map.entry("machine", List.of(MACHINE)));

    @Autowired
    @Qualifier("requestMappingHandlerMapping")
    private RequestMappingHandlerMapping handlers;

    @Test
    void everyRouteLetsThroughWhomItsRuleNamesAndNobodyElse() throws Exception {
        Map<String, String> rules = rules();
        assertThat(routes()).as("every route has its line in routes.txt").containsExactlyElementsOf(rules.keySet());
        String project = project();
        String other = project();
        String run = answer(as(
                        OWNER,
                        request(HttpMethod.POST, "/api/projects/" + project + "/runs")
                                .contentType("application/json")
                                .content("{\"iterations\":100,\"seed\":1}")))
                .get("id")
                .asText();
        Map<String, String> keys = new LinkedHashMap<>();
        keys.put(NOBODY, "none");
        keys.put(MACHINE, "Bearer " + TestDatabase.MACHINE_KEY);
        for (String email : List.of(OWNER, EDITOR, RISK_OWNER, READER, ADMINISTRATOR)) {
            keys.put(email, "Bearer " + token(email));
        }
        keys.put(READING_TOKEN, "Bearer " + own.token(account(OWNER), "reads", Who.Scope.READING, null, 1));
        keys.put(
                OTHERS_TOKEN,
                "Bearer " + own.token(account(OWNER), "other", Who.Scope.EVERYTHING, UUID.fromString(other), 1));

        List<String> wrong = new ArrayList<>();
        for (Map.Entry<String, String> rule : rules.entrySet()) {
            List<String> through = LETS_THROUGH.get(rule.getValue());
            for (Map.Entry<String, String> key : keys.entrySet()) {
                int status = status(rule.getKey(), key.getValue(), project, run);
                boolean let = status == 204;
                if (let != through.contains(key.getKey()) || !let && status != 401 && status != 403 && status != 404) {
                    wrong.add(rule.getKey() + " answers " + key.getKey() + " with " + status + ", is for "
                            + rule.getValue());
                }
            }
        }
        assertThat(wrong).isEmpty();
    }

    private int status(String route, String authorization, String project, String run) throws Exception {
        String[] parts = route.split(" ");
        String path = parts[1].replace("{id}", project)
                .replace("{run}", run)
                .replaceAll(
                        "\\{(person|issue|link|token|comment|confirmation)}",
                        UUID.randomUUID().toString())
                .replaceAll("\\{(number|revision|weight)}", "1")
                .replaceAll("\\{[^}]+}", "x");
        MockHttpServletRequestBuilder request = request(HttpMethod.valueOf(parts[0]), path)
                .header(StopsAtTheHandler.ONLY_RULES, "")
                .header("Authorization", authorization);
        if (authorization.equals("none")) {
            // What a browser that has just loaded the page would send; without it nobody gets as far as the rule.
            request.cookie(new jakarta.servlet.http.Cookie("XSRF-TOKEN", "t")).header("X-XSRF-TOKEN", "t");
        }
        for (String type : parts.length > 2 ? List.of(parts[2]) : List.<String>of()) {
            request.contentType(type);
        }
        MockHttpServletResponse response = http.perform(request).andReturn().getResponse();
        return response.getStatus();
    }

    /** Method, path and, where it matters, what is sent. */
    private List<String> routes() {
        List<String> routes = new ArrayList<>();
        handlers.getHandlerMethods().forEach((mapping, handler) -> {
            if (handler.getBeanType().getName().startsWith("app.tychon.")) {
                mapping.getPatternValues().forEach(path -> mapping.getMethodsCondition()
                        .getMethods()
                        .forEach(method -> routes.add(method + " " + path
                                + mapping.getConsumesCondition().getConsumableMediaTypes().stream()
                                        .findFirst()
                                        .map(type -> " " + type)
                                        .orElse(""))));
            }
        });
        return routes.stream().sorted().toList();
    }

    private static Map<String, String> rules() throws IOException {
        Map<String, String> rules = new TreeMap<>();
        for (String line : Files.readAllLines(Path.of("src/test/resources/routes.txt"))) {
            if (!line.isBlank() && !line.startsWith("#")) {
                int space = line.strip().lastIndexOf(' ');
                rules.put(
                        line.substring(0, space).strip(), line.substring(space).strip());
            }
        }
        return rules;
    }
}
