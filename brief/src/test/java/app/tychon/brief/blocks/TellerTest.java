package app.tychon.brief.blocks;

import static org.assertj.core.api.Assertions.assertThat;

import app.tychon.brief.Examples;
import app.tychon.brief.drawing.Drawing;
import app.tychon.brief.drawing.Letters;
import app.tychon.brief.drawing.Mark.Anchor;
import app.tychon.brief.drawing.Mark.Label;
import app.tychon.brief.ground.Ground;
import app.tychon.brief.ground.Reasons;
import app.tychon.brief.ground.Reasons.Reason;
import app.tychon.core.PlanBuilder;
import app.tychon.core.model.Activity;
import app.tychon.core.model.Brief;
import app.tychon.core.model.BriefBlock;
import app.tychon.core.model.BriefBlock.Decision;
import app.tychon.core.model.BriefBlock.Kind;
import app.tychon.core.model.BriefBlock.Show;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Risk;
import app.tychon.core.model.Targets;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.Input;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.statistics.Sample;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

class TellerTest {
    private static final Brief BRIEF = Brief.of("b", "Brief", "Brief");

    private static Told told(Ground ground, BriefBlock block) {
        return new Teller(BRIEF, ground).told(block);
    }

    private static BriefBlock block(Kind kind) {
        return BriefBlock.of("x", kind).withShow(Optional.of(Show.BOTH));
    }

    /** Plans of which something is missing that a block may want to tell of. */
    static Stream<Plan> oddPlans() {
        Plan bare = new PlanBuilder().task("A", 5).build();
        Plan kestrel = Examples.kestrelRidge();
        return Stream.of(
                bare,
                kestrel.withRisks(List.of()).withScenarios(List.of()),
                kestrel.withCosts(List.of())
                        .withCorrelations(List.of())
                        .withRisks(List.of())
                        .withEscalation(List.of())
                        .withResources(List.of())
                        .withAssignments(List.of())
                        .withFunding(List.of()),
                kestrel.withProject(kestrel.project().withTargets(Targets.NONE)),
                kestrel.withActivities(kestrel.activities().stream()
                        .map(one -> one.withEstimate(Optional.empty()).withGrade(Optional.empty()))
                        .toList()));
    }

    @ParameterizedTest
    @MethodSource("oddPlans")
    void everyBlockSaysSomethingOfEveryPlan(Plan plan) {
        Ground ground = Examples.simulated(plan);
        for (Kind kind : Kind.values()) {
            Told told = told(ground, block(kind));
            assertThat(kind == Kind.TEXT
                            || !told.lines().isEmpty()
                            || told.grid().isPresent())
                    .as("%s says something", kind)
                    .isTrue();
            assertThat(told.lines()).as("%s has its numbers", kind).allSatisfy(line -> assertThat(line.pieces())
                    .noneMatch(piece -> piece.lost()));
        }
    }

    @ParameterizedTest
    @EnumSource(Kind.class)
    void nothingThatIsDrawnIsCutOff(Kind kind) {
        Plan plan = Examples.kestrelRidge();
        Plan wordy = plan.withRisks(plan.risks().stream()
                        .map(risk -> risk.withTitle(
                                risk.title() + ", and whatever else may come of it in a bad year on the ridge"))
                        .toList())
                .withWbs(plan.wbs().stream()
                        .map(node ->
                                node.withName(node.name() + " with Überprüfungsverfahrensbeschreibung of all parts"))
                        .toList())
                .withScenarios(plan.scenarios().stream()
                        .map(one -> one.withName(one.name() + " as it was agreed upon with everybody who was there"))
                        .toList());
        for (Ground ground : List.of(Examples.kestrel(), Examples.simulated(wordy))) {
            told(ground, block(kind)).drawing().ifPresent(TellerTest::isWhole);
        }
    }

    private static void isWhole(Drawing drawing) {
        assertThat(drawing.alt()).isNotBlank();
        drawing.marks().stream()
                .filter(Label.class::isInstance)
                .map(Label.class::cast)
                .forEach(label -> {
                    double width = Letters.width(label.text(), label.size(), label.strong());
                    double left = label.anchor() == Anchor.START
                            ? label.x()
                            : label.anchor() == Anchor.END ? label.x() - width : label.x() - width / 2;
                    assertThat(left).as(label.text()).isGreaterThanOrEqualTo(-0.5);
                    assertThat(left + width).as(label.text()).isLessThanOrEqualTo(drawing.width() + 0.5);
                    assertThat(label.y()).as(label.text()).isBetween(0.0, drawing.height());
                });
    }

