package app.tychon.server.standings;

import app.tychon.server.rights.WorksHere;
import java.util.List;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Where all projects stand that somebody may read. */
@RestController
@WorksHere
@RequestMapping("/api/standings")
class StandingController {
    private final Standings standings;

    StandingController(Standings standings) {
        this.standings = standings;
    }

    /** What is not of the newest plan is worked out meanwhile; ask again. */
    @GetMapping
    List<StandingView> listStandings() {
        return standings.all();
    }
}
