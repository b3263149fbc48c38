package app.tychon.core.simulation;

import static app.tychon.core.Risks.threat;
import static org.assertj.core.api.Assertions.assertThat;

import app.tychon.core.PlanBuilder;
import app.tychon.core.model.Recurrence;
import app.tychon.core.model.Risk;
import app.tychon.core.model.Shape;
import app.tychon.core.simulation.result.RunResult;
import org.junit.jupiter.api.Test;

/** When a risk has occurred, and what follows from that. */
class OccurrenceTest {
    @Test
    void aRecurringRiskThatStruckZeroTimesDidNotOccur() {
        Shape never = new Shape.Fixed(0);
        RunResult result = DecidedTest.run(new PlanBuilder()
                .task("A", 10)
                .risk(threat("K1", 1)
                        .addsDays(new Shape.Fixed(1), "A")
                        .recurs(new Recurrence.Count(never))
                        .risk())
                .risk(threat("K2", 1)
                        .addsDays(new Shape.Fixed(2), "A")
                        .onlyIf("K1", true)
                        .risk())
                .risk(threat("K3", 1)
                        .addsDays(new Shape.Fixed(4), "A")
                        .onlyIf("K1", false)
                        .risk()));
        assertThat(DecidedTest.occurred(result, "K1")).isZero();
        assertThat(DecidedTest.occurred(result, "K2")).isZero();
        assertThat(result.duration()).containsOnly(14 * DecidedTest.DAY);
    }

    @Test
    void anOccurredRiskHappensInEveryFutureWhateverItsConditionSays() {
        RunResult result = DecidedTest.run(new PlanBuilder()
                .task("A", 10)
                .risk(threat("K1", 0.2).addsDays(new Shape.Fixed(0), "A").risk())
                .risk(threat("K2", 0.5)
                        .state(Risk.State.OCCURRED)
                        .addsDays(new Shape.Fixed(3), "A")
                        .onlyIf("K1", true)
                        .risk())
                .risk(threat("K3", 0.5)
                        .state(Risk.State.OCCURRED)
                        .addsDays(new Shape.Fixed(1), "A")
                        .onlyIf("closed", true)
                        .risk())
                .risk(threat("closed", 0.5)
                        .state(Risk.State.CLOSED)
                        .addsDays(new Shape.Fixed(9), "A")
                        .risk()));
        assertThat(DecidedTest.occurred(result, "K2")).isEqualTo(1);
        assertThat(DecidedTest.occurred(result, "K3")).isEqualTo(1);
        assertThat(result.duration()).containsOnly(14 * DecidedTest.DAY);
    }
}
