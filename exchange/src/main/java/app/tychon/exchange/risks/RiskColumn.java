package app.tychon.exchange.risks;

import app.tychon.exchange.table.Meaning;
import java.util.Set;

/** What a column of a risk register says; each is a field of the risk that is written as people write it. */
public enum RiskColumn implements Meaning {
    CODE("code", "Code", "id", "code", "risk id", "risk code", "ref", "reference", "no", "no.", "number"),
    TITLE("title", "Title", "title", "risk", "name", "risk title", "risk name", "description", "risk description"),
    KIND("kind", "Kind", "kind", "type", "threat/opportunity", "threat or opportunity"),
    STATE("state", "State", "state", "status"),
    CATEGORY("category", "Category", "category", "risk category", "rbs", "group"),
    OWNER("owner", "Owner", "owner", "risk owner", "responsible"),
    CAUSE("cause", "Cause", "cause", "because", "root cause"),
    EVENT("event", "Event", "event", "risk event"),
    CONSEQUENCE("consequence", "Consequence", "consequence", "consequences", "impact description"),
    CHANCE("chance", "Chance", "chance", "probability", "likelihood", "prob", "prob.", "p"),
    TIME("time", "Effect on time", "effect on time", "time", "time impact", "schedule impact", "delay", "time effect"),
    MONEY("money", "Effect on money", "effect on money", "money", "cost", "cost impact", "money effect", "loss"),
    FROM("from", "From", "from", "exposure from", "start", "earliest"),
    TO("to", "To", "to", "until", "exposure to", "end", "latest"),
    SCORE("score", "Score", "score"),
    STRATEGY("strategy", "Strategy", "strategy", "response strategy", "response type"),
    CHANCE_AFTER("chanceAfter", "Chance after", "chance after", "residual probability", "probability after"),
    TIME_AFTER("timeAfter", "Effect on time after", "effect on time after", "residual time impact"),
    MONEY_AFTER("moneyAfter", "Effect on money after", "effect on money after", "residual cost impact"),
    SCORE_AFTER("scoreAfter", "Score after", "score after", "residual score"),
    CLOSED("closedBecause", "Closed because", "closed because", "reason for closure"),
    NOTES("notes", "Notes", "notes", "comments", "comment", "remarks"),
    /** What cells cannot say, in the words of the project file: actions, recurrence, dependence, history. */
    MORE("more", "More", "more");

    private final String field;
    private final String title;
    private final Set<String> headers;

    RiskColumn(String field, String title, String... headers) {
        this.field = field;
        this.title = title;
        this.headers = Set.of(headers);
    }

    /** As edits of risks call it. */
    public String field() {
        return field;
    }

    @Override
    public Set<String> headers() {
        return headers;
    }

    @Override
    public String title() {
        return title;
    }
}
