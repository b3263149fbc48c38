package app.tychon.server.drivers;

import app.tychon.server.drivers.MoveJobs.Change;
import app.tychon.server.drivers.MoveJobs.Question;
import app.tychon.server.odds.Asked;
import app.tychon.server.odds.Opened;
import app.tychon.server.odds.Simulations;
import app.tychon.server.rights.MayRead;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/**
 * What drives a date or a cost of a simulation, recorded or live. What is asked about is said by {@code what} and {@code of},
 * as for odds; levels are in percent, the project's own where none is said.
 */
@RestController
@MayRead
@RequestMapping("/api/runs/{run}")
class DriversController {
    private static final double USUAL_NEAR = 5;
    private static final int LOWEST_LEVEL = 1;
    private static final int HIGHEST_LEVEL = 99;

    private final Simulations simulations;
    private final MoveJobs jobs;

    DriversController(Simulations simulations, MoveJobs jobs) {
        this.simulations = simulations;
        this.jobs = jobs;
    }

    /** Every uncertain input against it, by every measure; gathered where {@code by} says so. */
    @GetMapping("/drivers")
    DriversView drivers(
            @PathVariable UUID run,
            @ParameterObject Asked asked,
            @RequestParam(defaultValue = "false") boolean apart,
            @RequestParam(defaultValue = "false") boolean groups,
            @RequestParam(defaultValue = "") String by,
            @RequestParam(defaultValue = "1") int depth,
            @RequestParam(defaultValue = "swing") String measure) {
        return Drivers.of(
                Goal.of(simulations.open(run), asked),
                new Grains(apart, groups),
                Gathering.of(by, depth),
                Drivers.Measure.of(measure));
    }

    /** What taking each input away, or a day or a tenth off each activity, moves: as far as it is known, begun where it is not. */
    @GetMapping("/drivers/moves")
    MovesView moves(
            @PathVariable UUID run,
            @ParameterObject Asked asked,
            @RequestParam(defaultValue = "removal") String change,
            @RequestParam(defaultValue = "false") boolean apart,
            @RequestParam(defaultValue = "false") boolean groups,
            @RequestParam(defaultValue = "") String by,
            @RequestParam(defaultValue = "1") int depth,
            @RequestParam Optional<Double> level) {
        return jobs.now(question(run, asked, change, new Grains(apart, groups), level), Gathering.of(by, depth));
    }

    /** Stops working it out; what is known by then stays. */
    @DeleteMapping("/drivers/moves")
    MovesView stopMoves(
            @PathVariable UUID run,
            @ParameterObject Asked asked,
            @RequestParam(defaultValue = "removal") String change,
            @RequestParam(defaultValue = "false") boolean apart,
            @RequestParam(defaultValue = "false") boolean groups,
            @RequestParam Optional<Double> level) {
        return jobs.stop(question(run, asked, change, new Grains(apart, groups), level), Gathering.of("", 1));
    }

