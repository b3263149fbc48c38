package app.tychon.server.web;

import app.tychon.server.project.DemoProject;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import io.swagger.v3.oas.models.Operation;
import io.swagger.v3.oas.models.PathItem;
import io.swagger.v3.oas.models.media.MediaType;
import io.swagger.v3.oas.models.parameters.Parameter;
import java.util.Map;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Examples in the API's document that can be sent as they stand to a server with the demo. */
@Configuration
class ApiExamples {
    private static final String OF_A_PROJECT = "/api/projects/{id}";

    /** What stands in addresses and queries, by the names of parameters. */
    private static final Map<String, Object> PARAMETERS = Map.of(
            "id", DemoProject.ID.toString(),
            "brief", "B1",
            "block", "options",
            "scenario", "V3",
            "part", "percentiles");

    /** Bodies, by method and what follows the project in the address. */
    private static final Map<String, String> BODIES = Map.of(
            "POST /runs",
            "{\"iterations\":1000,\"seed\":4711,\"sampling\":\"latin\",\"name\":\"First look\"}",
            "PATCH /rows",
            "[{\"id\":\"S40\",\"duration\":\"42d\"}]",
            "PATCH /risks",
            "[{\"id\":\"R01\",\"probability\":0.25}]",
            "PATCH /scenarios",
            "[{\"id\":\"V1\",\"risks\":{\"R02\":\"off\"}}]",
            "PATCH /briefs",
            "[{\"id\":\"B1\",\"blocks\":[{\"id\":\"sure\",\"words\":[\"The target is kept by {target.often}.\"]}]}]",
            "PATCH /settings",
            "{\"confidence\":85}");

    @Bean
    OpenApiCustomizer exampled() {
        return api -> api.getPaths().forEach((path, item) -> {
            if (path.startsWith(OF_A_PROJECT)) {
                item.readOperations().forEach(ApiExamples::parameters);
                bodies(path.substring(OF_A_PROJECT.length()), item);
            }
        });
    }

    private static void parameters(Operation operation) {
        if (operation.getParameters() == null) {
            return;
        }
        for (Parameter parameter : operation.getParameters()) {
            Object example = PARAMETERS.get(parameter.getName());
            if (example != null && "path".equals(parameter.getIn())) {
                parameter.setExample(example);
            }
        }
    }

    private static void bodies(String path, PathItem item) {
        item.readOperationsMap().forEach((method, operation) -> {
            String body = BODIES.get(method + " " + path);
            if (body != null) {
                MediaType json = operation.getRequestBody().getContent().get("application/json");
                json.setExample(json(body));
            }
        });
    }

    private static Object json(String text) {
        try {
            return new ObjectMapper().readTree(text);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("the example is not sound: " + text, e);
        }
    }
}
