package app.tychon.server.comments;

import app.tychon.server.inbox.About;
import app.tychon.server.rights.MayKeepRisks;
import app.tychon.server.rights.MayRead;
import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What people say of anything in a project. */
@RestController
@MayRead
@RequestMapping("/api/projects/{id}/comments")
class CommentController {
    private static final int LONGEST = 4_000;

    private final Comments comments;

    CommentController(Comments comments) {
        this.comments = comments;
    }

    /**
     * A comment.
     *
     * @param answerTo the one that it answers
     * @param by what whoever said it is called; absent where there are no accounts, or theirs is gone
     * @param own whether whoever asks said it
     */
    record CommentView(
            UUID id,
            About about,
            @Nullable UUID answerTo,
            @Nullable String by,
            boolean own,
            String words,
            Instant at,
            @Nullable Instant editedAt,
            @Nullable Instant resolvedAt,
            @Nullable String resolvedBy) {}

    /** What somebody says; whoever is named behind an @ is told. */
    record CommentWords(
            @NotNull @Valid About about,
            @Nullable UUID answerTo,
            @NotBlank(message = "There is nothing said yet.")
                    @Size(max = LONGEST, message = "A comment has at most 4,000 letters.")
                    String words) {}

    /** What is to change of a comment; what is absent stays. */
    record CommentChange(
            @Nullable @Size(min = 1, max = LONGEST, message = "A comment has 1 to 4,000 letters.") String words,
            @Nullable Boolean resolved) {}

    @GetMapping
    List<CommentView> listComments(@PathVariable UUID id) {
        return comments.of(id);
    }

    @MayKeepRisks
    @PostMapping
    List<CommentView> sayComment(@PathVariable UUID id, @RequestBody @Valid CommentWords words) {
        comments.say(id, words);
        return comments.of(id);
    }

    @MayKeepRisks
    @PatchMapping("/{comment}")
    List<CommentView> changeComment(
            @PathVariable UUID id, @PathVariable UUID comment, @RequestBody @Valid CommentChange change) {
        comments.change(id, comment, change);
        return comments.of(id);
    }

    @MayKeepRisks
    @DeleteMapping("/{comment}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeComment(@PathVariable UUID id, @PathVariable UUID comment) {
        comments.remove(id, comment);
    }
}
