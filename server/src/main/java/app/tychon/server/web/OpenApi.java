package app.tychon.server.web;

import io.swagger.v3.core.converter.AnnotatedType;
import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.servers.Server;
import jakarta.annotation.Nullable;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.customizers.PropertyCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The API's document: every field is always there unless it is marked {@link Nullable}. */
@Configuration
class OpenApi {
    private static final String MAY_BE_ABSENT = "x-may-be-absent";

    @Bean
    OpenAPI document() {
        // Wherever it is served; one that is made up for each reading would make the document another one.
        return new OpenAPI().info(new Info().title("Tychon").version("1")).servers(List.of(new Server().url("/")));
    }

    @Bean
    PropertyCustomizer noteNullable() {
        return (Schema property, AnnotatedType type) -> {
            boolean nullable = type.getCtxAnnotations() != null
                    && Arrays.stream(type.getCtxAnnotations()).anyMatch(Nullable.class::isInstance);
            if (nullable) {
                property.addExtension(MAY_BE_ABSENT, true);
            }
            return property;
        };
    }

    @Bean
    OpenApiCustomizer requireTheRest() {
        return api -> {
            // Sorted, so that the document is the same whatever order classes were found in.
            api.getComponents().setSchemas(new TreeMap<>(api.getComponents().getSchemas()));
            api.getComponents().getSchemas().values().forEach(OpenApi::require);
        };
    }

    private static void require(Schema<?> schema) {
        if (schema.getProperties() == null) {
            return;
        }
        List<String> required = new ArrayList<>();
        for (Map.Entry<String, ?> entry : schema.getProperties().entrySet()) {
            Schema<?> property = (Schema<?>) entry.getValue();
            Map<String, Object> extensions = property.getExtensions();
            if (extensions == null || extensions.remove(MAY_BE_ABSENT) == null) {
                required.add(entry.getKey());
            }
        }
        schema.setRequired(required);
    }
}
