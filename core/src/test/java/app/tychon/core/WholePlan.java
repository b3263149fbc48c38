package app.tychon.core;

import app.tychon.core.model.Action;
import app.tychon.core.model.Basis;
import app.tychon.core.model.Brief;
import app.tychon.core.model.BriefBlock;
import app.tychon.core.model.Correlation;
import app.tychon.core.model.Evidence;
import app.tychon.core.model.PastEvents;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Recurrence;
import app.tychon.core.model.RegisterEntry;
import app.tychon.core.model.RegisterEntry.Occurrence;
import app.tychon.core.model.Resource;
import app.tychon.core.model.Response;
import app.tychon.core.model.Risk;
import app.tychon.core.model.RiskSwitch;
import app.tychon.core.model.Scenario;
import app.tychon.core.model.ScenarioEdit;
import app.tychon.core.model.Score;
import app.tychon.core.model.Shape;
import app.tychon.core.model.Strategy;
import app.tychon.core.register.StarterScheme;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/** A small plan that has something of every kind. */
public final class WholePlan {
    private WholePlan() {}

    public static Plan plan() {
        Shape spread = new Shape.Triangular(0.9, 1, 1.3);
        return new PlanBuilder()
                .grade("B", spread)
                .graded("W", "B")
                .task("A", 5)
                .last(a -> a.withGrade(Optional.of("B")).withWatch(true))
                .task("B1", 5)
                .correlation(Correlation.group("R1", "Crew", List.of("A", "B1"), 0.6))
                .correlation(new Correlation(
                        "R2",
                        "",
                        List.of("A", "C"),
                        OptionalDouble.empty(),
                        List.of(List.of(1.0), List.of(-0.25, 1.0))))
                .evidence(new Evidence(
                        "V1",
                        "Earlier huts",
                        List.of(
                                new Evidence.Observation(OptionalDouble.of(10), 12),
                                new Evidence.Observation(OptionalDouble.of(8), 8.5),
                                new Evidence.Observation(OptionalDouble.of(4), 7)),
                        List.of("B1", "B", "C")))
                .evidence(new Evidence(
                        "V2",
                        "Earlier foundations",
                        List.of(
                                new Evidence.Observation(OptionalDouble.empty(), 5),
                                new Evidence.Observation(OptionalDouble.empty(), 6),
                                new Evidence.Observation(OptionalDouble.empty(), 9)),
                        List.of()))
                .resource("crew", 1400, Resource.Per.DAY)
                .assign("A", "crew", 0.5)
                .cost("C", "A", 100, 0.25, spread)
                .risk(Risks.threat("K", 0.5)
                        .addsDays(new Shape.Uniform(1, 2), "A", "B1")
                        .recurs(new Recurrence.PerYear(
                                2.5,
                                Optional.of(
                                        new Recurrence.Period(LocalDate.of(2027, 3, 1), LocalDate.of(2027, 9, 30)))))
                        .risk())
                .risk(Risks.threat("L", 0.25)
                        .addsDays(new Shape.Fixed(1), "project")
                        .recurs(new Recurrence.Count(new Shape.Uniform(0, 4)))
                        .risk())
                .risk(told(Risks.threat("M", 0.4)
                        .addsDays(new Shape.Uniform(1, 2), "A")
                        .state(Risk.State.OCCURRED)
                        .response(new Response(
                                0.1,
                                List.of(),
                                List.of(new Action(
                                        "Ask",
                                        250,
                                        LocalDate.of(2027, 3, 1),
                                        LocalDate.of(2027, 3, 9),
                                        "Ann",
                                        Action.State.DONE,
                                        1,
                                        Optional.of(LocalDate.of(2027, 3, 12)))),
                                true))
                        .risk()))
                .risk(Risks.threat("N", 0.4)
                        .addsDays(new Shape.Uniform(1, 2), "A")
                        .state(Risk.State.CLOSED)
                        .risk()
                        .withEntry(RegisterEntry.NONE
                                .withClosedBecause("bought elsewhere")
                                .withHistory(Optional.of(new PastEvents(4, 9, Basis.MONEY, 1200, 300, List.of())))))
                .build()
                .withScheme(Optional.of(StarterScheme.of(40, 50_000)))
                .withScenarios(List.of(
                        Scenario.of("S1", "Dry ground"),
                        new Scenario(
                                "S2",
                                "Two crews",
                                "Asked for by the sponsor.\nSee the notes of June.",
                                true,
                                Map.of("M", RiskSwitch.UNANSWERED, "K", RiskSwitch.RESPONSE),
                                Map.of("Weather/Snow", RiskSwitch.OFF),
                                RiskSwitch.NOW,
                                false,
                                false,
                                Optional.of(PlanBuilder.START.plusDays(30)),
                                Optional.of(1250.5),
                                List.of(
                                        new ScenarioEdit(
                                                "activities",
                                                "A",
                                                Optional.of("{\"duration\":\"5d\"}"),
                                                Optional.of("{\"duration\":\"3d\"}"),
                                                Optional.empty()),
                                        new ScenarioEdit(
                                                "funding",
                                                "2027-05-01",
                                                Optional.empty(),
                                                Optional.of("{\"date\":\"2027-05-01\",\"amount\":90}"),
                                                Optional.of(""))))))
                .withBriefs(List.of(Brief.of("B1", "For the owners", ""), brief()));
    }

    private static Brief brief() {
        BriefBlock whole = new BriefBlock(
                "b2",
                BriefBlock.Kind.DECIDE,
                "What to decide",
                Optional.of(List.of("Promise {sure.finish}.", "")),
                Map.of("sure.finish", "3 May 2027", "budget", "€90k"),
                Optional.of(BriefBlock.Show.TABLE),
                Optional.of("A"),
                Optional.of(90),
                Optional.of(2),
                Optional.of(7),
                Optional.of(3),
                List.of("S2", "S1"),
                "Owner of the road",
                Optional.of(BriefBlock.Period.QUARTER),
                List.of(
                        new BriefBlock.Decision(
                                "Book the crane",
                                "The board",
                                Optional.of(LocalDate.of(2027, 4, 1)),
                                Optional.of(1250.5)),
                        new BriefBlock.Decision("Wait", "", Optional.empty(), Optional.empty())));
        return new Brief(
                "B2",
                "For the sponsor",
                "The date and the budget",
                "de-DE",
                Brief.Paper.LETTER,
                Brief.Days.CALENDAR,
                "Confidential: the board alone",
                Optional.of(4),
                Optional.of("S1"),
                List.of(BriefBlock.of("b1", BriefBlock.Kind.ANSWER), whole));
    }

    private static Risk told(Risk risk) {
        return risk.withEntry(new RegisterEntry(
                "the ground is wet",
                "the pit floods",
                "digging begins anew",
                "Seen twice.\nAsk the neighbours.",
                Optional.of(LocalDate.of(2027, 3, 1)),
                Optional.of(LocalDate.of(2027, 9, 30)),
                Optional.of(Strategy.MITIGATE),
                "",
                Optional.of(new Occurrence(LocalDate.of(2027, 4, 2), 3.5, 1250)),
                Optional.of(new Score(3, Map.of("time", 4, "safety", 2))),
                Optional.of(new Score(1, Map.of("time", 2))),
                Optional.of(new PastEvents(
                        10,
                        2,
                        Basis.DAYS,
                        0,
                        0,
                        List.of(
                                new PastEvents.Event(Optional.of(LocalDate.of(2020, 5, 6)), 2.5),
                                new PastEvents.Event(Optional.empty(), 4))))));
    }
}
