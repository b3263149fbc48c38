package app.tychon.core.schedule.check;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import app.tychon.core.PlanBuilder;
import app.tychon.core.RandomPlans;
import app.tychon.core.model.Acceptance;
import app.tychon.core.model.Constraint;
import app.tychon.core.model.ConstraintType;
import app.tychon.core.model.LinkType;
import app.tychon.core.model.Plan;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.Scheduler;
import java.time.LocalDateTime;
import java.util.List;
import org.junit.jupiter.api.Test;

class PlanCheckTest {
    private static List<Finding> check(Plan plan) {
        Network network = Network.of(plan);
        return PlanCheck.of(network, Scheduler.schedule(network));
    }

    private static List<String> found(Plan plan, Check check) {
        return check(plan).stream()
                .filter(f -> f.check() == check)
                .map(Finding::on)
                .toList();
    }

    private static PlanBuilder chain() {
        return new PlanBuilder()
                .milestone("S")
                .task("A", 5)
                .task("B", 5)
                .milestone("F")
                .link("S", "A")
                .link("A", "B")
                .link("B", "F");
    }

    @Test
    void aCompleteChainHasNothingButItsMissingTarget() {
        assertThat(check(chain().build())).singleElement().satisfies(f -> {
            assertThat(f.check()).isEqualTo(Check.NO_TARGET);
            assertThat(f.on()).isEqualTo(Plan.PROJECT);
        });
    }

    @Test
    void openEndsAreFoundButForThePlansOwn() {
        Plan plan = chain().task("C", 3).build();
        assertThat(found(plan, Check.OPEN_START)).containsExactly("C");
        assertThat(found(plan, Check.OPEN_FINISH)).containsExactly("C");
    }

    @Test
    void tyingOpenEndsMendsThemAndMovesNoDate() {
        for (int seed = 0; seed < 30; seed++) {
            Plan random = RandomPlans.oneCalendar(seed, 40);
            Plan mended = random;
            for (Finding finding : check(random)) {
                mended = finding.fix().isPresent() ? finding.fix().get().applyTo(mended) : mended;
            }
            assertThat(Scheduler.schedule(Network.of(mended)).finish())
                    .isEqualTo(Scheduler.schedule(Network.of(random)).finish());
            assertThat(check(mended)).noneMatch(f -> f.fix().isPresent());
        }
        Plan open = chain().task("C", 3).build();
        Plan tied = open;
        for (Finding finding : check(open)) {
            tied = finding.fix().isPresent() ? finding.fix().get().applyTo(tied) : tied;
        }
        assertThat(found(tied, Check.OPEN_START)).isEmpty();
        assertThat(found(tied, Check.OPEN_FINISH)).isEmpty();
    }

    @Test
    void danglingEndsAreFound() {
        Plan plan = chain().task("C", 3)
                .link("A", "C", LinkType.FF, "0d")
                .link("C", "B", LinkType.SS, "0d")
                .build();
        assertThat(found(plan, Check.DANGLING_START)).containsExactly("C");
        assertThat(found(plan, Check.DANGLING_FINISH)).containsExactly("C");
        assertThat(found(plan, Check.OPEN_FINISH)).isEmpty();
    }

    @Test
    void leadsLongLagsAndDuplicatesAreFoundAtTheSuccessor() {
        Plan plan = chain().task("C", 3)
                .link("A", "C", LinkType.FS, "-2d")
                .link("C", "F", LinkType.FS, "21d")
                .link("A", "B")
                .link("A", "C", LinkType.FS, "1d")
                .build();
        assertThat(found(plan, Check.LEAD)).containsExactly("C");
        assertThat(found(plan, Check.LONG_LAG)).containsExactly("F");
        assertThat(check(plan).stream().filter(f -> f.check() == Check.DUPLICATE_LINK))
                .extracting(Finding::on, f -> f.fix().isPresent())
                .containsExactly(tuple("B", true), tuple("C", false));
    }

