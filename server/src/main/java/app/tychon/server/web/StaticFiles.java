package app.tychon.server.web;

import java.time.Duration;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** The interface's own files: those whose name changes with what is in them stay in the browser, the page itself is asked for. */
@Configuration
class StaticFiles implements WebMvcConfigurer {
    private static final Duration A_YEAR = Duration.ofDays(365);
    private static final String FOLDER = "classpath:/static/";

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        registry.addResourceHandler("/assets/**")
                .addResourceLocations(FOLDER + "assets/")
                .setCacheControl(CacheControl.maxAge(A_YEAR).cachePublic().immutable());
        registry.addResourceHandler("/**").addResourceLocations(FOLDER).setCacheControl(CacheControl.noCache());
    }
}
