package app.tychon.server.odds;

import app.tychon.core.calendar.Instants;
import app.tychon.core.statistics.DateSample;
import app.tychon.server.rights.MayRead;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/**
 * Reads simulations: recorded runs by their key, live odds by the key they are told with. Chances are given in percent, 0 to
 * 100. What odds are read of is said by {@code what} and {@code of}, the id of an activity or branch; without it the project.
 */
@RestController
@MayRead
@RequestMapping("/api/runs/{run}")
class OddsController {
    private static final int USUAL_BINS = 40;
    private static final int FEWEST_BINS = 5;
    private static final int MOST_BINS = 200;

    private final Simulations simulations;

    OddsController(Simulations simulations) {
        this.simulations = simulations;
    }

    /** Odds of a start or a finish. */
    @GetMapping("/dates")
    Odds<LocalDateTime> dateOdds(
            @PathVariable UUID run,
            @ParameterObject Asked asked,
            @RequestParam(defaultValue = "") List<Double> levels,
            @RequestParam Optional<Integer> bins) {
        Opened opened = simulations.open(run);
        int most = bins(bins, DateSample.USUAL_BINS);
        return opened.date(asked).odds(shares(levels), most, opened.result().settings());
    }

    /** Odds of a cost or a duration. */
    @GetMapping("/amounts")
    Odds<Double> amountOdds(
            @PathVariable UUID run,
            @ParameterObject Asked asked,
            @RequestParam(defaultValue = "") List<Double> levels,
            @RequestParam Optional<Integer> bins) {
        Opened opened = simulations.open(run);
        int most = bins(bins, USUAL_BINS);
        return opened.amount(asked).odds(shares(levels), most, opened.result().settings());
    }

    private static int bins(Optional<Integer> asked, int usual) {
        int most = asked.orElse(usual);
        if (most < FEWEST_BINS || most > MOST_BINS) {
            throw new IllegalArgumentException(
                    "a histogram has " + FEWEST_BINS + " to " + MOST_BINS + " bins, not " + most);
        }
        return most;
    }

    private static List<Double> shares(List<Double> percents) {
        return percents.stream().map(Chance::share).toList();
    }

    @GetMapping("/dates/at-chance")
    Odds.Reading<LocalDateTime> dateAtChance(
            @PathVariable UUID run, @ParameterObject Asked asked, @RequestParam double chance) {
        return simulations.open(run).date(asked).ofChance(Chance.share(chance));
    }

    @GetMapping("/dates/at-date")
    Odds.Reading<LocalDateTime> dateAtDate(
            @PathVariable UUID run, @ParameterObject Asked asked, @RequestParam LocalDateTime date) {
        return simulations.open(run).date(asked).at(Instants.of(date));
    }

    @GetMapping("/amounts/at-chance")
    Odds.Reading<Double> amountAtChance(
            @PathVariable UUID run, @ParameterObject Asked asked, @RequestParam double chance) {
        return simulations.open(run).amount(asked).ofChance(Chance.share(chance));
    }

    @GetMapping("/amounts/at-amount")
    Odds.Reading<Double> amountAtAmount(
            @PathVariable UUID run, @ParameterObject Asked asked, @RequestParam double amount) {
        return simulations.open(run).amount(asked).at(amount);
    }

    /** When the simulated work of each activity and branch begins and ends. */
    @GetMapping("/spans")
    Spans spans(@PathVariable UUID run) {
        return Spans.of(simulations.open(run));
    }

    /** The same simulation once more with another seed, to see how far percentiles wander by chance. */
    @GetMapping("/repeats/{number}")
    Repeat repeat(@PathVariable UUID run, @PathVariable int number) {
        return Repeat.of(simulations.open(run), number, simulations.helpers(run, "a repeat of a run"));
    }
}
