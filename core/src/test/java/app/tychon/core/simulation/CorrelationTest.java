package app.tychon.core.simulation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.PlanBuilder;
import app.tychon.core.analysis.CorrelationReport;
import app.tychon.core.model.Correlation;
import app.tychon.core.model.Shape;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.result.Outcomes;
import app.tychon.core.simulation.settings.Input;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.statistics.Sample;
import app.tychon.core.uncertainty.RankCorrelation;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class CorrelationTest {
    private static final int N = 20_000;
    private static final double DAY = 480;
    private static final Shape NORMAL = new Shape.Normal(100, 10);

    private static RunSettings settings(Sampling sampling) {
        return new RunSettings(N, 11, sampling, 2);
    }

    private static double variance(CompiledPlan plan) {
        double[] days = Arrays.stream(Simulation.outcomes(plan, settings(Sampling.PLAIN), RunMonitor.NONE)
                        .duration())
                .map(d -> d / DAY)
                .toArray();
        return Math.pow(Sample.of(days).standardDeviation(), 2);
    }

    private static PlanBuilder chain(int tasks, Shape shape) {
        PlanBuilder plan = new PlanBuilder();
        for (int i = 0; i < tasks; i++) {
            plan.task("A" + i, 100, shape);
            if (i > 0) {
                plan.link("A" + (i - 1), "A" + i);
            }
        }
        return plan;
    }

    /** The sum of two normals of variance σ² and correlation ρ has variance 2σ²(1 + ρ). */
    @Test
    void correlatedNormalsSpreadTheirSum() {
        double rank = 0.6;
        double expected = 2 * 100 * (1 + RankCorrelation.toNormal(rank));
        CompiledPlan group = CompiledPlan.of(chain(2, NORMAL)
                .correlation(Correlation.group("R", "Crew", List.of("A0", "A1"), rank))
                .build());
        assertThat(variance(group)).isCloseTo(expected, within(4 * expected * Math.sqrt(2.0 / N)));
        CompiledPlan matrix = CompiledPlan.of(chain(2, NORMAL)
                .correlation(matrix("R", List.of("A0", "A1"), List.of(1.0), List.of(-0.6, 1.0)))
                .build());
        double negative = 2 * 100 * (1 - RankCorrelation.toNormal(rank));
        assertThat(variance(matrix)).isCloseTo(negative, within(4 * negative * Math.sqrt(2.0 / N)));
        CompiledPlan off = group.with(Variation.CURRENT.withCorrelations(false));
        assertThat(variance(off)).isCloseTo(200, within(4 * 200 * Math.sqrt(2.0 / N)));
    }

    @SafeVarargs
    private static Correlation matrix(String id, List<String> members, List<Double>... rows) {
        return new Correlation(id, "", members, OptionalDouble.empty(), List.of(rows));
    }

    @ParameterizedTest
    @EnumSource(Sampling.class)
    void whatIsAskedIsAchievedAndMarginalsStayAsTheyAre(Sampling sampling) {
        CompiledPlan plan = CompiledPlan.of(chain(4, new Shape.Triangular(60, 80, 160))
                .correlation(matrix(
                        "M", List.of("A2", "A0", "A1"), List.of(1.0), List.of(0.5, 1.0), List.of(0.2, -0.3, 1.0)))
                .build());
        CorrelationReport report =
                CorrelationReport.of(plan, settings(sampling), N).get(0);
        double[][] asked = {{1, 0.5, 0.2}, {0.5, 1, -0.3}, {0.2, -0.3, 1}};
        for (int i = 0; i < 3; i++) {
            for (int j = 0; j < 3; j++) {
                assertThat(report.asked()[i][j]).isEqualTo(asked[i][j]);
                assertThat(report.used()[i][j]).isCloseTo(asked[i][j], within(1e-9));
                assertThat(report.achieved()[i][j]).isCloseTo(asked[i][j], within(4 / Math.sqrt(N)));
            }
        }
        Inputs inputs = Inputs.of(plan);
        for (Input input : inputs.all()) {
            Sample days = Sample.of(Arrays.stream(inputs.sample(input, settings(sampling), N))
                    .map(d -> d / DAY)
                    .toArray());
            assertThat(days.mean()).isCloseTo(100, within(4 * 21.6 / Math.sqrt(N)));
            // P(X <= 80) = (80 - 60) / (160 - 60)
            assertThat(days.chance(80)).isCloseTo(0.2, within(4 * Math.sqrt(0.16 / N)));
        }
    }

    @Test
    void anImpossibleMatrixIsMovedToTheNearestAndSaidSo() {
        CompiledPlan plan = CompiledPlan.of(chain(3, NORMAL)
                .correlation(matrix(
                        "M", List.of("A0", "A1", "A2"), List.of(1.0), List.of(0.9, 1.0), List.of(-0.9, 0.9, 1.0)))
                .build());
        CorrelationReport report =
                CorrelationReport.of(plan, settings(Sampling.LATIN), N).get(0);
        assertThat(report.used()[1][0]).isLessThan(0.6).isCloseTo(-report.used()[2][0], within(1e-6));
        for (int i = 0; i < 3; i++) {
            for (int j = 0; j < 3; j++) {
                assertThat(report.achieved()[i][j]).isCloseTo(report.used()[i][j], within(4 / Math.sqrt(N)));
            }
        }
    }

    @Test
    void groupsThatShareAMemberBecomeOneMatrix() {
        CompiledPlan plan = CompiledPlan.of(chain(3, NORMAL)
                .correlation(Correlation.group("R1", "One", List.of("A0", "A1"), 0.7))
                .correlation(Correlation.group("R2", "Two", List.of("A1", "A2"), 0.4))
                .build());
        List<CorrelationReport> reports = CorrelationReport.of(plan, settings(Sampling.LATIN), N);
        assertThat(reports.get(0).achieved()[0][1]).isCloseTo(0.7, within(4 / Math.sqrt(N)));
        assertThat(reports.get(1).achieved()[0][1]).isCloseTo(0.4, within(4 / Math.sqrt(N)));
    }

    @Test
    void aMemberOfAGroupKeepsItsDrawsWhenOthersJoin() {
        PlanBuilder two = chain(4, NORMAL).correlation(Correlation.group("R", "", List.of("A0", "A1"), 0.5));
        PlanBuilder more =
                chain(4, NORMAL).correlation(Correlation.group("R", "", List.of("A3", "A0", "A1", "A2"), 0.5));
        assertThat(first(two)).isEqualTo(first(more));
    }

    private static double[] first(PlanBuilder plan) {
        Inputs inputs = Inputs.of(CompiledPlan.of(plan.build()));
        return inputs.sample(inputs.all().get(0), settings(Sampling.LATIN), 1000);
    }

    @Test
    void correlationWidensTheFinishAndLeavesItsMean() {
        CompiledPlan plan = CompiledPlan.of(chain(10, new Shape.Pert(80, 95, 140, 4))
                .correlation(Correlation.group(
                        "R", "All", List.of("A0", "A1", "A2", "A3", "A4", "A5", "A6", "A7", "A8", "A9"), 0.5))
                .build());
        Outcomes with = Simulation.outcomes(plan, settings(Sampling.LATIN), RunMonitor.NONE);
        Outcomes without = Simulation.outcomes(
                plan.with(Variation.CURRENT.withCorrelations(false)), settings(Sampling.LATIN), RunMonitor.NONE);
        double sd = Sample.of(with.duration()).standardDeviation();
        assertThat(Sample.of(with.duration()).mean())
                .isCloseTo(Sample.of(without.duration()).mean(), within(4 * sd / Math.sqrt(N)));
        // n σ² (1 + (n - 1) ρ) against n σ²
        double ratio = Math.pow(sd / Sample.of(without.duration()).standardDeviation(), 2);
        assertThat(ratio).isCloseTo(1 + 9 * 0.5, within(0.25));
    }
}
