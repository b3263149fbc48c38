package app.tychon.brief;

import app.tychon.core.model.Brief;
import app.tychon.core.model.BriefBlock;
import app.tychon.core.model.BriefBlock.Kind;
import java.util.ArrayList;
import java.util.List;

/** Briefs to begin with, by whom they are for. */
public enum Starter {
    SPONSOR(
            "For the sponsor",
            "the date and the budget",
            Kind.ANSWER,
            Kind.HOW_SURE,
            Kind.TURNS_OUT,
            Kind.REASONS,
            Kind.MONEY,
            Kind.OPTIONS,
            Kind.DECIDE,
            Kind.METHOD),
    RISK_OWNERS(
            "For the risk owners",
            "your risks and what is to be done",
            Kind.ANSWER,
            Kind.REASONS,
            Kind.RISKS,
            Kind.ACTIONS,
            Kind.METHOD),
    PLANNERS(
            "For the planners",
            "what drives the finish",
            Kind.HOW_SURE,
            Kind.TURNS_OUT,
            Kind.CRITICALITY,
            Kind.REASONS,
            Kind.SINCE,
            Kind.CHECKS,
            Kind.METHOD),
    FUNDING_BODY(
            "For the funding body",
            "the money, and when",
            Kind.ANSWER,
            Kind.HOW_SURE,
            Kind.CONTINGENCY,
            Kind.MONEY,
            Kind.CASH_FLOW,
            Kind.FUND,
            Kind.DECIDE,
            Kind.METHOD),
    BLANK("Brief", "");

    private final String name;
    private final String about;
    private final List<Kind> kinds;

    Starter(String name, String about, Kind... kinds) {
        this.name = name;
        this.about = about;
        this.kinds = List.of(kinds);
    }

    /** What a brief of it is called as long as nobody says otherwise. */
    public String called() {
        return name;
    }

    /** A brief of its blocks, each as is usual. */
    public Brief brief(String id, String name, String project) {
        List<BriefBlock> blocks = new ArrayList<>();
        for (Kind kind : kinds) {
            blocks.add(BriefBlock.of("b" + (blocks.size() + 1), kind));
        }
        return Brief.of(id, name, about.isEmpty() ? project : project + ": " + about)
                .withBlocks(blocks);
    }
}
