package app.tychon.server.inbox;

import app.tychon.server.inbox.Inbox.NoticeView;
import app.tychon.server.rights.SignedIn;
import app.tychon.server.rights.Who;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What waits for whoever asks. */
@RestController
@SignedIn
@RequestMapping("/api/me/inbox")
class InboxController {
    private final Inbox inbox;

    InboxController(Inbox inbox) {
        this.inbox = inbox;
    }

    @GetMapping
    List<NoticeView> listNotices() {
        return inbox.of(Who.accountNow().orElseThrow());
    }

    /** What was read. */
    record ReadWords(@NotNull @Size(min = 1, max = 500) List<UUID> notices) {}

    @PostMapping("/read")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void readNotices(@RequestBody @Valid ReadWords words) {
        inbox.read(Who.accountNow().orElseThrow(), words.notices());
    }
}
