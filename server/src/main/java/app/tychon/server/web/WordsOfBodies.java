package app.tychon.server.web;

import io.swagger.v3.oas.models.Components;
import io.swagger.v3.oas.models.Operation;
import io.swagger.v3.oas.models.SpecVersion;
import io.swagger.v3.oas.models.media.ArraySchema;
import io.swagger.v3.oas.models.media.Content;
import io.swagger.v3.oas.models.media.MediaType;
import io.swagger.v3.oas.models.media.Schema;
import io.swagger.v3.oas.models.parameters.RequestBody;
import java.lang.annotation.Annotation;
import java.util.Arrays;
import java.util.Optional;
import org.springdoc.core.customizers.GlobalOperationComponentsCustomizer;
import org.springdoc.core.utils.SpringDocAnnotationsUtils;
import org.springframework.core.MethodParameter;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;

/** Tells the API's document what bodies look like that are read as trees. */
@Component
class WordsOfBodies implements GlobalOperationComponentsCustomizer {
    @Override
    public Operation customize(Operation operation, HandlerMethod method) {
        return operation;
    }

    @Override
    public Operation customize(Operation operation, Components components, HandlerMethod method) {
        Arrays.stream(method.getMethodParameters())
                .map(WordsOfBodies::words)
                .flatMap(Optional::stream)
                .forEach(words -> {
                    Schema<?> one = SpringDocAnnotationsUtils.extractSchema(
                            components, words.value(), null, new Annotation[0], SpecVersion.V31);
                    operation.setRequestBody(new RequestBody()
                            .required(true)
                            .content(new Content()
                                    .addMediaType(
                                            "application/json",
                                            new MediaType()
                                                    .schema(words.list() ? new ArraySchema().items(one) : one))));
                });
        return operation;
    }

    private static Optional<Words> words(MethodParameter parameter) {
        return Optional.ofNullable(parameter.getParameterAnnotation(Words.class));
    }
}
