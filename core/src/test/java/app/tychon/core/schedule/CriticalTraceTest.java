package app.tychon.core.schedule;

import static app.tychon.core.PlanBuilder.fiveDayWeek;
import static org.assertj.core.api.Assertions.assertThat;

import app.tychon.core.PlanBuilder;
import app.tychon.core.RandomPlans;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.model.LagCalendar;
import app.tychon.core.model.Link;
import app.tychon.core.model.LinkType;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Shift;
import app.tychon.core.model.WorkDuration;
import java.time.DayOfWeek;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CriticalTraceTest {
    private static final int LANES = 7;
    private static final CalendarDefinition CLOCK = new CalendarDefinition(
            "clock",
            "Round the clock",
            24,
            Arrays.stream(DayOfWeek.values()).collect(Collectors.toMap(d -> d, d -> List.of(new Shift(0, 24 * 60)))),
            List.of());

    /**
     * A takes 5 days and B takes 2. The plan starts on Monday 1 March 2027 at 08:00, so A ends on Saturday at 08:00 round
     * the clock and on Friday at 17:00 in the week.
     */
    @ParameterizedTest(name = "A in {0}, {2} {3} lag, B in {1}: {4}")
    @CsvSource({
        // B ends when the week's work does, on Friday at 17:00, before the A that holds it.
        "clock, std, FF, 0d, predecessor, A",
        "clock, std, FF, -1d, predecessor, A",
        // A day of clock time leads to Sunday, which in B's week is Friday at 17:00 still.
        "clock, std, FF, 1d, predecessor, A",
        "clock, std, FF, 2d, elapsed, A",
        // Three days lead to Tuesday at 08:00, which is Monday at 17:00 for B.
        "clock, std, FF, 4d, predecessor, A B",
        "clock, std, FF, 1d, successor, A B",
        "clock, std, FS, 0d, predecessor, A B",
        "clock, std, FS, -1d, predecessor, A B",
        // B begins with A and ends before it.
        "clock, std, SS, 0d, predecessor, A",
        "clock, std, SS, 5d, predecessor, A B",
        "clock, std, SF, 0d, predecessor, A",
        "clock, std, SF, 8d, predecessor, A B",
        // The other order: A ends on Friday at 17:00.
        "std, clock, FF, 0d, predecessor, A B",
        "std, clock, FF, -1d, predecessor, A",
        "std, clock, FF, 1d, predecessor, A B",
        "std, clock, FF, 1d, successor, A B",
        "std, clock, FS, 0d, predecessor, A B",
        "std, clock, SS, 0d, predecessor, A",
        "std, clock, SS, 4d, predecessor, A B",
        "std, clock, SF, 0d, predecessor, A",
        "std, clock, SF, 7d, predecessor, A B",
        // One calendar.
        "std, std, FF, 0d, predecessor, A B",
        "std, std, FF, -1d, predecessor, A",
        "std, std, SS, 3d, predecessor, A B",
    })
    void whatEndsTheProjectIsCriticalInAnyCalendar(
            String first, String second, LinkType type, String lag, String lagCalendar, String critical) {
        Plan plan = new PlanBuilder()
                .calendar(fiveDayWeek("std"))
                .calendar(CLOCK)
                .lagCalendar(LagCalendar.valueOf(lagCalendar.toUpperCase()))
                .task("A", "W", first, WorkDuration.days(5), null)
                .task("B", "W", second, WorkDuration.days(2), null)
                .link("A", "B", type, lag)
                .build();
        assertThat(LongestPath.to(Network.of(plan), CriticalTrace.PROJECT)).isEqualTo(Set.of(critical.split(" ")));
    }

    @Test
    void aMilestoneReachedOnASaturdayHoldsTheFinishOfTheWeeksWork() {
        Plan plan = new PlanBuilder()
                .calendar(CLOCK)
                .task("A", "W", "clock", WorkDuration.days(5), null)
                .milestone("M")
                .task("B", 2)
                .link("A", "M")
                .link("M", "B", LinkType.FF, "0d")
                .build();
        assertThat(LongestPath.to(Network.of(plan), CriticalTrace.PROJECT)).containsExactlyInAnyOrder("A", "M");
    }

    @Test
    void inEveryIterationCriticalIsExactlyWhatEndsTheProjectOrDrivesSomethingCritical() {
        int crossing = 0;
        for (int seed = 0; seed < 400; seed++) {
            int activities = 4 + seed % 20;
            Plan plan = seed % 2 == 0
                    ? RandomPlans.manyCalendars(seed, activities)
                    : RandomPlans.underWay(seed, activities);
            crossing += check(heldAtTheirFinish(plan, new Random(seed)), seed);
        }
        assertThat(crossing)
                .as("futures that end with work that holds the finish of other work")
                .isGreaterThan(50);
    }

    /** The same plan with two thirds of its links between finishes. */
    private static Plan heldAtTheirFinish(Plan plan, Random random) {
        return plan.edit()
                .links(plan.links().stream()
                        .map(l -> isOfHammock(l) || random.nextInt(3) == 0
                                ? l
                                : new Link(l.from(), l.to(), LinkType.FF, l.lag()))
                        .toList())
                .done();
    }

    private static boolean isOfHammock(Link link) {
        return link.from().startsWith("H") || link.to().startsWith("H");
    }

    private static int check(Plan plan, int seed) {
        Network network = Network.of(plan);
        ForwardPass pass = new ForwardPass(network);
        Lanes lanes = new Lanes(network.size(), LANES);
        Random random = new Random(seed);
        for (int i = 0; i < network.size(); i++) {
            Work work = network.work(i);
            for (int k = 0; k < LANES; k++) {
                // Work that comes to nothing, in the last lane, stands where its predecessors let go of it.
                double factor = k == LANES - 1 ? random.nextInt(2) : k % 2 == 0 ? 1 : 0.5 + random.nextDouble();
                lanes.duration[i][k] = work.done() + work.remaining() * factor;
            }
        }
        pass.run(lanes, LANES);
        CriticalTrace trace = new CriticalTrace(network, pass);
        trace.run(lanes, LANES);
        PathTrace paths = new PathTrace(network.size(), LANES, trace);
        paths.run(lanes, LANES);
        int crossing = 0;
        for (int k = 0; k < LANES; k++) {
            boolean[] expected = expected(network, pass, lanes, k);
            for (int i = 0; i < network.size(); i++) {
                assertThat(lanes.critical[i][k])
                        .as("%s of plan %d in lane %d", network.activity(i).id(), seed, k)
                        .isEqualTo(expected[i]);
            }
            int last = lanes.last[k];
            assertThat(lanes.finish[last][k]).isEqualTo(lanes.end[k]);
            assertThat(paths.backwards(k)[0]).isEqualTo(last);
            crossing += holdsAFinish(network, last) ? 1 : 0;
        }
        return crossing;
    }

    /** By the definition: again and again, until nothing more becomes critical. */
    private static boolean[] expected(Network network, ForwardPass pass, Lanes lanes, int k) {
        boolean[] critical = new boolean[network.size()];
        for (int i = 0; i < network.size(); i++) {
            critical[i] = !network.isHammock(i) && lanes.end[k] - lanes.finish[i][k] <= ForwardPass.SAME;
        }
        for (boolean found = true; found; ) {
            found = false;
            for (int i = 0; i < network.size(); i++) {
                for (int link = network.firstIn(i); critical[i] && link < network.firstIn(i + 1); link++) {
                    if (!critical[network.from(link)] && pass.drives(link, i, lanes, k)) {
                        critical[network.from(link)] = true;
                        found = true;
                    }
                }
            }
        }
        return critical;
    }

    private static boolean holdsAFinish(Network network, int position) {
        for (int i = 0; i < network.size(); i++) {
            for (int link = network.firstIn(i); link < network.firstIn(i + 1); link++) {
                if (network.from(link) == position
                        && network.type(link) == LinkType.FF
                        && network.lag(link) >= 0
                        && !network.isHammock(i)) {
                    return true;
                }
            }
        }
        return false;
    }
}
