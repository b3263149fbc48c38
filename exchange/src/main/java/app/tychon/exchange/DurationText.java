package app.tychon.exchange;

import app.tychon.core.model.WorkDuration;
import java.util.Optional;

/** A duration or lag as text with its unit, such as {@code 12d}. */
public final class DurationText {
    private DurationText() {}

    public static WorkDuration read(JsonCursor at) {
        String text = at.text();
        Optional<WorkDuration> duration = WorkDuration.parse(text);
        if (duration.isEmpty() && !text.equals("?")) {
            at.problem("must be a number with a unit (min, h, d, w or ed) such as 12d, not " + at.quoted());
        }
        return duration.orElse(WorkDuration.ZERO);
    }
}
