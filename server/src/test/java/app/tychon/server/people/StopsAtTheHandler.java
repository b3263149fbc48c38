package app.tychon.server.people;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.core.Ordered;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Answers 204 where the rule of a handler has let somebody through, instead of calling it, for requests that ask for that. */
@TestConfiguration
class StopsAtTheHandler implements WebMvcConfigurer {
    static final String ONLY_RULES = "Only-Rules";

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(new HandlerInterceptor() {
                    @Override
                    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
                        boolean stops = request.getHeader(ONLY_RULES) != null;
                        if (stops) {
                            response.setStatus(HttpServletResponse.SC_NO_CONTENT);
                        }
                        return !stops;
                    }
                })
                .order(Ordered.LOWEST_PRECEDENCE);
    }
}
