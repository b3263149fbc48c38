package app.tychon.server.check;

import app.tychon.core.analysis.check.CostFinding;
import app.tychon.core.model.Acceptance;
import app.tychon.core.register.check.RiskFinding;
import app.tychon.core.schedule.check.Finding;
import app.tychon.core.uncertainty.check.RangeFinding;
import jakarta.annotation.Nullable;
import java.util.List;
import java.util.Optional;

/** What a check has found, fault by fault, in the plan's order. */
record CheckView(List<FindingView> findings) {

    /**
     * A finding.
     *
     * @param check its word
     * @param on the row, or project
     * @param message what was found, with its numbers
     * @param fixable whether it can be mended without moving a date
     * @param accepted why it is no fault; absent where nobody has said so
     */
    record FindingView(String check, String on, String message, boolean fixable, @Nullable String accepted) {}

    private static FindingView view(
            Enum<?> fault, String on, String message, boolean fixable, Optional<Acceptance> accepted) {
        return new FindingView(
                Acceptance.word(fault),
                on,
                message,
                fixable,
                accepted.map(Acceptance::reason).orElse(null));
    }

    static CheckView of(List<Finding> findings) {
        return new CheckView(findings.stream()
                .map(f -> view(f.check(), f.on(), f.message(), f.fix().isPresent(), f.accepted()))
                .toList());
    }

    static CheckView ofRisks(List<RiskFinding> findings) {
        return new CheckView(findings.stream()
                .map(f -> view(f.fault(), f.on(), f.message(), f.mended().isPresent(), f.accepted()))
                .toList());
    }

    static CheckView ofRanges(List<RangeFinding> findings) {
        return new CheckView(findings.stream()
                .map(f -> view(f.fault(), f.on(), f.message(), false, f.accepted()))
                .toList());
    }

    static CheckView ofCosts(List<CostFinding> findings) {
        return new CheckView(findings.stream()
                .map(f -> view(f.fault(), f.on(), f.message(), false, f.accepted()))
                .toList());
    }
}
