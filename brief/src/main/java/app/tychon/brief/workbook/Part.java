package app.tychon.brief.workbook;

import app.tychon.brief.ground.Ground;
import app.tychon.exchange.costs.MoneySheet;
import app.tychon.exchange.ranges.RangeSheet;
import app.tychon.exchange.risks.RegisterSheet;
import app.tychon.exchange.schedule.ScheduleSheet;
import app.tychon.exchange.table.Sheet;
import java.util.Locale;
import java.util.function.Function;

/** The sheets of a workbook: what a run was made from, and what came out. */
public enum Part {
    PLAN("Plan", ground -> ScheduleSheet.of(ground.plan(), ground.compiled().schedule())),
    RANGES("Ranges", ground -> RangeSheet.of(ground.plan())),
    RISKS("Risk register", ground -> RegisterSheet.of(ground.plan())),
    COSTS("Cost lines", ground -> MoneySheet.costs(ground.plan())),
    RESOURCES("Resources", ground -> MoneySheet.resources(ground.plan())),
    FUNDING("Funding", ground -> MoneySheet.funding(ground.plan())),
    PERCENTILES("Percentiles", Results::percentiles),
    CRITICALITY("Criticality", Results::criticality),
    DRIVERS("Drivers", Results::drivers),
    CASH_FLOW("Cash flow", Results::cashFlow),
    SCENARIOS("Scenarios", Results::scenarios),
    ITERATIONS("Iterations", Results::iterations);

    private final String title;
    private final Function<Ground, Sheet> sheet;

    Part(String title, Function<Ground, Sheet> sheet) {
        this.title = title;
        this.sheet = sheet;
    }

    public String title() {
        return title;
    }

    /** As addresses and files name it: cash-flow. */
    public String word() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    public Sheet of(Ground ground) {
        Sheet own = sheet.apply(ground);
        return new Sheet(title, own.columns(), own.frozen(), own.name(), own.lines());
    }
}
