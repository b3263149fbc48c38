package app.tychon.server.odds;

import app.tychon.core.calendar.Instants;
import app.tychon.core.model.Targets;
import app.tychon.server.rights.MayRead;
import java.time.LocalDateTime;
import java.util.Optional;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Looks into single futures of recorded runs, and at finish and cost together. Chances are in percent, 0 to 100. */
@RestController
@MayRead
@RequestMapping("/api/runs/{run}")
class FutureController {
    private final Simulations simulations;
    private final Futures futures;

    FutureController(Simulations simulations, Futures futures) {
        this.simulations = simulations;
        this.futures = futures;
    }

    /** A future by its number in the run, from 1. */
    @GetMapping("/futures/{number}")
    FutureView future(@PathVariable UUID run, @PathVariable int number) {
        return futures.numbered(run, number);
    }

    /** The future whose finish lies nearest to the one that is kept with a chance. */
    @GetMapping("/futures/at-chance")
    FutureView futureAtChance(@PathVariable UUID run, @RequestParam double chance) {
        return futures.nearest(run, Chance.some(chance));
    }

    /** Futures by finish and cost; without a date and an amount of its own the targets' or the plan's are taken. */
    @GetMapping("/joint")
    JointView joint(
            @PathVariable UUID run,
            @RequestParam Optional<LocalDateTime> date,
            @RequestParam Optional<Double> amount,
            @RequestParam(defaultValue = "70") double chance) {
        Opened opened = simulations.open(run);
        Targets targets = opened.plan().project().targets();
        return JointView.of(
                opened,
                date.or(targets::finish)
                        .map(Instants::of)
                        .orElse(opened.result().planFinish()),
                amount.or(targets::cost).orElse(opened.result().cost().planned()),
                Chance.some(chance));
    }
}
