package app.tychon.server.audit;

import jakarta.servlet.DispatcherType;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Notes of every request whether something was denied, taken out, deleted or shared by it. */
@Component
class AuditTrail implements HandlerInterceptor, WebMvcConfigurer {
    private final Audit audit;

    AuditTrail(Audit audit) {
        this.audit = audit;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        // Before the rule of the handler, so that it sees what that denies.
        registry.addInterceptor(this).order(-1);
    }

    @Override
    public void afterCompletion(
            HttpServletRequest request, HttpServletResponse response, Object handler, Exception fault) {
        String event = request.getDispatcherType() == DispatcherType.REQUEST ? event(request, response) : "";
        if (!event.isEmpty()) {
            audit.note(event, "method", request.getMethod(), "path", request.getRequestURI());
        }
    }

    private static String event(HttpServletRequest request, HttpServletResponse response) {
        HttpStatus status = HttpStatus.resolve(response.getStatus());
        if (status == HttpStatus.FORBIDDEN) {
            return "denied";
        }
        if (status == null || !status.is2xxSuccessful()) {
            return "";
        }
        String disposition = response.getHeader(HttpHeaders.CONTENT_DISPOSITION);
        if (disposition != null && disposition.startsWith("attachment")) {
            return "taken-out";
        }
        if (request.getMethod().equals("DELETE")) {
            return "deleted";
        }
        return request.getMethod().equals("POST") && request.getRequestURI().endsWith("/links") ? "shared" : "";
    }
}
