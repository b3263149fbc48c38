package app.tychon.brief.blocks;

import app.tychon.core.model.Plan;
import java.util.ArrayList;
import java.util.List;

/** The answer in three sentences: what is promised, what could be, what would help. */
final class Answer {
    private Answer() {}

    static Content of(Scene scene) {
        boolean money = scene.fields().has("plan.cost");
        String what = scene.of().equals(Plan.PROJECT) ? "The plan ends" : "{of} is planned to end";
        List<String> words = new ArrayList<>();
        words.add(what + " on {plan.finish}" + (money ? " and costs {plan.cost}" : "")
                + ". Of {iterations} simulated futures, {plan.often} keep that date.");
        boolean late = scene.odds().finish(scene.of()).plan()
                < scene.odds().finish(scene.of()).sure(scene.level());
        words.add("To be {level} sure, promise {sure.finish}" + (money ? " and {sure.cost}" : "")
                + (late
                        ? ": {contingency.time}" + (money ? " and {contingency.cost}" : "") + " beyond the plan."
                        : ": the plan has {contingency.time} to spare."));
        if (scene.of().equals(Plan.PROJECT) && scene.fields().has("option.name")) {
            boolean costs = scene.fields().has("option.now");
            words.add("“{option.name}”" + (costs ? " for {option.now}" : "") + " brings that to {option.finish}"
                    + (money ? " and {option.cost}" : "") + "."
                    + (scene.fields().has("option.by") ? " It has to begin by {option.by}." : ""));
        }
        return Content.words(words);
    }
}
