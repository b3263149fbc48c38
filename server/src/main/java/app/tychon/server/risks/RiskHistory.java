package app.tychon.server.risks;

import app.tychon.core.model.RegisterEntry;
import app.tychon.core.model.Response;
import app.tychon.core.model.Risk;
import app.tychon.exchange.JsonText;
import app.tychon.exchange.RiskJson;
import app.tychon.exchange.Words;
import app.tychon.exchange.risks.ChanceText;
import app.tychon.exchange.risks.EffectText;
import app.tychon.exchange.risks.EffectText.About;
import app.tychon.exchange.risks.ScoreText;
import app.tychon.server.edits.ObjectEdit;
import jakarta.annotation.Nullable;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * One edit of a risk.
 *
 * @param own  whether the reader made it
 * @param name what whoever made it is called, where they have an account
 * @param what made, removed, or changed
 * @param fields those that differ, in words
 */
record RiskHistory(
        long revision, Instant at, boolean own, @Nullable String name, String what, List<FieldChange> fields) {

    /** A field before and after; absent where the risk was not there, empty where it said nothing. */
    record FieldChange(String field, String before, String after) {}

    static RiskHistory of(ObjectEdit edit) {
        Map<String, String> before = said(edit.before());
        Map<String, String> after = said(edit.after());
        List<FieldChange> fields = new ArrayList<>();
        if (!before.isEmpty() && !after.isEmpty()) {
            before.forEach((field, text) -> {
                if (!text.equals(after.get(field))) {
                    fields.add(new FieldChange(field, text, after.get(field)));
                }
            });
        }
        String what = before.isEmpty() ? "made" : after.isEmpty() ? "removed" : "changed";
        return new RiskHistory(edit.revision(), edit.at(), edit.own(), edit.name(), what, fields);
    }

    private static Map<String, String> said(@Nullable String json) {
        Map<String, String> said = new LinkedHashMap<>();
        if (json == null) {
            return said;
        }
        Risk risk = JsonText.read(json, RiskJson::read);
        RegisterEntry entry = risk.entry();
        said.put("State", state(risk));
        said.put("Title", risk.title());
        said.put("Kind", Words.of(risk.kind()));
        said.put("Chance", ChanceText.of(risk));
        said.put("Effect on time", EffectText.of(risk.impacts(), About.TIME));
        said.put("Effect on money", EffectText.of(risk.impacts(), About.MONEY));
        said.put("Category", risk.category());
        said.put("Owner", risk.owner());
        said.put("Cause", entry.cause());
        said.put("Event", entry.event());
        said.put("Consequence", entry.consequence());
        said.put("Strategy", entry.strategy().map(Words::of).orElse(""));
        said.put("Response", risk.response().map(RiskHistory::response).orElse(""));
        said.put("Score", entry.score().map(ScoreText::of).orElse(""));
        said.put("Score after response", entry.scoreAfter().map(ScoreText::of).orElse(""));
        said.put("From", entry.from().map(LocalDate::toString).orElse(""));
        said.put("To", entry.to().map(LocalDate::toString).orElse(""));
        said.put("Took", entry.occurred().map(RiskHistory::took).orElse(""));
        said.put("Depends", risk.onlyIf().map(RiskHistory::condition).orElse(""));
        said.put("One of", risk.exclusiveGroup().orElse(""));
        said.put("Notes", entry.notes());
        return said;
    }

    private static String state(Risk risk) {
        String because = risk.entry().closedBecause();
        return Words.of(risk.state()) + (because.isEmpty() ? "" : ", because " + because);
    }

    private static String response(Response response) {
        return (response.decided() ? "decided: " : "") + Math.round(100 * response.probability()) + " %, "
                + EffectText.of(response.impacts(), About.TIME) + " "
                + EffectText.of(response.impacts(), About.MONEY) + ", "
                + response.actions().size()
                + (response.actions().size() == 1 ? " action" : " actions");
    }

    private static String condition(Risk.Condition condition) {
        return "only if " + condition.risk() + (condition.occurs() ? " occurred" : " did not occur");
    }

    private static String took(RegisterEntry.Occurrence occurred) {
        return "on " + occurred.on() + ", %s days, %s money".formatted(plain(occurred.days()), plain(occurred.money()));
    }

    private static String plain(double number) {
        return new BigDecimal(number)
                .setScale(2, RoundingMode.HALF_UP)
                .stripTrailingZeros()
                .toPlainString();
    }
}