    @Test
    void elapsedAndWeeklyLagsAreJudgedInDays() {
        assertThat(found(chain().link("A", "F", LinkType.FS, "14ed").build(), Check.LONG_LAG))
                .isEmpty();
        assertThat(found(chain().link("A", "F", LinkType.FS, "5w").build(), Check.LONG_LAG))
                .containsExactly("F");
    }

    @Test
    void datesThatHideRiskOrCannotBeMetAreFound() {
        LocalDateTime soon = LocalDateTime.of(2027, 3, 3, 17, 0);
        PlanBuilder builder = new PlanBuilder()
                .task("A", 5)
                .constraint(new Constraint(ConstraintType.FINISH_NO_LATER, soon))
                .task("B", 5)
                .constraint(new Constraint(ConstraintType.START_NO_EARLIER, LocalDateTime.of(2027, 3, 7, 8, 0)))
                .link("A", "B");
        assertThat(found(builder.build(), Check.HARD_CONSTRAINT)).containsExactly("A");
        assertThat(found(builder.build(), Check.MISSED_CONSTRAINT)).containsExactly("A");
        assertThat(found(builder.build(), Check.OUTSIDE_WORK)).as("a Sunday").containsExactly("B");
        assertThat(check(builder.build()).stream().filter(f -> f.check() == Check.MISSED_CONSTRAINT))
                .singleElement()
                .satisfies(f -> assertThat(f.message()).contains("2d too late"));
    }

    @Test
    void workBeforeItsPredecessorIsOutOfSequence() {
        Plan plan = chain().dataDate("2027-03-10T08:00").build();
        PlanBuilder started = new PlanBuilder()
                .dataDate("2027-03-10T08:00")
                .task("A", 10)
                .task("B", 5)
                .actual("2027-03-02T08:00", null, null)
                .link("A", "B");
        assertThat(found(plan, Check.OUT_OF_SEQUENCE)).isEmpty();
        assertThat(found(started.build(), Check.OUT_OF_SEQUENCE)).containsExactly("B");
    }

    @Test
    void overlongAndEvenDurationsAreFound() {
        assertThat(found(chain().task("L", 61).link("L", "F").build(), Check.OVERLONG))
                .containsExactly("L");
        PlanBuilder even = new PlanBuilder();
        for (int i = 0; i < 20; i++) {
            even.task("A" + i, i < 11 ? 10 : i);
        }
        assertThat(found(even.build(), Check.EVEN_DURATIONS)).containsExactly(Plan.PROJECT);
        assertThat(found(even.task("X", 99).task("Y", 98).build(), Check.EVEN_DURATIONS))
                .isEmpty();
    }

    @Test
    void whatSomebodyAcceptedIsStillTold() {
        Plan plan = chain().build();
        Acceptance known = new Acceptance("noTarget", Plan.PROJECT, "", "A study without a date");
        Plan accepted = plan.edit().accepted(List.of(known)).done();
        assertThat(check(accepted)).singleElement().satisfies(f -> assertThat(f.accepted())
                .contains(known));
    }

    @Test
    void anAcceptedFindingCoversThatFindingOnly() {
        Acceptance long30 = new Acceptance("overlong", "A", "", "One crew, one face");
        Plan plan = new PlanBuilder().task("A", 100).build();
        String found = check(plan).stream()
                .filter(f -> f.check() == Check.OVERLONG)
                .findFirst()
                .orElseThrow()
                .message();
        Acceptance exact = new Acceptance("overlong", "A", found, "One crew, one face");
        assertThat(accepted(plan, exact)).isTrue();
        Plan longer = new PlanBuilder().task("A", 200).build();
        assertThat(accepted(longer, exact))
                .as("another length is another finding")
                .isFalse();
        assertThat(accepted(longer, long30)).as("as older files have it").isTrue();
    }

    private static boolean accepted(Plan plan, Acceptance acceptance) {
        return check(plan.edit().accepted(List.of(acceptance)).done()).stream()
                .filter(f -> f.check() == Check.OVERLONG)
                .allMatch(f -> f.accepted().isPresent());
    }
}
