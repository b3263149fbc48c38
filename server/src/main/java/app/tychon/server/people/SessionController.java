package app.tychon.server.people;

import app.tychon.server.audit.Audit;
import app.tychon.server.rights.ForEverybody;
import app.tychon.server.rights.Who;
import jakarta.annotation.Nullable;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.Optional;
import java.util.UUID;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Coming in and going out. */
@RestController
@ForEverybody
class SessionController {
    private final People people;
    private final AccountLinks links;
    private final SignIn signIn;
    private final Audit audit;
    /** What the provider of single sign-on is called, where there is one. */
    private final String singleSignOn;

    SessionController(
            People people,
            AccountLinks links,
            SignIn signIn,
            Audit audit,
            @Value("${tychon.oidc.name:#{null}}") String singleSignOn) {
        this.people = people;
        this.links = links;
        this.signIn = signIn;
        this.audit = audit;
        this.singleSignOn = singleSignOn;
    }

    /** Who asks. It answers everybody. */
    @GetMapping("/api/me")
    MeView getMe() {
        boolean alone = !people.areHere();
        return Who.now()
                .flatMap(who -> who.account() == null
                        ? alone ? Optional.of(MeView.theOnlyOne()) : Optional.empty()
                        : people.find(who.account())
                                .map(account -> MeView.of(account, people.lacksCodes(account), links.areSent())))
                .orElseGet(() -> MeView.nobody(alone, links.areSent(), singleSignOn));
    }

    /**
     * What somebody types to come in.
     *
     * @param code where a one-time code is asked for
     */
    record SignInWords(
            @NotNull @Size(max = 254) String email,
            @NotNull @Size(max = 256) String password,
            @Nullable @Size(max = 40) String code) {}

    /**
     * What became of it.
     *
     * @param codeNeeded whether the password holds and a one-time code is needed as well
     */
    record SignInView(boolean codeNeeded) {}

    @PostMapping("/api/session")
    SignInView signIn(@RequestBody @Valid SignInWords words, HttpServletRequest request, HttpServletResponse response) {
        Optional<UUID> account = signIn.by(
                words.email(), words.password(), words.code() == null ? "" : words.code(), request.getRemoteAddr());
        account.ifPresent(id -> signIn.open(Who.person(id), request, response));
        return new SignInView(account.isEmpty());
    }

    @DeleteMapping("/api/session")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void signOut(HttpServletRequest request) {
        if (request.getSession(false) != null) {
            audit.note("sign-out");
            request.getSession().invalidate();
        }
        SecurityContextHolder.clearContext();
    }

    @ExceptionHandler
    ProblemDetail notLetIn(NotLetIn e) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.UNPROCESSABLE_ENTITY, e.getMessage());
    }
}
