package app.tychon.server.effects;

import app.tychon.core.analysis.Effect;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Risk;
import app.tychon.core.simulation.settings.Variation;
import app.tychon.core.simulation.settings.Variation.RiskSetting;
import app.tychon.server.effects.EffectsView.Movement;
import app.tychon.server.effects.EffectsView.RiskRow;
import app.tychon.server.effects.EffectsView.State;
import app.tychon.server.plan.LoadedPlan;
import jakarta.annotation.Nullable;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;

/** What is asked of the engine for a register, and its answers in words: each risk off and answered, and all of them off. */
final class RiskQuestions {
    /**
     * One question.
     *
     * @param risk its id; null for the whole register
     */
    record Question(@Nullable String risk, RiskSetting setting) {}

    private static final Question ALL_OFF = new Question(null, RiskSetting.OFF);

    private RiskQuestions() {}

    static Map<Question, Variation> of(Plan plan) {
        Map<Question, Variation> questions = new LinkedHashMap<>();
        List<Risk> live = plan.risks().stream().filter(Risk::isLive).toList();
        if (!live.isEmpty()) {
            questions.put(ALL_OFF, Variation.CURRENT.withRisks(RiskSetting.OFF));
        }
        for (Risk risk : live) {
            add(questions, new Question(risk.id(), RiskSetting.OFF));
            if (risk.response().isPresent()) {
                add(questions, new Question(risk.id(), other(risk)));
            }
        }
        return questions;
    }

    /** How it would be with the response that it is without, or without the one that is decided on. */
    private static RiskSetting other(Risk risk) {
        return risk.isAnswered() ? RiskSetting.UNANSWERED : RiskSetting.AFTER_RESPONSE;
    }

    private static void add(Map<Question, Variation> questions, Question question) {
        questions.put(question, Variation.CURRENT.withRisk(question.risk(), question.setting()));
    }

    /** @param effects strongest first, all over the same futures */
    static EffectsView view(LoadedPlan plan, State state, int total, List<Effect<Question>> effects) {
        double day = plan.plan().projectCalendar().hoursPerDay() * 60;
        Map<Question, Effect<Question>> answers =
                effects.stream().collect(Collectors.toMap(Effect::key, effect -> effect));
        return new EffectsView(
                plan.revision(),
                state,
                plan.plan().project().targets().confidence(),
                effects.isEmpty() && state == State.DONE
                        ? total
                        : effects.stream().mapToInt(Effect::iterations).max().orElse(0),
                total,
                moved(answers.get(ALL_OFF), -1, day),
                effects.stream()
                        .filter(effect -> effect.key().setting() == RiskSetting.OFF)
                        .filter(effect -> !effect.key().equals(ALL_OFF))
                        .map(off -> row(off, answers, day))
                        .toList(),
                null);
    }

    private static RiskRow row(Effect<Question> off, Map<Question, Effect<Question>> answers, double day) {
        String risk = Objects.requireNonNull(off.key().risk());
        Effect<Question> tried = answers.get(new Question(risk, RiskSetting.AFTER_RESPONSE));
        Effect<Question> undone = answers.get(new Question(risk, RiskSetting.UNANSWERED));
        return new RiskRow(
                risk,
                off.differing(),
                moved(off, -1, day),
                undone == null ? moved(tried, 1, day) : moved(undone, -1, day));
    }

    private static @Nullable Movement moved(@Nullable Effect<Question> effect, int sign, double day) {
        return effect == null
                ? null
                : new Movement(
                        sign * effect.duration().change() / day,
                        known(effect.duration().error() / day),
                        sign * effect.cost().change(),
                        known(effect.cost().error()));
    }

    private static @Nullable Double known(double error) {
        return Double.isNaN(error) ? null : error;
    }
}
