package app.tychon.core.schedule;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.tychon.core.RandomPlans;
import app.tychon.core.model.Activity;
import app.tychon.core.model.Plan;
import java.util.HashMap;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

class ForwardPassTest {
    private static final int LANES = 7;
    private static final double A_SECOND = 1.0 / 60;

    @Test
    void matchesTheSlowReferenceOnManyCalendars() {
        int compared = 0;
        for (int seed = 0; seed < 250; seed++) {
            compared += compare(RandomPlans.manyCalendars(seed, 25), seed);
        }
        assertThat(compared).isEqualTo(250 * 25 * LANES);
    }

    @Test
    void matchesTheSlowReferenceOnHammocksAndProgress() {
        int compared = 0;
        for (int seed = 0; seed < 250; seed++) {
            compared += compare(RandomPlans.underWay(seed, 25), seed);
        }
        assertThat(compared).isEqualTo(250 * 28 * LANES);
    }

    @Test
    void matchesTheSlowReferenceOnOneCalendar() {
        for (int seed = 0; seed < 150; seed++) {
            Plan plan = RandomPlans.oneCalendar(seed, 25);
            compare(plan, seed);
        }
    }

    @Test
    void everyIterationHasACriticalPathFromAStartToTheFinish() {
        for (int seed = 0; seed < 60; seed++) {
            Network network =
                    Network.of(seed % 2 == 0 ? RandomPlans.manyCalendars(seed, 40) : RandomPlans.underWay(seed, 40));
            ForwardPass pass = new ForwardPass(network);
            Lanes lanes = lanes(network, new Random(seed));
            pass.run(lanes, LANES);
            new CriticalTrace(network, pass).run(lanes, LANES);
            for (int k = 0; k < LANES; k++) {
                assertThat(walksBackToAStart(network, pass, lanes, k)).isTrue();
            }
        }
    }

    /** From a critical finisher, step to critical predecessors over driving links until nothing but a date holds it. */
    private static boolean walksBackToAStart(Network network, ForwardPass pass, Lanes lanes, int k) {
        int at = -1;
        for (int i = 0; i < network.size(); i++) {
            at = lanes.critical[i][k] && lanes.finish[i][k] == lanes.end[k] ? i : at;
        }
        while (at >= 0) {
            int next = -1;
            for (int link = network.firstIn(at); link < network.firstIn(at + 1); link++) {
                if (pass.drives(link, at, lanes, k)) {
                    assertThat(lanes.critical[network.from(link)][k]).isTrue();
                    next = network.from(link);
                }
            }
            if (next < 0) {
                Activity first = network.activity(at);
                double floor = network.time(at)
                        .startInstant(
                                network.time(at).work(network.frame(first.id()).earliest()));
                // History, and what goes on from the data date, is held by that.
                boolean heldByDate =
                        first.constraint().isPresent() || first.progress().hasStarted();
                return heldByDate || Math.abs(lanes.start[at][k] - floor) < A_SECOND;
            }
            at = next;
        }
        return false;
    }

    private static Lanes lanes(Network network, Random random) {
        Lanes lanes = new Lanes(network.size(), LANES);
        for (int i = 0; i < network.size(); i++) {
            for (int k = 0; k < LANES; k++) {
                boolean whole = k % 2 == 0;
                double factor = whole ? 1 : 0.5 + random.nextDouble();
                Work work = network.work(i);
                lanes.duration[i][k] = work.done() + work.remaining() * factor;
            }
        }
        return lanes;
    }

    private static int compare(Plan plan, long seed) {
        Network network = Network.of(plan);
        ForwardPass pass = new ForwardPass(network);
        Lanes lanes = lanes(network, new Random(seed));
        pass.run(lanes, LANES);
        int compared = 0;
        for (int k = 0; k < LANES; k++) {
            Map<String, Double> durations = new HashMap<>();
            for (int i = 0; i < network.size(); i++) {
                durations.put(network.activity(i).id(), lanes.duration[i][k]);
            }
            SlowSchedule slow = new SlowSchedule(plan, durations);
            for (int i = 0; i < network.size(); i++) {
                String id = network.activity(i).id();
                assertThat(lanes.start[i][k])
                        .as("start of %s, plan %d, lane %d", id, seed, k)
                        .isCloseTo(slow.start.get(id), within(A_SECOND));
                assertThat(lanes.finish[i][k])
                        .as("finish of %s, plan %d, lane %d", id, seed, k)
                        .isCloseTo(slow.finish.get(id), within(A_SECOND));
                compared++;
            }
        }
        return compared;
    }
}
