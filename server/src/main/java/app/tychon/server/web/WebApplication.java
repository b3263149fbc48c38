package app.tychon.server.web;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** Serves the one page of the interface for every address that its own routes know. */
@Controller
class WebApplication {
    @GetMapping({"/", "/projects", "/projects/{id}/{stage:[a-z-]+}"})
    String page() {
        return "forward:/index.html";
    }
}
