package app.tychon.server.scenarios;

import app.tychon.server.edits.EditResult;
import app.tychon.server.edits.Editor;
import app.tychon.server.edits.Edits;
import app.tychon.server.plan.LoadedPlan;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.project.ProjectView;
import app.tychon.server.rights.MayEdit;
import app.tychon.server.rights.MayRead;
import app.tychon.server.web.Words;
import com.fasterxml.jackson.databind.JsonNode;
import jakarta.annotation.Nullable;
import jakarta.validation.Valid;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/**
 * Scenarios of a plan: edited, compared, worked in, taken over. The plan itself goes by an empty id wherever scenarios are named.
 */
@RestController
@MayRead
@RequestMapping("/api/projects/{id}/scenarios")
class ScenarioController {
    private static final int HIGHEST = 99;

    private final PlanStore plans;
    private final Edits edits;
    private final Board board;
    private final Comparing comparing;
    private final Workplaces workplaces;
    private final Stories stories;

    ScenarioController(
            PlanStore plans, Edits edits, Board board, Comparing comparing, Workplaces workplaces, Stories stories) {
        this.plans = plans;
        this.edits = edits;
        this.board = board;
        this.comparing = comparing;
        this.workplaces = workplaces;
        this.stories = stories;
    }

    /**
     * All of them with what is known of each; what is not known yet is begun and told as the event {@code scenarios}.
     *
     * @param base  with what they are compared
     * @param level percent; that of the project where there is none
     * @param watch those on screen, which are worked out first
     */
    @GetMapping
    ScenariosView scenarios(
            @PathVariable UUID id,
            @RequestParam(defaultValue = Board.PLAN) String base,
            @RequestParam(required = false) Integer level,
            @RequestParam(defaultValue = "") List<String> watch) {
        LoadedPlan plan = plans.find(id);
        return ScenariosView.of(plan, board.now(id, plan, Set.copyOf(watch)), base, level(plan, level));
    }

    private static int level(LoadedPlan plan, @Nullable Integer asked) {
        return asked == null ? plan.plan().project().targets().confidence() : level(asked);
    }

    static int level(int level) {
        if (level < 1 || level > HIGHEST) {
            throw new IllegalArgumentException("level: a percentile lies between 1 and 99; this is " + level);
        }
        return level;
    }

    /** Scenarios changed, and new ones. */
    @MayEdit
    @PatchMapping
    EditResult editScenarios(
            Editor editor, @Words(value = ScenarioWords.class, list = true) @RequestBody JsonNode body) {
        return edits.edit(editor, new ScenarioEdits(body));
    }

    @MayEdit
    @PostMapping("/remove")
    EditResult removeScenarios(Editor editor, @RequestBody @Valid ScenarioRemoval body) {
        return edits.edit(editor, body);
    }

    /** The project in which a scenario is worked in; it follows the plan, and its edits are kept with the scenario. */
    @PostMapping("/{scenario}/enter")
    ProjectView enterScenario(@PathVariable UUID id, @PathVariable String scenario) {
        return workplaces.enter(id, scenario);
    }

    /** What would change if a scenario became the plan. */
    @GetMapping("/{scenario}/takeover")
    TakeOverView lookAtTakeOver(@PathVariable UUID id, @PathVariable String scenario) {
        return TakeOver.look(plans.find(id).plan(), scenario);
    }

    /** A scenario becomes the plan, in one edit. */
    @MayEdit
    @PostMapping("/{scenario}/takeover")
    EditResult takeOver(Editor editor, @PathVariable String scenario) {
        return edits.edit(editor, new TakeOver(scenario));
    }

    /**
     * Curves of a date in some scenarios.
     *
     * @param what finish or start
     * @param of   code of an activity or branch, or {@code project}
     */
    @GetMapping("/dates")
    CurvesView<LocalDateTime> scenarioDates(
            @PathVariable UUID id,
            @RequestParam List<String> scenarios,
            @RequestParam(defaultValue = "finish") String what,
            @RequestParam(defaultValue = "project") String of) {
        return comparing.dates(id, scenarios, of, isFirst("what", what, "start", "finish"));
    }

    /** Curves of an amount: cost or duration, which counts working days of the project calendar. */
    @GetMapping("/amounts")
    CurvesView<Double> scenarioAmounts(
            @PathVariable UUID id,
            @RequestParam List<String> scenarios,
            @RequestParam(defaultValue = "cost") String what,
            @RequestParam(defaultValue = "project") String of) {
        return comparing.amounts(id, scenarios, of, isFirst("what", what, "cost", "duration"));
    }

    private static boolean isFirst(String name, String word, String first, String second) {
        if (!word.equals(first) && !word.equals(second)) {
            throw new IllegalArgumentException(
                    name + ": this is " + first + " or " + second + ", not \"" + word + "\"");
        }
        return word.equals(first);
    }

    /** When the work of every row begins and ends in some scenarios. */
    @GetMapping("/rails")
    RailsView scenarioRails(
            @PathVariable UUID id,
            @RequestParam List<String> scenarios,
            @RequestParam(defaultValue = "10,50,80") List<Integer> levels) {
        levels.forEach(ScenarioController::level);
        return comparing.rails(id, scenarios, levels);
    }

    /** What swings the finish or the cost in two scenarios. */
    @GetMapping("/drivers")
    TwoDriversView scenarioDrivers(
            @PathVariable UUID id,
            @RequestParam(defaultValue = Board.PLAN) String one,
            @RequestParam(defaultValue = Board.PLAN) String other,
            @RequestParam(defaultValue = "finish") String what) {
        return comparing.pair(id, one, other, isFirst("what", what, "cost", "finish"));
    }

    /**
     * Scenarios laid over the plan one after the other, each with what it adds.
     *
     * @param order ids, in the order in which they are chosen
     */
    @GetMapping("/story")
    StoryView scenarioStory(
            @PathVariable UUID id, @RequestParam List<String> order, @RequestParam(required = false) Integer level) {
        LoadedPlan plan = plans.find(id);
        return stories.tell(id, plan, order, level(plan, level));
    }
}
