package app.tychon.server.people;

import app.tychon.server.people.BrowserSessions.BrowserSession;
import app.tychon.server.people.JoinController.PasswordWords;
import app.tychon.server.rights.Memberships;
import app.tychon.server.rights.SignedIn;
import app.tychon.server.rights.Who;
import jakarta.annotation.Nullable;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What somebody does with their own account. */
@RestController
@RequestMapping("/api/me")
@SignedIn
class OwnAccountController {
    private final OwnAccount own;
    private final BrowserSessions sessions;
    private final Memberships memberships;

    OwnAccountController(OwnAccount own, BrowserSessions sessions, Memberships memberships) {
        this.own = own;
        this.sessions = sessions;
        this.memberships = memberships;
    }

    private static UUID me() {
        return Who.accountNow().orElseThrow();
    }

    /** What somebody calls themselves. */
    record OwnName(@NotNull String name) {}

    @PatchMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void callMe(@RequestBody @Valid OwnName words) {
        own.call(me(), words.name());
    }

    /**
     * Another password.
     *
     * @param password the one of now
     * @param fresh the one from now on
     */
    record NewPassword(@NotNull @Size(max = 256) String password, @NotNull @Size(max = 256) String fresh) {}

    /** Other browsers are signed out. */
    @PutMapping("/password")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changePassword(@RequestBody @Valid NewPassword words, HttpServletRequest request) {
        own.changePassword(me(), words.password(), words.fresh(), request);
    }

    /** A secret for an app for one-time codes. */
    @PostMapping("/codes")
    OwnAccount.CodesView beginCodes(@RequestBody @Valid PasswordWords words, HttpServletRequest request) {
        return own.beginCodes(me(), words.password(), request);
    }

    /** A code, as an app shows it. */
    record CodeWords(@NotNull @Size(max = 40) String code) {}

    /** Turns one-time codes on; answers what lets one in where the app is lost, each once. */
    @PutMapping("/codes")
    List<String> turnCodesOn(@RequestBody @Valid CodeWords words) {
        return own.turnCodesOn(me(), words.code());
    }

    @PostMapping("/codes/off")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void turnCodesOff(@RequestBody @Valid PasswordWords words, HttpServletRequest request) {
        own.turnCodesOff(me(), words.password(), request);
    }

    /** Where one is signed in. */
    @GetMapping("/sessions")
    List<BrowserSession> listSessions(HttpServletRequest request) {
        return sessions.of(me(), here(request));
    }

    @DeleteMapping("/sessions/{session}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void endSession(@PathVariable String session) {
        sessions.end(me(), session);
    }

    /** Signs out everywhere, here too. */
    @DeleteMapping("/sessions")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void endSessions() {
        sessions.endAll(me());
    }

    private static String here(HttpServletRequest request) {
        return request.getSession(false) == null ? "" : request.getSession().getId();
    }

    /** A token, without what opens it. */
    record TokenView(
            UUID id,
            String name,
            Who.Scope scope,
            @Nullable UUID project,
            Instant madeAt,
            Instant expiresAt,
            @Nullable Instant usedAt) {
        static TokenView of(ApiTokenEntity token) {
            return new TokenView(
                    token.id(),
                    token.name(),
                    token.scope(),
                    token.projectId(),
                    instant(token.madeAt()),
                    instant(token.expiresAt()),
                    instant(token.usedAt()));
        }

        private static Instant instant(LocalDateTime time) {
            return time == null ? null : time.toInstant(ZoneOffset.UTC);
        }
    }

    /**
     * A token that is wanted.
     *
     * @param project the only project it is for; all where absent
     * @param days how long it lasts
     */
    record TokenWords(
            @NotNull String name,
            @NotNull Who.Scope scope,
            @Nullable UUID project,
            @Min(value = 1, message = "A token lasts 1 to 366 days.")
                    @Max(value = 366, message = "A token lasts 1 to 366 days.")
                    int days) {}

    /** What a program sends as {@code Authorization: Bearer …}; it is not told again. */
    record FreshToken(String token) {}

    @GetMapping("/tokens")
    List<TokenView> listTokens() {
        return own.tokens(me()).stream().map(TokenView::of).toList();
    }

    @PostMapping("/tokens")
    @ResponseStatus(HttpStatus.CREATED)
    FreshToken makeToken(@RequestBody @Valid TokenWords words) {
        if (words.project() != null && memberships.find(words.project(), me()).isEmpty()) {
            throw PasswordRules.refused("/project", "There is no such project.");
        }
        return new FreshToken(own.token(me(), words.name(), words.scope(), words.project(), words.days()));
    }

    @DeleteMapping("/tokens/{token}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void withdrawToken(@PathVariable UUID token) {
        own.withdrawToken(me(), token);
    }
}
