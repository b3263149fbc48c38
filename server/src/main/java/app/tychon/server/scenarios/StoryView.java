package app.tychon.server.scenarios;

import app.tychon.server.scenarios.ScenariosView.GapView;
import app.tychon.server.scenarios.ScenariosView.ScenarioNumbers;
import java.util.List;

/**
 * Scenarios laid over the plan one after the other.
 *
 * @param level percent
 * @param plan  what the plan itself comes to
 */
record StoryView(int level, ScenarioNumbers plan, List<StoryStep> steps) {
    /**
     * One more scenario.
     *
     * @param adds    what it adds to those before it
     * @param alone   what it does by itself
     * @param numbers what all up to it come to together
     */
    record StoryStep(String id, String name, GapView adds, GapView alone, ScenarioNumbers numbers) {}
}
