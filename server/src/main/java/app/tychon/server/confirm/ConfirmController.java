package app.tychon.server.confirm;

import app.tychon.server.inbox.About;
import app.tychon.server.rights.MayEdit;
import app.tychon.server.rights.MayRead;
import app.tychon.server.rights.MayReadInPerson;
import com.fasterxml.jackson.annotation.JsonProperty;
import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Ranges and risks that are sent to their owners to be confirmed. */
@RestController
@MayRead
@RequestMapping("/api/projects/{id}/confirmations")
class ConfirmController {
    private final Confirmations confirmations;

    ConfirmController(Confirmations confirmations) {
        this.confirmations = confirmations;
    }

    /** How something stands that somebody was asked to confirm. */
    enum ConfirmationState {
        @JsonProperty("asked")
        ASKED,
        @JsonProperty("confirmed")
        CONFIRMED,
        @JsonProperty("declined")
        DECLINED,
        /** Changed since it was answered. */
        @JsonProperty("stale")
        STALE
    }

    /**
     * Something that somebody was asked to confirm.
     *
     * @param whom what they are called
     * @param mine whether it is whoever asks
     */
    record ConfirmationView(
            UUID id,
            About about,
            String whom,
            boolean mine,
            @Nullable String askedBy,
            Instant askedAt,
            @Nullable Instant answeredAt,
            ConfirmationState state,
            @Nullable String note) {}

    /** Who is asked about what. */
    record AskWords(
            @NotNull @Size(max = 254) String email,
            @NotNull @Size(min = 1, max = 500, message = "1 to 500 can be asked about at once.")
                    List<@Valid About> about) {}

    /** Whether it holds, and why not. */
    record AnswerWords(boolean holds, @Nullable @Size(max = 4_000) String note) {}

    @GetMapping
    List<ConfirmationView> listConfirmations(@PathVariable UUID id) {
        return confirmations.of(id);
    }

    /** Asks somebody, anew where they or others were asked before. */
    @MayEdit
    @PostMapping
    List<ConfirmationView> askToConfirm(@PathVariable UUID id, @RequestBody @Valid AskWords words) {
        confirmations.ask(id, words);
        return confirmations.of(id);
    }

    @MayReadInPerson
    @PutMapping("/{confirmation}")
    List<ConfirmationView> confirm(
            @PathVariable UUID id, @PathVariable UUID confirmation, @RequestBody @Valid AnswerWords words) {
        confirmations.answer(id, confirmation, words);
        return confirmations.of(id);
    }

    @MayEdit
    @DeleteMapping("/{confirmation}")
    List<ConfirmationView> withdrawAsking(@PathVariable UUID id, @PathVariable UUID confirmation) {
        confirmations.withdraw(id, confirmation);
        return confirmations.of(id);
    }
}
