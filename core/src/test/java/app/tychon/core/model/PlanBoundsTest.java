package app.tychon.core.model;

import static org.assertj.core.api.Assertions.as;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.tychon.core.PlanBuilder;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.Scheduler;
import java.util.List;
import java.util.Optional;
import org.assertj.core.api.InstanceOfAssertFactories;
import org.junit.jupiter.api.Test;

/** How large, long, deep and odd a plan may be. */
class PlanBoundsTest {
    private static List<String> told(Plan plan) {
        return PlanRules.problems(plan).stream().map(Problem::toString).toList();
    }

    @Test
    void whatNoDatabaseKeepsIsToldByField() {
        Plan plan = new PlanBuilder()
                .task("A", 1)
                .last(a -> a.withName("half \uD800 a letter").withNotes("n".repeat(Bounds.LONGEST_NOTES + 1)))
                .task("A ", 1)
                .task("long", 1)
                .last(a -> a.withDuration(new WorkDuration(90_000_000, DurationUnit.HOURS)))
                .cost("C", "A", 1e308, 1, null)
                .build();
        Plan wide = plan.edit()
                .wbs(List.of(new WbsNode("W", Optional.empty(), "1".repeat(101), "All work", Optional.empty())))
                .done();
        assertThat(told(wide))
                .anySatisfy(m -> assertThat(m).startsWith("/activities/0/name").contains("U+D800"))
                .anySatisfy(m -> assertThat(m).startsWith("/activities/0/notes").contains("65,000"))
                .anySatisfy(m -> assertThat(m).startsWith("/activities/1/id").contains("blanks at the end"))
                .anySatisfy(
                        m -> assertThat(m).startsWith("/activities/2/duration").contains("200 years"))
                .anySatisfy(m -> assertThat(m).startsWith("/costs/0/amount").contains("beyond"))
                .anySatisfy(m -> assertThat(m).startsWith("/wbs/0/code").contains("100 characters"))
                .hasSize(6);
    }

    @Test
    void numbersFromWhichNoNumberFollowsAreRefusedInEveryShape() {
        for (Shape shape : List.of(
                new Shape.Normal(1e300, 1),
                new Shape.Lognormal(1, 1e300),
                new Shape.Exponential(1e300),
                new Shape.Uniform(0, 1e300),
                new Shape.Weibull(0.001, 1))) {
            Plan plan =
                    new PlanBuilder().task("A", 1).cost("C", "A", 1, 1, shape).build();
            assertThat(told(plan)).as(shape.toString()).hasSize(1);
        }
    }

    @Test
    void aPlanThatWouldLastForCenturiesIsRefusedByTheActivityThatDoes() {
        Plan plan =
                new PlanBuilder().task("A", 10).task("B", 60_000).link("A", "B").build();
        assertThatThrownBy(() -> Scheduler.schedule(Network.of(plan)))
                .isInstanceOf(InvalidPlanException.class)
                .hasMessageContaining("/activities/1/duration")
                .hasMessageContaining("200 years");
    }

    /** Once a walk up from every branch, 20,000 times 20,000 steps. */
    @Test
    void aChainOfBranchesIsAsDeepAsItMayBe() {
        PlanBuilder deep = new PlanBuilder();
        for (int i = 0; i < 20_000; i++) {
            deep.branch("B" + i, i == 0 ? "W" : "B" + (i - 1));
        }
        assertThat(told(deep.build())).isNotEmpty().allSatisfy(m -> assertThat(m)
                .contains("deep within each other"));
        PlanBuilder sound = new PlanBuilder();
        for (int i = 0; i < Bounds.DEEPEST_BRANCH - 1; i++) {
            sound.branch("B" + i, i == 0 ? "W" : "B" + (i - 1));
        }
        assertThat(told(sound.build())).isEmpty();
    }

    @Test
    void aCurrencyIsThreeLetters() {
        Plan plan = new PlanBuilder().task("A", 1).build();
        for (String word : List.of("?", "euro", "")) {
            Project other = plan.project().withCurrency(word);
            assertThat(told(plan.edit().project(other).done()))
                    .singleElement(as(InstanceOfAssertFactories.STRING))
                    .startsWith("/project/currency");
        }
    }
}
