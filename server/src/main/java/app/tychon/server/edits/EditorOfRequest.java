package app.tychon.server.edits;

import app.tychon.server.problems.NotFoundException;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.core.MethodParameter;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.support.WebDataBinderFactory;
import org.springframework.web.context.request.NativeWebRequest;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.method.support.ModelAndViewContainer;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Who edits, out of the path and the headers of a request: any handler that asks for an {@link Editor} gets them. */
@Component
class EditorOfRequest implements HandlerMethodArgumentResolver, WebMvcConfigurer {
    static {
        SpringDocUtils.getConfig().addRequestWrapperToIgnore(Editor.class);
    }

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(this);
    }

    @Override
    public boolean supportsParameter(MethodParameter parameter) {
        return parameter.getParameterType() == Editor.class;
    }

    @Override
    public Editor resolveArgument(
            MethodParameter parameter,
            ModelAndViewContainer container,
            NativeWebRequest request,
            WebDataBinderFactory binders) {
        Map<?, ?> path = (Map<?, ?>)
                request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE, RequestAttributes.SCOPE_REQUEST);
        return Editor.of(
                project(String.valueOf(path.get("id"))),
                Editor.person(request.getHeader(Editor.PERSON)),
                request.getHeader(HttpHeaders.IF_MATCH));
    }

    private static UUID project(String id) {
        try {
            return UUID.fromString(id);
        } catch (IllegalArgumentException e) {
            throw new NotFoundException("There is no such project.");
        }
    }
}
