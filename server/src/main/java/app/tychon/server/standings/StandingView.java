package app.tychon.server.standings;

import app.tychon.server.confirm.ConfirmedShare;
import app.tychon.server.programmes.ProgrammeMembers.Part;
import jakarta.annotation.Nullable;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/**
 * Where a project stands, as the list of all shows it.
 *
 * @param standing absent before it was ever worked out
 * @param fresh whether it is of the plan as it is; else it is being worked out anew
 * @param problem why it cannot be; absent where it can
 * @param confirmed how much of what it rests on was confirmed, of a programme in those of its projects that whoever asks may
 *     read; absent where nobody was ever asked
 * @param parts of a programme: its projects
 */
record StandingView(
        UUID project,
        @Nullable Standing standing,
        boolean fresh,
        @Nullable String problem,
        @Nullable ConfirmedShare confirmed,
        List<StandingPartView> parts) {

    /**
     * A project within a programme.
     *
     * @param project absent where whoever asks may not read it
     * @param name absent where it lets nothing out to whoever asks
     * @param standing within the programme; absent where nothing is let out, or nothing known yet
     */
    record StandingPartView(String code, @Nullable UUID project, @Nullable String name, @Nullable Standing standing) {}

    static StandingView of(
            UUID project,
            @Nullable Standing standing,
            boolean fresh,
            @Nullable String problem,
            @Nullable ConfirmedShare confirmed,
            List<Part> parts,
            Map<UUID, String> names) {
        boolean all = parts.stream().allMatch(Part::readable);
        return new StandingView(
                project,
                standing == null ? null : told(standing, all),
                fresh,
                problem,
                confirmed,
                parts.stream()
                        .map(part -> new StandingPartView(
                                part.code(),
                                part.readable() ? part.project() : null,
                                part.isTold() ? names.get(part.project()) : null,
                                part.isTold() ? of(standing, part.code(), part.readable()) : null))
                        .toList());
    }

    private static @Nullable Standing of(@Nullable Standing standing, String code, boolean readable) {
        return standing == null
                ? null
                : standing.parts().stream()
                        .filter(one -> code.equals(one.code()))
                        .map(one -> told(one, readable))
                        .findFirst()
                        .orElse(null);
    }

    /** Projects stand beneath it by themselves; the name of what drives it is only for those who may read where it is from. */
    private static Standing told(Standing whole, boolean driver) {
        return new Standing(
                whole.code(),
                whole.confidence(),
                whole.finish(),
                whole.cost(),
                whole.currency(),
                driver ? whole.driver() : null,
                whole.findings(),
                whole.milestones(),
                List.of());
    }
}
