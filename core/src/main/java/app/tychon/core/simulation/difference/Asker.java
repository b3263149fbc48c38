package app.tychon.core.simulation.difference;

import app.tychon.core.schedule.Successors;
import app.tychon.core.simulation.draws.Batch;
import app.tychon.core.simulation.draws.UncertainInput;
import app.tychon.core.simulation.engine.BatchWorker;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.money.CostLanes;
import app.tychon.core.simulation.risk.RiskEvent;
import app.tychon.core.simulation.risk.Strikes;
import java.util.Arrays;

/** Works off variations of a batch, one after the other; one thread's own. */
final class Asker {
    private final KeptBatch kept;
    private final Ripple ripple;
    private final CostLanes item;
    private final boolean[] differs = new boolean[Batch.WIDTH];
    private final int[] at = new int[Ripple.WIDTH];
    private final double[] ends = new double[Ripple.WIDTH];

    Asker(CompiledPlan plan, BatchWorker worker, Successors successors) {
        kept = new KeptBatch(plan, worker);
        ripple = new Ripple(kept, successors);
        item = plan.costs().space();
    }

    /** Simulates the plan's own futures, which variations are compared with until the next batch. */
    void simulate(Batch batch) {
        kept.simulate(batch);
    }

    /** Finds the futures of the batch in which a variation comes out otherwise. */
    void ask(Varied varied, Patches patches) {
        if (!varied.isOtherwise()) {
            return;
        }
        Arrays.fill(differs, false);
        Strikes strikes = strike(varied);
        double[][] durations = durations(varied, strikes);
        notePrices(varied);
        VariedMoney money = new VariedMoney(varied, kept, strikes, item);
        int count = 0;
        for (int k = 0; k < kept.batch.count(); k++) {
            if (differs[k]) {
                at[count++] = k;
            }
            if (count == Ripple.WIDTH || count > 0 && k == kept.batch.count() - 1) {
                workOff(varied, durations, money, count, patches);
                count = 0;
            }
        }
    }

    /** What strikes alike is taken over; where anything else differs is noted. */
    private Strikes strike(Varied varied) {
        Strikes before = kept.worker.strikes;
        Strikes strikes = varied.plan.risks().spaceToShare();
        for (RiskEvent event : varied.plan.risks().events()) {
            RiskEvent same = varied.alike[event.index()];
            if (same != null) {
                strikes.share(event, before, same);
            } else {
                strikes.begin(event);
                varied.plan.risks().strike(event, kept.batch, varied.plan::duration, strikes);
            }
        }
        for (Varied.Otherwise risk : varied.risks) {
            for (int k = 0; k < kept.batch.count(); k++) {
                int was = risk.before() < 0 ? 0 : before.count[risk.before()][k];
                int is = risk.after() < 0 ? 0 : strikes.count[risk.after()][k];
                differs[k] |= was != is || risk.always() && is > 0;
            }
        }
        return strikes;
    }

    /** Durations of what may differ, in every lane of the batch. */
    private double[][] durations(Varied varied, Strikes strikes) {
        int count = kept.batch.count();
        double[][] durations = new double[varied.positions.length][count];
        for (int p = 0; p < durations.length; p++) {
            int i = varied.positions[p];
            UncertainInput input = varied.plan.duration(i);
            if (varied.redrawn.get(i) || kept.drawn[i] == null) {
                input.sample(kept.batch, durations[p]);
            } else {
                System.arraycopy(kept.drawn[i], 0, durations[p], 0, count);
            }
            varied.plan.risks().bend(i, kept.batch, strikes, durations[p]);
            kept.worker.addHistory(i, durations[p], count);
            for (int k = 0; varied.redrawn.get(i) && k < count; k++) {
                differs[k] |= durations[p][k] != kept.worker.lanes.duration[i][k];
            }
        }
        return durations;
    }

    /** Amounts that are drawn otherwise differ everywhere. */
    private void notePrices(Varied varied) {
        if (!varied.repriced.isEmpty()) {
            Arrays.fill(differs, true);
        }
    }

    private void workOff(Varied varied, double[][] durations, VariedMoney money, int count, Patches patches) {
        ripple.spread(at, count, varied.positions, durations);
        ripple.ends(ends);
        money.add(at, count, ripple);
        for (int k = 0; k < count; k++) {
            int lane = at[k];
            boolean same = ends[k] == kept.worker.finish(lane)
                    && money.spread[k] == kept.worker.money.spread[lane]
                    && money.timeDriven[k] == kept.worker.money.timeDriven[lane]
                    && money.risk[k] == kept.worker.money.risk[lane];
            if (!same) {
                patches.add(kept.batch.first() + lane, ends[k], money.spread[k], money.timeDriven[k], money.risk[k]);
            }
        }
    }
}
