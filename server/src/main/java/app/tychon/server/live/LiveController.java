package app.tychon.server.live;

import app.tychon.server.rights.MayRead;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@MayRead
@RequestMapping("/api/projects/{id}/odds")
class LiveController {
    private final LiveOdds live;

    LiveController(LiveOdds live) {
        this.live = live;
    }

    /** Live odds as they are known now; the events named {@code odds} tell of newer ones. */
    @GetMapping
    LiveView liveOdds(@PathVariable UUID id) {
        return live.now(id);
    }
}
