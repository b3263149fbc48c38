package app.tychon.server.risks;

import app.tychon.core.model.Action;
import app.tychon.core.model.Impact;
import app.tychon.core.model.Recurrence;
import app.tychon.core.model.RegisterEntry;
import app.tychon.core.model.Response;
import app.tychon.core.model.Risk;
import app.tychon.core.model.Scheme;
import app.tychon.core.model.Score;
import app.tychon.core.simulation.RiskSize;
import app.tychon.core.uncertainty.Distribution;
import app.tychon.core.uncertainty.Distributions;
import app.tychon.exchange.EstimateJson;
import app.tychon.exchange.RiskJson;
import app.tychon.exchange.Words;
import app.tychon.exchange.risks.ChanceText;
import app.tychon.exchange.risks.EffectText;
import app.tychon.exchange.risks.EffectText.About;
import app.tychon.server.plan.EstimateWords;
import com.fasterxml.jackson.databind.JsonNode;
import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A risk as the register tells it.
 *
 * @param kind threat or opportunity
 * @param state proposed, open, closed or occurred
 * @param category a path in the project's own tree, such as Site/Weather; empty for none
 * @param owner empty for none
 * @param chance 0 to 1, that it occurs
 * @param perYear how often a year it strikes where it does; absent where it does not recur by a rate
 * @param chanceText chance and rate as they are typed
 * @param timeText effects on time as they are typed
 * @param moneyText effects on money, likewise
 * @param recurrence in the words of the project file
 * @param size by its own numbers, before its response
 * @param history past events, in the words of the project file
 */
