package app.tychon.server.costs;

import app.tychon.core.analysis.FundingOdds;
import app.tychon.core.analysis.FundingOdds.Stretch;
import app.tychon.core.model.Funding;
import app.tychon.core.model.Plan;
import app.tychon.core.simulation.CashFlow;
import app.tychon.core.simulation.CashFlow.Period;
import app.tychon.core.simulation.Slice;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.statistics.Sample;
import app.tychon.server.costs.CashFlowView.FlowMoney;
import app.tychon.server.costs.CashFlowView.FlowPeriod;
import app.tychon.server.costs.CashFlowView.FundedStretch;
import app.tychon.server.costs.CashFlowView.FundingOddsView;
import app.tychon.server.odds.Opened;
import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/** Works out the cash flow of a simulation, of all of it or a slice. */
final class CashFlows {
    private static final double PERCENT = 100;
    private static final double CENT = 0.005;

    private final Opened run;
    private final Asked asked;
    private final double level;

    /** @param category empty for all; null where a row is asked about */
    record Asked(Period period, String of, @Nullable String category) {
        Slice slice(CompiledPlan plan) {
            return category == null || category.isEmpty()
                    ? Slice.on(plan.network(), of)
                    : Slice.of(plan.network().plan(), category);
        }

        boolean isWhole() {
            return of.equals(Plan.PROJECT) && (category == null || category.isEmpty());
        }
    }

    private CashFlows(Opened run, Asked asked) {
        this.run = run;
        this.asked = asked;
        level = run.plan().project().targets().level();
    }

    /** Worked out once. */
    static CashFlowView of(Opened run, Asked asked) {
        return run.once(
                asked,
                () -> run.calculate(
                        run.result().iterations(), (plan, monitor) -> new CashFlows(run, asked).view(plan, monitor)));
    }

    private CashFlowView view(CompiledPlan plan, RunMonitor monitor) {
        List<Funding> funding = run.plan().funding();
        boolean funded = asked.isWhole() && !funding.isEmpty();
        List<LocalDate> cuts = funded ? funding.stream().map(Funding::date).toList() : List.of();
        Slice slice = asked.slice(plan);
        CashFlow fine = CashFlow.of(plan, run.result(), asked.period(), cuts, slice, monitor);
        boolean underWay = run.plan().project().dataDate().isPresent()
                || run.plan().costs().stream().anyMatch(line -> line.isUnderWay());
        double[] outset = underWay ? fine.atTheOutset(plan, slice) : null;
        return new CashFlowView(
                run.result().iterations(),
                PERCENT * level,
                run.plan().project().dataDate().map(LocalDateTime::toLocalDate).orElse(null),
                periods(fine, outset),
                funded ? funding(FundingOdds.of(fine, funding)) : null);
    }

    /** The usual periods, with what funding cuts apart put together again. */
    private List<FlowPeriod> periods(CashFlow fine, @Nullable double[] outset) {
        List<Integer> firsts = new ArrayList<>();
        for (int p = 0; p < fine.starts().size(); p++) {
            LocalDate start = fine.starts().get(p);
            if (asked.period().first(start).equals(start)) {
                firsts.add(p);
            }
        }
        int iterations = run.result().iterations();
        double[] sum = new double[iterations];
        double planned = 0;
        double before = 0;
        List<FlowPeriod> periods = new ArrayList<>();
        for (int f = 0; f < firsts.size(); f++) {
            int from = firsts.get(f);
            int to = f + 1 < firsts.size() ? firsts.get(f + 1) : fine.starts().size();
            double[] within = new double[iterations];
            IntStream.range(from, to).forEach(p -> add(within, fine.amounts()[p]));
            add(sum, within);
            double inPeriod = total(fine.planned(), from, to);
            Double atOutset = outset == null ? null : total(outset, from, to);
            planned += inPeriod;
            before += atOutset == null ? 0 : atOutset;
            LocalDate next = to < fine.starts().size() ? fine.starts().get(to) : fine.end();
            periods.add(new FlowPeriod(
                    fine.starts().get(from),
                    next.minusDays(1),
                    money(within, inPeriod, atOutset),
                    money(sum, planned, atOutset == null ? null : before)));
        }
        return periods;
    }

    private static void add(double[] sum, double[] values) {
        for (int i = 0; i < sum.length; i++) {
            sum[i] += values[i];
        }
    }

    private static double total(double[] values, int from, int to) {
        return Arrays.stream(values, from, to).sum();
    }

    private FlowMoney money(double[] values, double planned, @Nullable Double outset) {
        Sample sample = Sample.of(values);
        return new FlowMoney(
                planned,
                outset,
                Arrays.stream(values).sum() / values.length,
                sample.percentile(0.1),
                sample.percentile(0.5),
                sample.percentile(level),
                sample.percentile(0.9));
    }

    private FundingOddsView funding(FundingOdds odds) {
        List<FundedStretch> stretches =
                odds.stretches().stream().map(one -> stretch(one)).toList();
        double[] shorts =
                Arrays.stream(odds.shortfalls()).filter(money -> money > CENT).toArray();
        FundedStretch breaks = stretches.stream()
                .max(Comparator.comparingDouble(FundedStretch::breaks))
                .filter(one -> one.breaks() > 0)
                .orElse(null);
        return new FundingOddsView(
                odds.throughout(),
                breaks,
                shorts.length == 0 ? null : Sample.of(shorts).percentile(0.5),
                shorts.length == 0 ? null : Sample.of(shorts).percentile(level),
                stretches);
    }

    private static FundedStretch stretch(Stretch one) {
        return new FundedStretch(one.from(), one.to().minusDays(1), one.available(), one.within(), one.breaks());
    }
}
