package app.tychon.core.register;

import static app.tychon.core.Risks.threat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.groups.Tuple.tuple;

import app.tychon.core.PlanBuilder;
import app.tychon.core.model.Acceptance;
import app.tychon.core.model.Action;
import app.tychon.core.model.Basis;
import app.tychon.core.model.Estimate;
import app.tychon.core.model.Plan;
import app.tychon.core.model.RegisterEntry;
import app.tychon.core.model.Response;
import app.tychon.core.model.Risk;
import app.tychon.core.model.Shape;
import app.tychon.core.register.check.RiskCheck;
import app.tychon.core.register.check.RiskCheck.Worth;
import app.tychon.core.register.check.RiskFault;
import app.tychon.core.register.check.RiskFinding;
import app.tychon.core.schedule.Network;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class RiskCheckTest {
    private static Risk sound(String id) {
        return threat(id, 0.3)
                .addsDays(new Shape.Triangular(2, 5, 9), "A")
                .risk()
                .withOwner("Somebody");
    }

    private static List<RiskFinding> check(Plan plan) {
        return RiskCheck.of(Network.of(plan), Map.of());
    }

    private static PlanBuilder work() {
        return new PlanBuilder().task("A", 10).task("B", 10);
    }

    private static List<RiskFault> faults(Risk risk) {
        return check(work().risk(risk).build()).stream().map(RiskFinding::fault).toList();
    }

    @Test
    void aSoundRiskIsLeftAlone() {
        assertThat(faults(sound("K"))).isEmpty();
    }

    @Test
    void whatIsMissingOrImpossibleIsFound() {
        assertThat(faults(sound("K").withImpacts(List.of()))).containsExactly(RiskFault.NO_EFFECT);
        assertThat(faults(sound("K").withOwner(" "))).containsExactly(RiskFault.NO_OWNER);
        assertThat(faults(sound("K").withProbability(1))).containsExactly(RiskFault.NO_CHANCE);
        assertThat(faults(sound("K").withState(Risk.State.CLOSED).withOwner("")))
                .isEmpty();
    }

    @Test
    void aWrongNameIsMendedWithoutChangingWhatIsSimulated() {
        Risk gain = sound("K").withKind(Risk.Kind.OPPORTUNITY);
        RiskFinding finding = check(work().risk(gain).build()).get(0);
        assertThat(finding.fault()).isEqualTo(RiskFault.WRONG_WAY);
        assertThat(finding.mended().orElseThrow()).isEqualTo(sound("K"));
    }

    @Test
    void oneCauseOfTwoRisksIsFoundWhateverItsSigns() {
        Plan plan = work().risk(sound("K").withEntry(RegisterEntry.NONE.withCause("The ground is wet.")))
                .risk(sound("L").withEntry(RegisterEntry.NONE.withCause("the ground is wet")))
                .risk(sound("M").withEntry(RegisterEntry.NONE.withCause("the ground is dry")))
                .build();
        assertThat(check(plan))
                .extracting(RiskFinding::on, RiskFinding::fault)
                .containsExactly(tuple("K", RiskFault.SAME_CAUSE), tuple("L", RiskFault.SAME_CAUSE));
    }

    @Test
    void whatHasPassedOrIsOverdueIsFoundByTheDataDate() {
        Risk risk = sound("K")
                .withEntry(RegisterEntry.NONE.withTo(Optional.of(LocalDate.of(2027, 3, 5))))
                .withResponse(Optional.of(new Response(
                        0.1,
                        List.of(),
                        List.of(new Action(
                                "Call",
                                100,
                                LocalDate.of(2027, 3, 1),
                                LocalDate.of(2027, 3, 8),
                                "",
                                Action.State.PLANNED)))));
        Plan plan = work().risk(risk).build();
        assertThat(check(plan)).isEmpty();
        Plan later = plan.withProject(plan.project()
                .withDataDate(Optional.of(LocalDate.of(2027, 3, 10).atStartOfDay())));
        assertThat(check(later)).extracting(RiskFinding::fault).containsExactly(RiskFault.PAST, RiskFault.OVERDUE);
    }

    @Test
    void aResponseThatBuysNothingIsFoundOnceItsWorthIsKnown() {
        Risk risk = sound("K")
                .withResponse(Optional.of(new Response(
                        0.3,
                        List.of(),
                        List.of(new Action(
                                "Act",
                                5000,
                                LocalDate.of(2027, 3, 1),
                                LocalDate.of(2027, 3, 8),
                                "",
                                Action.State.PLANNED)))));
        Network network = Network.of(work().risk(risk).build());
        assertThat(RiskCheck.of(network, Map.of("K", new Worth(-0.1, 4000))))
                .extracting(RiskFinding::fault)
                .containsExactly(RiskFault.DEAR_RESPONSE);
        assertThat(RiskCheck.of(network, Map.of("K", new Worth(-4, 4000)))).isEmpty();
        assertThat(RiskCheck.of(network, Map.of("K", new Worth(0, -100)))).isEmpty();
    }

    /** A word of one piece of work tells that its range has the risk in it; a word that names much of the plan does not. */
    @Test
    void anEffectThatAWideRangeSpeaksOfIsFound() {
        Risk fog = sound("K").withTitle("Thick fogbanks over the pier");
        assertThat(check(wide("Pour the pier above the fogbank").risk(fog).build()))
                .extracting(RiskFinding::fault)
                .containsExactly(RiskFault.COUNTED_TWICE);
        assertThat(check(wide("Pour the foundation").risk(fog).build())).isEmpty();
        Plan common = wide("Pour the pier above the fogbank").risk(fog).build();
        assertThat(check(common.withActivities(common.activities().stream()
                        .map(activity -> activity.withName("Fogbank " + activity.id()))
                        .toList())))
                .isEmpty();
    }

    private static PlanBuilder wide(String name) {
        return new PlanBuilder()
                .task("A", 10)
                .last(a ->
                        a.withName(name).withEstimate(Optional.of(new Estimate(new Shape.Uniform(2, 20), Basis.DAYS))))
                .task("B", 10)
                .task("C", 5)
                .task("D", 5);
    }

    @Test
    void anAcceptedFindingSaysWhy() {
        Plan plan = work().risk(sound("K").withOwner("")).build();
        RiskFinding finding = check(plan).get(0);
        Plan accepted =
                plan.withAccepted(List.of(new Acceptance("noOwner", "K", finding.message(), "the board owns it")));
        assertThat(check(accepted).get(0).accepted().orElseThrow().reason()).isEqualTo("the board owns it");
    }
}
