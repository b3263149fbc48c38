package app.tychon.server.edits;

import io.swagger.v3.oas.models.Operation;
import io.swagger.v3.oas.models.media.UUIDSchema;
import io.swagger.v3.oas.models.parameters.PathParameter;
import java.util.Arrays;
import org.springdoc.core.customizers.OperationCustomizer;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;

/** Tells the API's document of the project that handlers find in their {@link Editor}. */
@Component
class EditorInDocument implements OperationCustomizer {
    private static final String PROJECT = "id";

    @Override
    public Operation customize(Operation operation, HandlerMethod method) {
        boolean edits = Arrays.stream(method.getMethodParameters()).anyMatch(p -> p.getParameterType() == Editor.class);
        boolean known = operation.getParameters() != null
                && operation.getParameters().stream().anyMatch(p -> PROJECT.equals(p.getName()));
        if (edits && !known) {
            operation.addParametersItem(new PathParameter().name(PROJECT).schema(new UUIDSchema()));
        }
        return operation;
    }
}
