package app.tychon.core;

import app.tychon.core.model.Correlation;
import app.tychon.core.model.Evidence;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Recurrence;
import app.tychon.core.model.Resource;
import app.tychon.core.model.Shape;
import java.time.LocalDate;
import java.util.List;
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
                .build();
    }
}
