package app.tychon.brief.blocks;

import app.tychon.brief.drawing.Tick;
import app.tychon.brief.ground.Ground;
import app.tychon.brief.ground.Odds;
import app.tychon.brief.words.Fields;
import app.tychon.brief.words.Telling;
import app.tychon.core.model.Brief;
import app.tychon.core.model.BriefBlock;
import app.tychon.core.model.Plan;
import java.util.List;

/** What a block is told with: whose numbers, in which words, and what is set of it. */
record Scene(Brief brief, BriefBlock block, Odds odds, Telling telling, Fields fields) {
    private static final int MOST_TICKS = 7;
    private static final double MONTHS_WITHOUT_YEARS = 400.0 * 1440;

    static Scene of(Brief brief, BriefBlock block, Odds odds, Telling telling) {
        String of = block.of().filter(odds::knows).orElse(Plan.PROJECT);
        double level = block.level()
                .map(percent -> percent / 100.0)
                .orElse(odds.targets().level());
        return new Scene(brief, block, odds, telling, new Fields(odds, telling, of, level, block.scenarios()));
    }

    Ground ground() {
        return odds.ground();
    }

    Plan plan() {
        return odds.plan();
    }

    /** What it is about; the project where what is named is no longer there. */
    String of() {
        return block.of().filter(odds::knows).orElse(Plan.PROJECT);
    }

    /** Of confidence, 0 to 1. */
    double level() {
        return block.level()
                .map(percent -> percent / 100.0)
                .orElse(odds.targets().level());
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
