package app.tychon.server.check;

import app.tychon.core.model.Acceptance;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Risk;
import app.tychon.core.register.check.RiskCheck;
import app.tychon.core.register.check.RiskFinding;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.Scheduler;
import app.tychon.core.schedule.check.Finding;
import app.tychon.core.schedule.check.PlanCheck;
import app.tychon.server.edits.Edit;
import jakarta.validation.constraints.Size;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Findings of a check mended, where there is a safe way.
 *
 * @param check its word
 * @param on the activities
 */
record Fixing(String check, @Size(min = 1, max = 20_000) List<String> on) implements Edit {
    @Override
    public Outcome apply(Plan plan) {
        Network network = Network.of(plan);
        Set<String> about = new HashSet<>(on);
        List<Finding> findings = PlanCheck.of(network, Scheduler.schedule(network)).stream()
                .filter(f -> Acceptance.word(f.check()).equals(check) && about.contains(f.on()))
                .filter(f -> f.fix().isPresent())
                .toList();
        Plan fixed = plan;
        for (Finding finding : findings) {
            fixed = finding.fix().get().applyTo(fixed);
        }
        Map<String, Risk> mended = RiskCheck.of(network, Map.of()).stream()
                .filter(f -> Acceptance.word(f.fault()).equals(check) && about.contains(f.on()))
                .filter(f -> f.mended().isPresent())
                .collect(Collectors.toMap(RiskFinding::on, f -> f.mended().get(), (one, other) -> one));
        if (!mended.isEmpty()) {
            Plan after = plan.withRisks(plan.risks().stream()
                    .map(risk -> mended.getOrDefault(risk.id(), risk))
                    .toList());
            String risks = mended.size() == 1 ? "A finding" : mended.size() + " findings";
            return new Outcome(after, risks + " of the risk check mended");
        }
        String count = findings.size() == 1 ? "A finding" : findings.size() + " findings";
        return new Outcome(fixed, count + " of the plan check mended");
    }
}
