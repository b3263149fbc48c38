package app.tychon.brief.blocks;

import app.tychon.brief.drawing.Tick;
import app.tychon.brief.ground.Ground;
import app.tychon.brief.ground.Odds;
import app.tychon.brief.words.Fields;
import app.tychon.brief.words.Telling;
import app.tychon.core.calendar.Instants;
import app.tychon.core.model.BriefBlock;
import app.tychon.core.model.Plan;
import java.util.List;

/** What a block is told with: whose numbers, in which words, and what is set of it. */
record Scene(BriefBlock block, Odds odds, Telling telling, Fields fields) {
    private static final int MOST_TICKS = 7;
    private static final double MONTHS_WITHOUT_YEARS = 400.0 * Instants.DAY;

    static Scene of(BriefBlock block, Odds odds, Telling telling) {
        return new Scene(
                block,
                odds,
                telling,
                new Fields(odds, telling, of(block, odds), level(block, odds), block.scenarios()));
    }

    private static String of(BriefBlock block, Odds odds) {
        return block.of().filter(odds::knows).orElse(Plan.PROJECT);
    }

    private static double level(BriefBlock block, Odds odds) {
        return block.level()
                .map(percent -> percent / 100.0)
                .orElse(odds.targets().level());
    }

    Ground ground() {
        return odds.ground();
    }

    Plan plan() {
        return odds.plan();
    }

    /** What it is about; the project where what is named is no longer there. */
    String of() {
        return of(block, odds);
    }

    /** Of confidence, 0 to 1. */
    double level() {
        return level(block, odds);
    }

    /** P80 */
    String percentile() {
        return "P" + Math.round(level() * 100);
    }

    int rows(int usual) {
        return block.rows().orElse(usual);
    }

    /** A sentence where its numbers are there; else none. */
    List<String> where(String field, String sentence) {
        return fields.has(field) ? List.of(sentence) : List.of();
    }

    /** First days of months or years between two instants. */
    List<Tick> dates(double low, double high) {
        boolean withYear = high - low > MONTHS_WITHOUT_YEARS;
        return Tick.dates(low, high, MOST_TICKS, day -> telling.tick(day, withYear));
    }

    List<Tick> amounts(double low, double high) {
        return Tick.amounts(low, high, MOST_TICKS - 2, telling::money);
    }
}
