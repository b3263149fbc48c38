package app.tychon.server.check;

import app.tychon.core.model.Acceptance;
import app.tychon.core.model.InvalidPlanException;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Problem;
import app.tychon.core.register.check.RiskCheck;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.Scheduler;
import app.tychon.core.schedule.check.PlanCheck;
import app.tychon.core.uncertainty.check.RangeCheck;
import app.tychon.server.edits.Edit;
import jakarta.annotation.Nullable;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Findings of a check said to be no fault, or said to be one again.
 *
 * @param check its word
 * @param on the rows, or project
 * @param findings what was found on each of them, in its words; absent for whatever is found there now
 * @param reason why it is no fault; absent to take that back
 */
record Accepting(
        String check,
        @Size(min = 1, max = 20_000) List<String> on,
        @Nullable @Size(max = 20_000) List<String> findings,
        @Nullable String reason)
        implements Edit {
    @Override
    public Outcome apply(Plan plan) {
        if (reason != null && reason.isBlank()) {
            throw new InvalidPlanException(List.of(new Problem("/reason", "say why it is no fault")));
        }
        if (findings != null && findings.size() != on.size()) {
            throw new InvalidPlanException(List.of(new Problem("/findings", "say one finding for each row")));
        }
        Set<Found> about = findings == null ? now(plan) : said();
        if (reason != null && about.isEmpty()) {
            throw new InvalidPlanException(List.of(new Problem("/on", "the check finds nothing of that kind there")));
        }
        List<Acceptance> all = new ArrayList<>(plan.accepted());
        all.removeIf(
                a -> a.check().equals(check) && about.stream().anyMatch(f -> a.covers(check, f.on(), f.message())));
        if (reason != null) {
            about.forEach(f -> all.add(new Acceptance(check, f.on(), f.message(), reason.strip())));
        }
        String count = on.size() == 1 ? "a finding" : on.size() + " findings";
        return new Outcome(
                plan.edit().accepted(all).done(),
                reason == null ? "Acceptance of " + count + " withdrawn" : count + " of the plan check accepted");
    }

    private record Found(String on, String message) {}

    private Set<Found> said() {
        Set<Found> said = new LinkedHashSet<>();
        for (int i = 0; i < on.size(); i++) {
            said.add(new Found(on.get(i), findings.get(i)));
        }
        return said;
    }

    /** What the check finds on the rows as the plan is. */
    private Set<Found> now(Plan plan) {
        Set<String> rows = new HashSet<>(on);
        Set<Found> now = new LinkedHashSet<>();
        Network network = Network.of(plan);
        PlanCheck.of(network, Scheduler.schedule(network)).stream()
                .filter(f -> Acceptance.word(f.check()).equals(check) && rows.contains(f.on()))
                .forEach(f -> now.add(new Found(f.on(), f.message())));
        RangeCheck.of(plan).stream()
                .filter(f -> Acceptance.word(f.fault()).equals(check) && rows.contains(f.on()))
                .forEach(f -> now.add(new Found(f.on(), f.message())));
        RiskCheck.of(network, Map.of()).stream()
                .filter(f -> Acceptance.word(f.fault()).equals(check) && rows.contains(f.on()))
                .forEach(f -> now.add(new Found(f.on(), f.message())));
        return now;
    }
}
