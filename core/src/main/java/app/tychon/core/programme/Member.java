package app.tychon.core.programme;

import app.tychon.core.model.Part;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Project;
import java.util.Optional;

/**
 * A project in a programme.
 *
 * @param code what stands before the ids of all its rows in the programme, with a colon after it
 * @param rate what its money is worth in the programme's currency; nothing where that is its own
 */
public record Member(String code, Plan plan, Optional<ExchangeRate> rate) {

    /** What of its plan as a whole holds in the programme too. */
    public Part part() {
        Project own = plan.project();
        return new Part(
                code,
                own.name(),
                own.draws(),
                own.start(),
                own.dataDate(),
                Part.qualified(code, own.calendar()),
                own.lagCalendar());
    }
}
