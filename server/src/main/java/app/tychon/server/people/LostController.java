package app.tychon.server.people;

import app.tychon.server.rights.ForEverybody;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** For whoever forgot their password, where a server for mail is set. */
@RestController
@RequestMapping("/api/lost")
@ForEverybody
class LostController {
    private final AccountLinks links;

    LostController(AccountLinks links) {
        this.links = links;
    }

    /** Who says so. */
    record LostWords(@NotNull @Size(max = 254) String email) {}

    /** Sends a link to the address, if somebody has it. The answer is the same where nobody does. */
    @PostMapping
    @ResponseStatus(HttpStatus.ACCEPTED)
    void lostPassword(@RequestBody @Valid LostWords words, HttpServletRequest request) {
        links.lost(words.email(), request.getRemoteAddr());
    }
}