record RiskView(
        String id,
        String title,
        String kind,
        String state,
        String category,
        String owner,
        String cause,
        String event,
        String consequence,
        String notes,
        @Nullable LocalDate from,
        @Nullable LocalDate to,
        @Nullable String strategy,
        String closedBecause,
        @Nullable RiskWords.OccurredWords occurred,
        double chance,
        @Nullable Double perYear,
        String chanceText,
        String timeText,
        String moneyText,
        List<EffectView> effects,
        @Nullable @Schema(implementation = RiskWords.RecurrenceWords.class) JsonNode recurrence,
        @Nullable RiskWords.ConditionWords onlyIf,
        @Nullable String exclusiveGroup,
        @Nullable ResponseView response,
        SizeView size,
        @Nullable ScoreView score,
        @Nullable ScoreView scoreAfter,
        @Nullable @Schema(implementation = RiskWords.HistoryWords.class) JsonNode history) {
    private static final double LOW = 0.05;
    private static final double HIGH = 0.95;

    /**
     * What it does where it strikes.
     *
     * @param effect addTime, scaleTime, addCost or scaleCost
     * @param on ids of what it strikes
     * @param draw shared or each
     * @param low the least it does: days, hours, money or a factor; where that has no end, P5
     * @param high the most it does; where that has no end, P95
     * @param basis days, hours, money or factor
     * @param text as it is typed
     */
    record EffectView(
            String effect,
            List<String> on,
            String draw,
            double low,
            double high,
            double mean,
            String basis,
            String text,
            @Schema(implementation = EstimateWords.class) JsonNode distribution) {
        static EffectView of(Impact impact) {
            Distribution size = Distributions.of(impact.distribution().shape(), 1);
            return new EffectView(
                    Words.of(impact.effect()),
                    impact.on(),
                    Words.of(impact.draw()),
                    Double.isFinite(size.low()) ? size.low() : size.inverse(LOW),
                    Double.isFinite(size.high()) ? size.high() : size.inverse(HIGH),
                    size.mean(),
                    Words.of(impact.distribution().basis()),
                    EffectText.of(impact),
                    EstimateJson.write(impact.distribution()));
        }
    }

    /** Chance, 0 to 1, days and money where it occurs. */
    record SizeView(double chance, double days, double money) {
        static SizeView of(RiskSize size) {
            return new SizeView(size.chance(), size.days(), size.money());
        }
    }

    /**
     * A place in the scheme.
     *
     * @param chance level from 1; 0 where it is not scored
     * @param effects levels by kind
     * @param product level of chance times the worst of effect
     * @param beyond whether it lies beyond what is tolerated
     */
    record ScoreView(int chance, Map<String, Integer> effects, int product, boolean beyond) {
        static ScoreView of(Score score, Optional<Scheme> scheme) {
            return new ScoreView(
                    score.chance(),
                    score.effects(),
                    score.product(),
                    scheme.filter(s -> s.isBeyond(score)).isPresent());
        }
    }

    /**
     * A risk after something was done about it.
     *
     * @param cost   of its actions that are not dropped
     * @param done   whether all that was to be done is done
     */
    record ResponseView(
            double chance,
            String chanceText,
            String timeText,
            String moneyText,
            List<EffectView> effects,
            List<ActionView> actions,
            boolean decided,
            boolean done,
            double cost,
            SizeView size) {
        static ResponseView of(Risk risk, Response response, RiskSize.Sizing sizing) {
            Risk answered = risk.withProbability(response.probability()).withImpacts(response.impacts());
            return new ResponseView(
                    response.probability(),
                    ChanceText.of(answered.withRecurrence(Optional.empty())),
                    EffectText.of(response.impacts(), About.TIME),
                    EffectText.of(response.impacts(), About.MONEY),
                    response.impacts().stream().map(EffectView::of).toList(),
                    response.actions().stream().map(ActionView::of).toList(),
                    response.decided(),
                    response.isDone(),
                    response.cost(),
                    SizeView.of(sizing.of(risk, response.probability(), response.impacts())));
        }
    }

    /** @param state planned, underWay, done or dropped */
    record ActionView(
            String name,
            double cost,
            LocalDate start,
            LocalDate finish,
            String owner,
            String state,
            double progress,
            @Nullable LocalDate done) {
        static ActionView of(Action action) {
            return new ActionView(
                    action.name(),
                    action.cost(),
                    action.start(),
                    action.finish(),
                    action.owner(),
                    Words.of(action.state()),
                    action.progress(),
                    action.done().orElse(null));
        }
    }

    static RiskView of(Risk risk, RiskSize.Sizing sizing, Optional<Scheme> scheme) {
        RegisterEntry entry = risk.entry();
        JsonNode words = RiskJson.write(risk);
        return new RiskView(
                risk.id(),
                risk.title(),
                Words.of(risk.kind()),
                Words.of(risk.state()),
                risk.category(),
                risk.owner(),
                entry.cause(),
                entry.event(),
                entry.consequence(),
                entry.notes(),
                entry.from().orElse(null),
                entry.to().orElse(null),
                entry.strategy().map(Words::of).orElse(null),
                entry.closedBecause(),
                entry.occurred()
                        .map(o -> new RiskWords.OccurredWords(o.on(), o.days(), o.money()))
                        .orElse(null),
                risk.probability(),
                risk.recurrence()
                        .filter(Recurrence.PerYear.class::isInstance)
                        .map(r -> ((Recurrence.PerYear) r).rate())
                        .orElse(null),
                ChanceText.of(risk),
                EffectText.of(risk.impacts(), About.TIME),
                EffectText.of(risk.impacts(), About.MONEY),
                risk.impacts().stream().map(EffectView::of).toList(),
                words.get("recurrence"),
                risk.onlyIf()
                        .map(c -> new RiskWords.ConditionWords(c.risk(), c.occurs()))
                        .orElse(null),
                risk.exclusiveGroup().orElse(null),
                risk.response().map(r -> ResponseView.of(risk, r, sizing)).orElse(null),
                SizeView.of(sizing.of(risk)),
                entry.score().map(s -> ScoreView.of(s, scheme)).orElse(null),
                entry.scoreAfter().map(s -> ScoreView.of(s, scheme)).orElse(null),
                words.get("history"));
    }
}
