package app.tychon.server.costs;

import app.tychon.core.model.Plan;
import app.tychon.core.simulation.CashFlow.Period;
import app.tychon.server.odds.Opened;
import app.tychon.server.odds.Simulations;
import app.tychon.server.rights.MayRead;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The money of a simulation, recorded or live: line by line, over time, by cause; and the resources that it pays. */
@RestController
@MayRead
@RequestMapping("/api/runs/{run}/costs")
class CostOddsController {
    private static final double PERCENT = 100;
    private static final int DEEPEST = 20;

    private final Simulations simulations;

    CostOddsController(Simulations simulations) {
        this.simulations = simulations;
    }

    /** Every cost line, resource at work, row and category. */
    @GetMapping("/rows")
    MoneyRowsView moneyRows(@PathVariable UUID run) {
        return MoneyRows.of(simulations.open(run));
    }

    /** Money per week, month or quarter: of the project, a row, or a category. */
    @GetMapping("/flow")
    CashFlowView cashFlow(
            @PathVariable UUID run,
            @RequestParam(defaultValue = "month") String period,
            @RequestParam(defaultValue = Plan.PROJECT) String of,
            @RequestParam(defaultValue = "") String category) {
        return CashFlows.of(simulations.open(run), new CashFlows.Asked(period(period), of, category));
    }

    /** Why it costs what it costs: by branch, or by category, of a depth from 1. */
    @GetMapping("/causes")
    CostCausesView costCauses(
            @PathVariable UUID run,
            @RequestParam(defaultValue = "branch") String by,
            @RequestParam(defaultValue = "1") int depth,
            @RequestParam Optional<Double> level) {
        if (!by.equals("branch") && !by.equals("category")) {
            throw new IllegalArgumentException("by: costs are grouped by branch or category, not \"" + by + "\"");
        }
        if (depth < 1 || depth > DEEPEST) {
            throw new IllegalArgumentException("depth: levels count from 1 to " + DEEPEST + ", not " + depth);
        }
        Opened opened = simulations.open(run);
        double percent =
                level.orElse(PERCENT * opened.plan().project().targets().level());
        if (!(percent >= 1 && percent <= PERCENT - 1)) {
            throw new IllegalArgumentException("level: a percentile lies between 1 and 99, not " + percent);
        }
        return CostReasons.of(opened, by.equals("category"), depth, percent / PERCENT);
    }

    /** How much of a resource is at work over time. */
    @GetMapping("/load")
    LoadView resourceLoad(
            @PathVariable UUID run, @RequestParam String resource, @RequestParam(defaultValue = "week") String period) {
        return Loads.of(simulations.open(run), resource, period(period));
    }

    private static Period period(String name) {
        return Arrays.stream(Period.values())
                .filter(one -> one.name().toLowerCase(Locale.ROOT).equals(name))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(
                        "period: money is told by week, month or quarter, not \"" + name + "\""));
    }
}
