package app.tychon.server.people;

import app.tychon.server.problems.NotFoundException;
import app.tychon.server.rights.ForEverybody;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Setting a password by a link that was handed over. */
@RestController
@RequestMapping("/api/join/{key}")
@ForEverybody
class JoinController {
    /** The page of the interface that asks for the password. */
    static final String PAGE = "/join";

    private final AccountLinks links;
    private final OwnAccount own;

    JoinController(AccountLinks links, OwnAccount own) {
        this.links = links;
        this.own = own;
    }

    /** Whom a link is for. */
    record Joining(String name, String email) {}

    /** A password as it is typed. */
    record PasswordWords(@NotNull @Size(max = 256) String password) {}

    @GetMapping
    Joining getJoining(@PathVariable String key) {
        return links.of(key)
                .map(account -> new Joining(account.name(), account.email()))
                .orElseThrow(JoinController::spent);
    }

    @PostMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void join(@PathVariable String key, @RequestBody @Valid PasswordWords words) {
        own.join(key, words.password());
    }

    static NotFoundException spent() {
        return new NotFoundException(
                "This link is no longer good: it was used, another was made, or it is older than three days. Ask for another.");
    }
}
