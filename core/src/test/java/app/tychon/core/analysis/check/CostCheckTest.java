package app.tychon.core.analysis.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import app.tychon.core.PlanBuilder;
import app.tychon.core.model.Acceptance;
import app.tychon.core.model.CostLine;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Resource;
import app.tychon.core.model.Resource.Per;
import app.tychon.core.model.Shape;
import app.tychon.core.model.Targets;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.Scheduler;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class CostCheckTest {
    private static List<CostFinding> check(Plan plan) {
        Network network = Network.of(plan);
        return CostCheck.of(network, Scheduler.schedule(network));
    }

    @Test
    void everyFaultIsFoundWhereItIs() {
        Shape some = new Shape.Uniform(0.9, 1.2);
        Plan plan = new PlanBuilder()
                .task("A", 10)
                .task("B", 10)
                .milestone("M")
                .cost("C1", "A", 1000, 0.5, some)
                .cost("C2", "B", 1000, 1, some)
                .cost("C3", "B", 1000, 1, some)
                .cost("C4", "B", 1000, 1, null)
                .cost("C5", "M", 500, 0.2, some)
                .cost(CostLine.of("C6", "Nothing", "A", 0))
                .cost(CostLine.of("C7", "Dear", "A", 100).withSpent(Optional.of(130.0)))
                .resource(new Resource("crew", "Summit crew", 100, Per.DAY).withLimit(Optional.of(1.0)))
                .resource("free", 0, Per.DAY)
                .assign("A", "crew", 1)
                .assign("B", "crew", 0.5)
                .assign("B", "free", 1)
                .funding("2027-01-01", 2000)
                .build();
        Plan targeted =
                plan.withProject(plan.project().withTargets(new Targets(Optional.empty(), Optional.of(3000.0), 80)));
        assertThat(check(targeted))
                .extracting(CostFinding::fault, CostFinding::on)
                .containsExactlyInAnyOrder(
                        tuple(CostFault.MONEY_ON_NOTHING, "C6"),
                        tuple(CostFault.TIME_WITHOUT_DURATION, "C5"),
                        tuple(CostFault.UNLIKE_BUDGET, Plan.PROJECT),
                        tuple(CostFault.NO_RATE, "free"),
                        tuple(CostFault.OVER_LIMIT, "crew"),
                        tuple(CostFault.CERTAIN_LINE, "C4"),
                        tuple(CostFault.CERTAIN_LINE, "C7"),
                        tuple(CostFault.EARLY_FUNDING, Plan.PROJECT),
                        tuple(CostFault.SHORT_FUNDING, Plan.PROJECT),
                        tuple(CostFault.OVERSPENT, "C7"),
                        tuple(CostFault.PAID_TWICE, "C1"));
    }

    @Test
    void whatIsAcceptedSaysWhy() {
        Plan plan = new PlanBuilder()
                .task("A", 10)
                .cost(CostLine.of("C6", "Nothing", "A", 0))
                .build();
        Plan accepted = plan.withAccepted(List.of(new Acceptance("moneyOnNothing", "C6", "", "a place holder")));
        assertThat(check(accepted)).singleElement().satisfies(finding -> assertThat(finding.accepted())
                .map(Acceptance::reason)
                .hasValue("a place holder"));
    }

    @Test
    void soundMoneyIsLeftAlone() {
        assertThat(check(new PlanBuilder()
                        .task("A", 10)
                        .cost("C", "A", 100, 0.5, null)
                        .build()))
                .isEmpty();
    }
}
