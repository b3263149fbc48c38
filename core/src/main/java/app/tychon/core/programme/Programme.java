package app.tychon.core.programme;

import app.tychon.core.model.Targets;
import java.util.List;
import java.util.function.Predicate;

/**
 * Projects that are calculated together in the same futures, each with a life of its own.
 *
 * @param currency ISO 4217 code, in which their money is added
 * @param members  in the order in which they are shown
 */
public record Programme(
        String id, String name, String currency, Targets targets, List<Member> members, List<Tie> ties) {
    public Programme {
        members = List.copyOf(members);
        ties = List.copyOf(ties);
    }

    /** The same projects, tied by some of the ties alone. */
    public Programme tiedBy(Predicate<Tie> which) {
        return new Programme(
                id,
                name,
                currency,
                targets,
                members,
                ties.stream().filter(which).toList());
    }
}
