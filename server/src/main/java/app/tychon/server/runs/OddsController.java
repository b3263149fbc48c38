package app.tychon.server.runs;

import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Activity;
import app.tychon.core.model.CalendarDefinition;
import app.tychon.core.simulation.ActivityResult;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Reads recorded runs. Chances are given in percent, 0 to 100. */
@RestController
@RequestMapping("/api/runs/{run}")
class OddsController {
    private final RunArchive archive;

    OddsController(RunArchive archive) {
        this.archive = archive;
    }

    @GetMapping("/finish")
    Odds<LocalDateTime> finishOdds(@PathVariable UUID run, @RequestParam(defaultValue = "") List<Double> levels) {
        return Quantity.finish(archive.open(run)).odds(shares(levels));
    }

    @GetMapping("/cost")
    Odds<Double> costOdds(@PathVariable UUID run, @RequestParam(defaultValue = "") List<Double> levels) {
        return Quantity.cost(archive.open(run)).odds(shares(levels));
    }

    private static List<Double> shares(List<Double> percents) {
        return percents.stream().map(OddsController::share).toList();
    }

    private static double share(double percent) {
        if (!(percent >= 0 && percent <= 100)) {
            throw new IllegalArgumentException("a chance lies between 0 and 100 %");
        }
        return percent / 100;
    }

    @GetMapping("/finish/at-chance")
    Odds.Reading<LocalDateTime> finishAtChance(@PathVariable UUID run, @RequestParam double chance) {
        return Quantity.finish(archive.open(run)).ofChance(share(chance));
    }

    @GetMapping("/finish/at-date")
    Odds.Reading<LocalDateTime> finishAtDate(@PathVariable UUID run, @RequestParam LocalDateTime date) {
        return Quantity.finish(archive.open(run)).at(Instants.of(date));
    }

    @GetMapping("/cost/at-chance")
    Odds.Reading<Double> costAtChance(@PathVariable UUID run, @RequestParam double chance) {
        return Quantity.cost(archive.open(run)).ofChance(share(chance));
    }

    @GetMapping("/cost/at-amount")
    Odds.Reading<Double> costAtAmount(@PathVariable UUID run, @RequestParam double amount) {
        return Quantity.cost(archive.open(run)).at(amount);
    }

    /** When each activity's simulated work begins and ends. */
    @GetMapping("/spans")
    Spans spans(@PathVariable UUID run) {
        return Spans.of(archive.open(run).result().activities());
    }

    /** How often each activity drove the finish, in the plan's order. */
    @GetMapping("/criticality")
    List<Criticality> criticality(@PathVariable UUID run) {
        RecordedRun opened = archive.open(run);
        Map<String, CalendarDefinition> calendars = opened.plan().calendars().stream()
                .collect(Collectors.toMap(CalendarDefinition::id, Function.identity()));
        List<Criticality> rows = new ArrayList<>();
        for (int i = 0; i < opened.plan().activities().size(); i++) {
            Activity activity = opened.plan().activities().get(i);
            ActivityResult result = opened.result().activities().get(i);
            double day = activity.minutesPerDay(calendars.get(activity.calendar()));
            rows.add(new Criticality(
                    activity.id(),
                    activity.name(),
                    result.criticality(),
                    result.meanDuration() / day,
                    result.sdDuration() / day));
        }
        return rows;
    }
}
