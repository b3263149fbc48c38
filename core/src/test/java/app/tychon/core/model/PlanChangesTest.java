package app.tychon.core.model;

import static org.assertj.core.api.Assertions.assertThat;

import app.tychon.core.PlanBuilder;
import app.tychon.core.RandomPlans;
import app.tychon.core.WholePlan;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.Scheduler;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.function.Function;
import org.junit.jupiter.api.Test;

class PlanChangesTest {
    private static Delta<String> delta(List<String> before, List<String> after) {
        return Delta.of(before, after, word -> word.substring(0, 1));
    }

    @Test
    void aDeltaTellsWhatCameChangedWentAndMoved() {
        Delta<String> delta = delta(List.of("a1", "b1", "c1", "d1"), List.of("d1", "a1", "b2", "e1"));
        assertThat(delta.added()).containsExactly("e1");
        assertThat(delta.changed()).containsExactly("b2");
        assertThat(delta.removed()).containsExactly("c");
        assertThat(delta.moved()).as("the fewest that explain it").containsExactly("d");
        assertThat(delta(List.of("a1"), List.of("a1")).isEmpty()).isTrue();
    }

    @Test
    void whatDidNotMoveStandsInItsOldOrder() {
        Random random = new Random(7);
        for (int run = 0; run < 200; run++) {
            List<String> before = new ArrayList<>(List.of("a", "b", "c", "d", "e", "f", "g"));
            List<String> after = new ArrayList<>(before.subList(random.nextInt(4), 7));
            Collections.shuffle(after, random);
            Delta<String> delta = Delta.of(before, after, Function.identity());
            List<String> stayed =
                    after.stream().filter(x -> !delta.moved().contains(x)).toList();
            assertThat(stayed).isSorted();
        }
    }

    @Test
    void pruningABranchTakesAllBeneathAndTellsWhatHungOnIt() {
        for (int seed = 0; seed < 40; seed++) {
            Plan plan = RandomPlans.risky(seed, 40);
            String row = plan.activities().get(seed % 40).id();
            Pruning pruning = Pruning.of(plan, Set.of(row));
            assertThat(pruning.plan().activities()).hasSize(plan.activities().size() - 1);
            assertThat(PlanRules.problems(pruning.plan())).isEmpty();
            boolean named = plan.costs().stream().anyMatch(c -> c.on().equals(row))
                    || plan.risks().stream().flatMap(r -> r.impacts().stream()).anyMatch(i -> i.on().contains(row));
            assertThat(named && pruning.gone().isEmpty()).isFalse();
        }
        Plan nested =
                new PlanBuilder().branch("X", "W").branch("Y", "X").task("A", 1).build();
        assertThat(Pruning.of(nested, Set.of("X")).plan().wbs())
                .extracting(WbsNode::id)
                .containsExactly("W");
    }

    @Test
    void aMatrixLosesTheRowsOfWhatIsGone() {
        Correlation matrix = new Correlation(
                "M",
                "",
                List.of("A", "B", "C"),
                OptionalDouble.empty(),
                List.of(List.of(1.0), List.of(0.5, 1.0), List.of(0.2, 0.3, 1.0)));
        Plan plan = new PlanBuilder()
                .task("A", 1)
                .task("B", 1)
                .task("C", 1)
                .correlation(matrix)
                .build();
        assertThat(Pruning.of(plan, Set.of("B")).plan().correlations().get(0).matrix())
                .containsExactly(List.of(1.0), List.of(0.2, 1.0));
        assertThat(Pruning.of(plan, Set.of("B", "C")).plan().correlations()).isEmpty();
    }

    @Test
    void renamingThereAndBackIsTheSamePlanAndMovesNoDate() {
        Plan plan = WholePlan.plan();
        double finish = Scheduler.schedule(Network.of(plan)).finish();
        for (Activity activity : plan.activities()) {
            Plan renamed = Renaming.of(plan, activity.id(), "ZZ9");
            assertThat(Scheduler.schedule(Network.of(renamed)).finish()).isEqualTo(finish);
            assertThat(Renaming.of(renamed, "ZZ9", activity.id())).isEqualTo(plan);
        }
    }

    @Test
    void whatCameBeforeIsJoinedToWhatComesAfter() {
        Plan plan = new PlanBuilder()
                .task("A", 1)
                .task("B", 1)
                .task("C", 1)
                .task("D", 1)
                .task("E", 1)
                .link("A", "B", LinkType.SS, "2d")
                .link("B", "C", LinkType.FS, "3d")
                .link("C", "D", LinkType.FF, "1w")
                .link("C", "E")
                .link("A", "E")
                .build();
        Plan joined = Joining.across(plan, Pruning.of(plan, Set.of("B", "C")).plan());
        assertThat(joined.links())
                .containsExactlyInAnyOrder(
                        new Link("A", "E", LinkType.FS, WorkDuration.ZERO),
                        new Link("A", "D", LinkType.SF, WorkDuration.ZERO));
        Plan one = Joining.across(plan, Pruning.of(plan, Set.of("B")).plan());
        assertThat(one.links()).contains(new Link("A", "C", LinkType.SS, WorkDuration.days(5)));
    }

    @Test
    void twoRowsMayTakeEachOthersIds() {
        Plan plan = new PlanBuilder().task("A", 1).task("B", 2).link("A", "B").build();
        Plan swapped = Renaming.of(plan, Map.of("A", "B", "B", "A"));
        assertThat(swapped.activities()).extracting(Activity::id).containsExactly("B", "A");
        assertThat(swapped.links()).extracting(Link::from).containsExactly("B");
    }
}
