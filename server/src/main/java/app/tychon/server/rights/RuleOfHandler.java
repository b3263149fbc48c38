package app.tychon.server.rights;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.lang.reflect.AccessibleObject;
import java.lang.reflect.Method;
import org.aopalliance.intercept.MethodInvocation;
import org.springframework.context.ApplicationContext;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.access.expression.method.DefaultMethodSecurityExpressionHandler;
import org.springframework.security.authorization.AuthorizationResult;
import org.springframework.security.authorization.method.PreAuthorizeAuthorizationManager;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Component;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Asks the rule of a handler ({@code @PreAuthorize}, by Spring's own manager) before anything of the request's body is read.
 * A handler of ours without a rule answers nobody.
 */
@Component
public class RuleOfHandler implements HandlerInterceptor, WebMvcConfigurer {
    private static final String OURS = "app.tychon.";

    private final PreAuthorizeAuthorizationManager rules = new PreAuthorizeAuthorizationManager();

    RuleOfHandler(ApplicationContext application) {
        DefaultMethodSecurityExpressionHandler expressions = new DefaultMethodSecurityExpressionHandler();
        expressions.setApplicationContext(application);
        rules.setExpressionHandler(expressions);
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        boolean asked = request.getDispatcherType() == DispatcherType.REQUEST;
        if (asked
                && handler instanceof HandlerMethod method
                && method.getBeanType().getName().startsWith(OURS)) {
            AuthorizationResult result =
                    rules.authorize(() -> SecurityContextHolder.getContext().getAuthentication(), new Handling(method));
            if (result == null || !result.isGranted()) {
                throw new AccessDeniedException("You may not do this. Nothing was changed.");
            }
        }
        return true;
    }

    /** A handler that is about to be called; its arguments are not known yet. */
    private record Handling(HandlerMethod handler) implements MethodInvocation {
        @Override
        public Method getMethod() {
            return handler.getMethod();
        }

        @Override
        public Object[] getArguments() {
            return new Object[handler.getMethodParameters().length];
        }

        @Override
        public Object proceed() {
            throw new UnsupportedOperationException();
        }

        @Override
        public Object getThis() {
            return handler.getBean();
        }

        @Override
        public AccessibleObject getStaticPart() {
            return handler.getMethod();
        }
    }
}
