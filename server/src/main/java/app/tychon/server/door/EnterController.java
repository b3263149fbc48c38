package app.tychon.server.door;

import app.tychon.server.people.People;
import app.tychon.server.people.SignIn;
import app.tychon.server.rights.ForAdministrators;
import app.tychon.server.rights.ForEverybody;
import app.tychon.server.rights.Who;
import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.net.URI;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The door for the one person of a machine: the address that was printed when the server started. */
@Hidden
@RestController
class EnterController {
    static final String PATH = "/enter";
    private static final Logger CONSOLE = LoggerFactory.getLogger("tychon.console");
    /** An address within this server: no other can follow one slash alone. */
    private static final String WITHIN = "/([A-Za-z0-9_-][A-Za-z0-9/_?=&.%-]*)?";

    private final MachineKey machine;
    private final People people;
    private final SignIn signIn;
    private final String address;

    EnterController(MachineKey machine, People people, SignIn signIn, @Value("${tychon.address:}") String address) {
        this.machine = machine;
        this.people = people;
        this.signIn = signIn;
        this.address = address;
    }

    /** An address of the server that lets a browser in once. */
    record Entrance(String path) {}

    @PostMapping("/api/entrances")
    @ForAdministrators
    Entrance freshEntrance() {
        return new Entrance(machine.freshAddress());
    }

    /** Opens the page that was meant, signed in where the key is good; the page says what to do where it is not. */
    @GetMapping(PATH + "/{key}")
    @ForEverybody
    ResponseEntity<Void> enter(
            @PathVariable String key,
            @RequestParam(defaultValue = "/projects") String to,
            HttpServletRequest request,
            HttpServletResponse response) {
        if (!people.areHere() && machine.spend(key)) {
            signIn.open(Who.ALONE, request, response);
            CONSOLE.info("Another browser on this machine can open {}{}", address, machine.freshAddress());
        }
        String page = to.matches(WITHIN) ? to : "/projects";
        return ResponseEntity.status(HttpStatus.SEE_OTHER)
                .location(URI.create(page))
                .build();
    }
}