    @Test
    void whatARiskAddsIsWhatOneCouldBeSureOfSoonerWithoutIt() {
        Ground ground = Examples.kestrel();
        Reason reason = Reasons.of(ground, Plan.PROJECT, false, 0.8).stream()
                .filter(one -> one.input().kind() == Input.Kind.RISK)
                .findFirst()
                .orElseThrow();
        Plan without = ground.plan()
                .withRisks(ground.plan().risks().stream()
                        .map(risk -> risk.id().equals(reason.input().id()) ? risk.withState(Risk.State.CLOSED) : risk)
                        .toList());
        RunResult result = Simulation.run(CompiledPlan.of(without), Examples.settings(), RunMonitor.NONE);
        double expected = Sample.of(ground.result().duration()).percentile(0.8)
                - Sample.of(result.duration()).percentile(0.8);
        assertThat(reason.adds()).isEqualTo(expected);
    }

    @Test
    void theStepsOfTheMoneyEndAtTheCostOneCanBeSureOf() {
        Ground ground = Examples.kestrel();
        Grid grid = told(ground, block(Kind.MONEY)).grid().orElseThrow();
        String last = grid.rows().get(grid.rows().size() - 1).get(2);
        double sure = Sample.of(ground.result().cost().totals()).percentile(0.8);
        assertThat(last).isEqualTo(new Teller(BRIEF, ground).telling().exactMoney(sure));
    }

    @Test
    void wordsWrittenFromTheNumbersAreNeverMarked() {
        BriefBlock own = block(Kind.ANSWER);
        String usual = told(Examples.kestrel(), own).lines().get(0).template();
        BriefBlock typed = own.withWords(Optional.of(List.of(usual, "We promise {sure.finish} and no day less.")))
                .withSeen(Map.of("sure.finish", "1 May 2028", "plan.finish", "2 May 2028"));
        Told told = told(Examples.kestrel(), typed);
        assertThat(told.lines().get(0).changed()).isEmpty();
        assertThat(told.lines().get(1).changed()).hasSize(1);
    }

    @Test
    void decisionsThatNobodyTypedAreWhatTheBestOptionNeeds() {
        Grid grid = told(Examples.kestrel(), block(Kind.DECIDE)).grid().orElseThrow();
        assertThat(grid.rows()).extracting(row -> row.get(3)).containsExactly("€14k", "€38k");
        BriefBlock typed = block(Kind.DECIDE)
                .withDecisions(List.of(
                        new Decision("Wait", "The board", Optional.of(LocalDate.of(2027, 2, 1)), Optional.empty())));
        assertThat(told(Examples.kestrel(), typed).grid().orElseThrow().rows())
                .containsExactly(List.of("Wait", "The board", "1 February 2027", ""));
    }

    @Test
    void ofWhoseRisksIsSaidIsKept() {
        BriefBlock block = block(Kind.RISKS).withOwner("Mirror lead");
        Grid grid = told(Examples.kestrel(), block).grid().orElseThrow();
        assertThat(grid.rows()).isNotEmpty().allSatisfy(row -> assertThat(row.get(2))
                .isEqualTo("Mirror lead"));
    }

    @Test
    void aRowThatIsGoneIsSaidToBeGone() {
        Told told = told(Examples.kestrel(), block(Kind.HOW_SURE).withOf(Optional.of("ZZ")));
        assertThat(told.fault()).hasValueSatisfying(fault -> assertThat(fault).contains("ZZ"));
        assertThat(told.drawing()).isPresent();
    }

    @Test
    void anActivityIsToldOfByItsOwnDates() {
        Activity milestone = Examples.kestrelRidge()
                .activities()
                .get(Examples.kestrelRidge().activities().size() / 2);
        Told told = told(Examples.kestrel(), block(Kind.HOW_SURE).withOf(Optional.of(milestone.id())));
        assertThat(told.lines().get(0).text()).contains(milestone.name());
        assertThat(told.fault()).isEmpty();
    }
}
