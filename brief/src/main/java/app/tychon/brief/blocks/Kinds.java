package app.tychon.brief.blocks;

import app.tychon.core.model.BriefBlock.Kind;
import app.tychon.core.model.BriefBlock.Show;
import java.util.List;

/** What each kind of block is called, and what is shown of it unless somebody says otherwise. */
public final class Kinds {
    private Kinds() {}

    public static String heading(Kind kind) {
        return switch (kind) {
            case ANSWER -> "The answer";
            case HOW_SURE -> "How sure: date and budget";
            case TURNS_OUT -> "How it may turn out";
            case REASONS -> "What makes it so";
            case MONEY -> "Where the money goes";
            case CASH_FLOW -> "When the money goes";
            case CONTINGENCY -> "What to hold beside the plan";
            case OPTIONS -> "What we can do";
            case FUND -> "What to fund";
            case RISKS -> "The largest risks";
            case ACTIONS -> "What is to be done, by whom, by when";
            case SINCE -> "What changed since last time";
            case DECIDE -> "What to decide";
            case CRITICALITY -> "What drives the finish";
            case CHECKS -> "What the checks found";
            case METHOD -> "How it was worked out";
            case TEXT -> "";
        };
    }

    /** What is shown beside its words. */
    public static Show show(Kind kind) {
        return switch (kind) {
            case HOW_SURE, TURNS_OUT, REASONS, MONEY, CASH_FLOW, FUND, CRITICALITY, SINCE -> Show.DRAWING;
            case OPTIONS -> Show.BOTH;
            case CONTINGENCY, RISKS, ACTIONS, DECIDE, CHECKS, METHOD -> Show.TABLE;
            case ANSWER, TEXT -> Show.WORDS;
        };
    }

    static Content content(Scene scene) {
        return switch (scene.block().kind()) {
            case ANSWER -> Answer.of(scene);
            case HOW_SURE -> HowSure.of(scene);
            case TURNS_OUT -> TurnsOut.of(scene);
            case REASONS -> Reasoned.of(scene);
            case MONEY -> Money.of(scene);
            case CASH_FLOW -> Flow.of(scene);
            case CONTINGENCY -> Held.of(scene);
            case OPTIONS -> Choices.of(scene);
            case FUND -> Bought.of(scene);
            case RISKS -> Register.of(scene);
            case ACTIONS -> ToDo.of(scene);
            case SINCE -> Moved.of(scene);
            case DECIDE -> ToDecide.of(scene);
            case CRITICALITY -> Critical.of(scene);
            case CHECKS -> Checked.of(scene);
            case METHOD -> Method.of(scene);
            case TEXT -> Content.words(List.of());
        };
    }
}
