package app.tychon.core.simulation;

import static app.tychon.core.simulation.Helping.N;
import static app.tychon.core.simulation.Helping.SETTINGS;
import static app.tychon.core.simulation.Helping.begin;
import static app.tychon.core.simulation.Helping.joined;
import static app.tychon.core.simulation.Helping.plan;
import static app.tychon.core.simulation.Helping.waitingFor;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.tychon.core.simulation.difference.Differences;
import app.tychon.core.simulation.engine.Block;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Helpers;
import app.tychon.core.simulation.result.Outcomes;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.simulation.settings.Variation.RiskSetting;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;

/** Finish and cost alone, and variations compared, are helped with as runs are: no bit of them changes. */
class HelpedAnswersTest {
    /** Works off what there is, two batches at a time. @param kept how many blocks it has given */
    private static Helpers working(AtomicInteger kept) {
        return (task, blocks) -> {
            Thread thread = new Thread(() -> {
                RunBlocks work = RunBlocks.of(task);
                for (Block block = blocks.take(2).orElse(null);
                        block != null || kept.get() == 0;
                        block = blocks.take(2).orElse(null)) {
                    if (block != null && blocks.finish(block, work.work(block))) {
                        kept.incrementAndGet();
                    }
                }
            });
            thread.start();
            return () -> joined(thread);
        };
    }

    @Test
    void finishAndCostAloneAreHelpedWithToo() {
        CompiledPlan plan = CompiledPlan.of(plan());
        AtomicInteger kept = new AtomicInteger();
        Helpers helper = working(kept);
        Outcomes helped = Simulation.outcomes(plan, SETTINGS, waitingFor(kept, 1), helper);
        Outcomes alone = Simulation.outcomes(plan, SETTINGS, RunMonitor.NONE);
        same(helped, alone);
    }

    @Test
    void differencesAreHelpedWithTooAndAreTheSame() {
        CompiledPlan plan = CompiledPlan.of(plan()).with(Variation.CURRENT.withRisk("R1", RiskSetting.OFF));
        Map<String, Variation> asked = new LinkedHashMap<>();
        plan.network().plan().risks().forEach(risk -> {
            asked.put("off " + risk.id(), plan.variation().withRisk(risk.id(), RiskSetting.OFF));
            asked.put("answered " + risk.id(), plan.variation().withRisk(risk.id(), RiskSetting.AFTER_RESPONSE));
        });
        AtomicInteger kept = new AtomicInteger();
        Helpers helper = working(kept);
        List<Integer> early = new CopyOnWriteArrayList<>();
        Differences<String> helped = Differences.of(
                plan, SETTINGS, asked, waitingFor(kept, 1), helper, some -> early.add(some.iterations()));
        Differences<String> alone = Differences.of(plan, SETTINGS, asked, RunMonitor.NONE, some -> {});
        same(helped.own(), alone.own());
        assertThat(helped.keys()).containsExactlyElementsOf(alone.keys()).isNotEmpty();
        helped.keys().forEach(key -> {
            same(helped.of(key), alone.of(key));
            assertThat(helped.differing(key)).as(key).isEqualTo(alone.differing(key));
        });
        assertThat(early).isSorted().allMatch(n -> n < N);
    }

    private static void same(Outcomes helped, Outcomes alone) {
        assertThat(helped.finish()).isEqualTo(alone.finish());
        assertThat(helped.duration()).isEqualTo(alone.duration());
        assertThat(helped.cost()).isEqualTo(alone.cost());
        assertThat(helped.risk()).isEqualTo(alone.risk());
        assertThat(helped.certain()).isEqualTo(alone.certain());
    }

    @Test
    void whatGivesDifferencesOfNoSuchBlockIsRefused() {
        CompiledPlan plan = CompiledPlan.of(plan());
        Map<String, Variation> asked = Map.of("none", Variation.CURRENT.withRisks(RiskSetting.OFF));
        for (byte[] wrong : List.of(new byte[] {1, 2, 3}, new byte[100_000])) {
            AtomicInteger given = new AtomicInteger();
            Helpers helper = (task, blocks) -> {
                Thread thread = new Thread(() -> {
                    blocks.finish(begin(blocks, 1), wrong);
                    given.incrementAndGet();
                });
                thread.start();
                return () -> joined(thread);
            };
            assertThatThrownBy(() -> Differences.of(plan, SETTINGS, asked, waitingFor(given, 1), helper, some -> {}))
                    .isInstanceOf(RuntimeException.class);
        }
    }
}
