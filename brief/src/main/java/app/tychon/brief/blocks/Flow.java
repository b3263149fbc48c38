package app.tychon.brief.blocks;

import app.tychon.brief.drawing.Spending;
import app.tychon.brief.ground.Spent;
import app.tychon.core.analysis.FundingOdds;
import app.tychon.core.analysis.FundingOdds.Stretch;
import app.tychon.core.calendar.Instants;
import app.tychon.core.model.BriefBlock.Period;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/** When money is spent, and whether what is funded reaches. */
final class Flow {
    private static final int MONTHS_OF_A_QUARTER = 3;

    private Flow() {}

    static Content of(Scene scene) {
        if (!scene.odds().hasMoney()) {
            return Content.words(List.of("The plan has no money in it."));
        }
        Period period = scene.block().period().orElse(Period.MONTH);
        Spent spent = Spent.of(scene.ground(), period);
        int n = spent.starts().size();
        int peak = IntStream.range(0, n)
                .boxed()
                .max(Comparator.comparingDouble(p -> spent.each()[p]))
                .orElse(0);
        scene.fields()
                .always(
                        "peak.period",
                        "When most is spent",
                        () -> name(scene, period, spent.starts().get(peak)));
        scene.fields()
                .always("peak.cost", "How much then", () -> scene.telling().money(spent.each()[peak]));
        List<String> words = new ArrayList<>();
        words.add("Most is spent in {peak.period}: {peak.cost} in half of all futures.");
        spent.funding().ifPresent(odds -> funding(scene, odds, words));
        double[] at = IntStream.rangeClosed(0, n)
                .mapToDouble(p -> Instants.of(
                        (p == 0 ? spent.starts().get(0) : spent.ends().get(p - 1)).atStartOfDay()))
                .toArray();
        Spending.Course course = new Spending.Course(
                at,
                fromNothing(spent.planned()),
                fromNothing(spent.low()),
                fromNothing(spent.half()),
                fromNothing(spent.high()),
                Spent.steps(scene.plan().funding()));
        String alt = "Money spent over time: planned " + scene.telling().money(spent.planned()[n - 1])
                + " in the end, half of all futures up to " + scene.telling().money(spent.half()[n - 1])
                + ", one of ten more than " + scene.telling().money(spent.high()[n - 1]);
        return new Content(
                words,
                Optional.of(Spending.of(
                        course,
                        scene.dates(at[0], at[n]),
                        scene.amounts(0, spent.high()[n - 1]),
                        new Spending.Words("as planned", "half of all futures", "eight of ten futures", "funded"),
                        alt)),
                Optional.of(grid(scene, period, spent)),
                List.of());
    }

    private static void funding(Scene scene, FundingOdds odds, List<String> words) {
        int all = odds.shortfalls().length;
        long kept = Math.round(odds.throughout() * all);
        scene.fields()
                .always("funding.often", "Futures in which what is funded reaches throughout", () -> scene.telling()
                        .often(kept, all));
        words.add("What is funded reaches at all times in {funding.often} of all futures.");
        odds.stretches().stream()
                .max(Comparator.comparingDouble(Stretch::breaks))
                .filter(worst -> worst.breaks() > 0)
                .ifPresent(worst -> {
                    scene.fields().always("funding.short", "When it runs short most often", () -> scene.telling()
                            .day(worst.to().minusDays(1)));
                    words.add("It runs short first most often by {funding.short}.");
                });
    }

    private static double[] fromNothing(double[] sums) {
        double[] all = new double[sums.length + 1];
        System.arraycopy(sums, 0, all, 1, sums.length);
        return all;
    }

    private static String name(Scene scene, Period period, LocalDate day) {
        if (period == Period.QUARTER) {
            return "Q" + ((day.getMonthValue() - 1) / MONTHS_OF_A_QUARTER + 1) + " " + day.getYear();
        }
        return day.format(
                DateTimeFormatter.ofPattern("LLLL yyyy", scene.telling().locale()));
    }

    private static Grid grid(Scene scene, Period period, Spent spent) {
        List<List<String>> rows = new ArrayList<>();
        for (int p = 0; p < spent.starts().size(); p++) {
            rows.add(List.of(
                    name(scene, period, spent.starts().get(p)),
                    scene.telling().exactMoney(spent.each()[p]),
                    scene.telling().exactMoney(spent.planned()[p]),
                    scene.telling().exactMoney(spent.low()[p]),
                    scene.telling().exactMoney(spent.half()[p]),
                    scene.telling().exactMoney(spent.high()[p])));
        }
        return Grid.of(
                rows,
                "Period",
                "#P50 in it",
                "#Planned by its end",
                "#P10 by its end",
                "#P50 by its end",
                "#P90 by its end");
    }
}