    private Question question(UUID run, Asked asked, String change, Grains grains, Optional<Double> level) {
        Change one = Arrays.stream(Change.values())
                .filter(value -> value.name().toLowerCase(Locale.ROOT).equals(change))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException(
                        "change: what is tried is removal, day or tenth, not \"" + change + "\""));
        Goal goal = Goal.of(simulations.open(run), asked);
        return new Question(run, asked, one, grains, goal.level(level));
    }

    /** Two quantities of the same futures, each an input or an output by its key; cut where {@code atX} and {@code atY} say. */
    @GetMapping("/drivers/scatter")
    ScatterView scatter(
            @PathVariable UUID run,
            @RequestParam String x,
            @RequestParam String y,
            @RequestParam Optional<Double> atX,
            @RequestParam Optional<Double> atY) {
        Opened opened = simulations.open(run);
        return ScatterView.of(Side.of(opened, x), Side.of(opened, y), optional(atX), optional(atY));
    }

    private static OptionalDouble optional(Optional<Double> value) {
        return value.map(OptionalDouble::of).orElse(OptionalDouble.empty());
    }

    /** What futures beyond a date or an amount share; without one of its own the target's, else the level's. */
    @GetMapping("/drivers/late")
    SharedView lateFutures(
            @PathVariable UUID run,
            @ParameterObject Asked asked,
            @RequestParam Optional<LocalDateTime> date,
            @RequestParam Optional<Double> amount) {
        Goal goal = Goal.of(simulations.open(run), asked);
        return SharedView.beyond(goal, Limit.of(goal, date, amount));
    }

    /** The paths that drove, towards what is asked about. */
    @GetMapping("/drivers/paths")
    PathsView drivingPaths(
            @PathVariable UUID run, @ParameterObject Asked asked, @RequestParam Optional<LocalDateTime> date) {
        Goal goal = Goal.of(simulations.open(run), asked).towardsEnd();
        return Paths.of(goal, Limit.of(goal, date, Optional.empty()));
    }

    /** What the futures in which a path drove share, by its number from 1. */
    @GetMapping("/drivers/paths/{number}")
    SharedView drivingPath(@PathVariable UUID run, @ParameterObject Asked asked, @PathVariable int number) {
        Goal goal = Goal.of(simulations.open(run), asked).towardsEnd();
        return Paths.shared(goal, number);
    }

    /** From the plan to a percentile, one cause after the other. */
    @GetMapping("/drivers/staircase")
    StaircaseView staircase(
            @PathVariable UUID run, @ParameterObject Asked asked, @RequestParam Optional<Double> level) {
        Goal goal = Goal.of(simulations.open(run), asked);
        return StaircaseView.of(goal, goal.level(level));
    }

    /** What is in one of its steps. */
    @GetMapping("/drivers/staircase/{cause}")
    StaircaseView.StairInside staircaseStep(
            @PathVariable UUID run,
            @ParameterObject Asked asked,
            @PathVariable String cause,
            @RequestParam Optional<Double> level) {
        Goal goal = Goal.of(simulations.open(run), asked);
        return StaircaseInside.of(goal, cause, goal.level(level));
    }

    /** How often each activity drove, and how near it came to it. */
    @GetMapping("/drivers/criticality")
    CriticalityView criticality(
            @PathVariable UUID run, @ParameterObject Asked asked, @RequestParam Optional<Double> near) {
        double days = near.orElse(USUAL_NEAR);
        if (!(days >= 0)) {
            throw new IllegalArgumentException("near: days of float are not below zero, as " + days);
        }
        return CriticalityView.of(Goal.of(simulations.open(run), asked), days);
    }

    /** Where the plan has more time than it needs. */
    @GetMapping("/drivers/spare")
    SpareView spareTime(@PathVariable UUID run, @RequestParam Optional<Integer> level) {
        Opened opened = simulations.open(run);
        int percent = level.orElse(opened.plan().project().targets().confidence());
        if (percent < LOWEST_LEVEL || percent > HIGHEST_LEVEL) {
            throw new IllegalArgumentException("level: a percentile lies between 1 and 99, not " + percent);
        }
        return SpareView.of(Goal.of(opened, new Asked(null, null)), percent);
    }

    /** Why an activity finishes later, and costs more, than planned. */
    @GetMapping("/drivers/inside/{activity}")
    InsideActivityView insideActivity(
            @PathVariable UUID run, @PathVariable String activity, @RequestParam Optional<Double> level) {
        Opened opened = simulations.open(run);
        return InsideActivityView.of(
                opened, activity, Goal.of(opened, new Asked(null, null)).level(level));
    }

    /** What moved a percentile from another simulation's plan to this one's, by kind of change. */
    @GetMapping("/drivers/changes")
    ChangesView changes(@PathVariable UUID run, @RequestParam UUID from, @RequestParam Optional<Double> level) {
        Opened later = simulations.open(run);
        return ChangesView.of(
                simulations.open(from),
                later,
                Goal.of(later, new Asked(null, null)).level(level));
    }
}
