package app.tychon.exchange.risks;

import app.tychon.core.model.Plan;
import app.tychon.core.model.Recurrence;
import app.tychon.core.model.Response;
import app.tychon.core.model.Risk;
import app.tychon.exchange.JsonText;
import app.tychon.exchange.RiskJson;
import app.tychon.exchange.Words;
import app.tychon.exchange.risks.EffectText.About;
import app.tychon.exchange.table.Sheet;
import app.tychon.exchange.table.Sheet.Column;
import app.tychon.exchange.table.Sheet.Line;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** A risk register as a table, which {@link RegisterReader} reads back unchanged. */
public final class RegisterSheet {
    private static final int NAME = 1;

    private RegisterSheet() {}

    public static Sheet of(Plan plan) {
        List<Column> columns = Arrays.stream(RiskColumn.values())
                .map(column -> new Column(column.title(), width(column)))
                .toList();
        return new Sheet(
                "Risks",
                columns,
                NAME + 1,
                NAME,
                plan.risks().stream()
                        .map(risk -> new Line(false, 1, cells(risk)))
                        .toList());
    }

    private static int width(RiskColumn column) {
        return switch (column) {
            case TITLE, CAUSE, EVENT, CONSEQUENCE, TIME, MONEY -> 36;
            case CATEGORY, OWNER, NOTES, TIME_AFTER, MONEY_AFTER, SCORE, SCORE_AFTER -> 24;
            default -> 12;
        };
    }

    private static List<Optional<Object>> cells(Risk risk) {
        List<Optional<Object>> cells = new ArrayList<>();
        for (RiskColumn column : RiskColumn.values()) {
            String text = text(risk, column);
            cells.add(text.isEmpty() ? Optional.empty() : Optional.of(text));
        }
        return cells;
    }

    private static String text(Risk risk, RiskColumn column) {
        Optional<Response> response = risk.response();
        return switch (column) {
            case CODE -> risk.id();
            case TITLE -> risk.title();
            case KIND -> Words.of(risk.kind());
            case STATE -> Words.of(risk.state());
            case CATEGORY -> risk.category();
            case OWNER -> risk.owner();
            case CAUSE -> risk.entry().cause();
            case EVENT -> risk.entry().event();
            case CONSEQUENCE -> risk.entry().consequence();
            case CHANCE -> ChanceText.of(risk);
            case TIME -> EffectText.of(risk.impacts(), About.TIME);
            case MONEY -> EffectText.of(risk.impacts(), About.MONEY);
            case FROM -> risk.entry().from().map(Object::toString).orElse("");
            case TO -> risk.entry().to().map(Object::toString).orElse("");
            case SCORE -> risk.entry().score().map(ScoreText::of).orElse("");
            case SCORE_AFTER -> risk.entry().scoreAfter().map(ScoreText::of).orElse("");
            case STRATEGY -> risk.entry().strategy().map(Words::of).orElse("");
            case CHANCE_AFTER ->
                response.map(r -> ChanceText.of(
                                risk.withProbability(r.probability()).withRecurrence(Optional.empty())))
                        .orElse("");
            case TIME_AFTER ->
                response.map(r -> EffectText.of(r.impacts(), About.TIME)).orElse("");
            case MONEY_AFTER ->
                response.map(r -> EffectText.of(r.impacts(), About.MONEY)).orElse("");
            case CLOSED -> risk.entry().closedBecause();
            case NOTES -> risk.entry().notes();
            case MORE -> more(risk);
        };
    }

    /** What cells do not say, whole: a response with its actions, and whatever recurs, depends, has occurred, or is history. */
    private static String more(Risk risk) {
        ObjectNode all = RiskJson.write(risk);
        ObjectNode more = JsonNodeFactory.instance.objectNode();
        for (String field : List.of("onlyIf", "exclusiveGroup", "response", "occurred", "history")) {
            if (all.has(field)) {
                more.set(field, all.get(field));
            }
        }
        boolean byRateAlone = risk.recurrence()
                .filter(r ->
                        r instanceof Recurrence.PerYear often && often.over().isEmpty())
                .isPresent();
        if (all.has("recurrence") && !byRateAlone) {
            more.set("recurrence", all.get("recurrence"));
        }
        return more.isEmpty() ? "" : JsonText.of(more);
    }
}
