package app.tychon.core.model;

import static org.assertj.core.api.Assertions.assertThat;

import app.tychon.core.PlanBuilder;
import app.tychon.core.RandomPlans;
import app.tychon.core.model.PlanUpdate.Field;
import app.tychon.core.model.PlanUpdate.RowChange;
import app.tychon.core.model.PlanUpdate.What;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class PlanUpdateTest {
    private static final Set<Field> ALL = EnumSet.allOf(Field.class);

    private static PlanBuilder older() {
        return new PlanBuilder()
                .task("A", 5, new Shape.Triangular(4, 5, 9))
                .task("B", 5)
                .task("C", 5)
                .link("A", "B")
                .link("B", "C")
                .cost("K", "C", 100, 1, null);
    }

    private static PlanBuilder newer() {
        return new PlanBuilder()
                .dataDate("2027-03-08T08:00")
                .task("A", 6)
                .actual("2027-03-01T08:00", null, "2d")
                .task("B", 5)
                .task("D", 3)
                .link("A", "B")
                .link("B", "D");
    }

    private static Set<String> ids(PlanUpdate update) {
        return update.changes().stream().map(RowChange::id).collect(Collectors.toSet());
    }

    @Test
    void whatIsNewChangedAndGoneIsToldWithWhatHangsOnIt() {
        PlanUpdate update = PlanUpdate.of(older().build(), newer().build(), ALL);
        assertThat(update.changes()).extracting(RowChange::id).containsExactly("D", "A", "C");
        assertThat(update.changes()).extracting(RowChange::what).containsExactly(What.NEW, What.CHANGED, What.GONE);
        assertThat(update.changes().get(1).fields())
                .extracting(f -> f.field() + " " + f.before() + " > " + f.after())
                .containsExactly("DURATION 5d > 6d", "ACTUAL_START  > 2027-03-01T08:00", "REMAINING  > 2d");
        assertThat(update.changes().get(2).hanging()).singleElement().asString().startsWith("cost line K");
    }

    @Test
    void whatTheAnalystAddedStays() {
        PlanUpdate update = PlanUpdate.of(older().build(), newer().build(), ALL);
        List<String> gone = new ArrayList<>();
        Plan plan = update.accept(ids(update), gone);
        assertThat(PlanRules.problems(plan)).isEmpty();
        Activity a = plan.activities().get(0);
        assertThat(a.duration()).hasToString("6d");
        assertThat(a.estimate()).isPresent();
        assertThat(plan.activities()).extracting(Activity::id).containsExactly("A", "B", "D");
        assertThat(plan.links()).extracting(l -> l.from() + l.to()).containsExactly("AB", "BD");
        assertThat(plan.project().dataDate()).isPresent();
        assertThat(gone).singleElement().asString().startsWith("cost line K");
        assertThat(PlanUpdate.of(plan, newer().build(), ALL).changes()).isEmpty();
    }

    @Test
    void rowsThatWereNotAcceptedStayAsTheyAre() {
        Plan plan = PlanUpdate.of(older().build(), newer().build(), ALL).accept(Set.of("D"), new ArrayList<>());
        assertThat(plan.activities()).extracting(Activity::id).containsExactly("A", "B", "C", "D");
        assertThat(plan.activities().get(0).duration()).hasToString("5d");
        assertThat(plan.costs()).hasSize(1);
    }

    @Test
    void whatTheNewerScheduleDoesNotSayStays() {
        Plan bare = newer().build().withLinks(List.of());
        PlanUpdate update = PlanUpdate.of(older().build(), bare, EnumSet.of(Field.NAME, Field.DURATION));
        assertThat(update.changes().get(1).fields()).extracting(f -> f.field()).containsExactly(Field.DURATION);
        Plan plan = update.accept(Set.of("A"), new ArrayList<>());
        assertThat(plan.links()).hasSize(2);
    }

    @Test
    void aPlanUpdatedFromAnyOtherBecomesThatOther() {
        for (int seed = 0; seed < 30; seed++) {
            Plan plan = RandomPlans.oneCalendar(seed, 30);
            Plan other = RandomPlans.oneCalendar(seed + 100, 40);
            PlanUpdate update = PlanUpdate.of(plan, other, ALL);
            Plan updated = update.accept(ids(update), new ArrayList<>());
            assertThat(PlanUpdate.of(updated, other, ALL).changes()).isEmpty();
            assertThat(updated.links()).containsExactlyInAnyOrderElementsOf(other.links());
        }
    }
}
