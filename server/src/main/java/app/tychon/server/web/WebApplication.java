package app.tychon.server.web;

import app.tychon.server.rights.ForEverybody;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** Serves the one page of the interface for every address that its own routes know. */
@Controller
@ForEverybody
class WebApplication {
    @GetMapping({"/", "/projects", "/projects/{id}/{stage:[a-z-]+}", "/account", "/people", "/machines", "/join/{key}"})
    String page() {
        return "forward:/index.html";
    }
}
