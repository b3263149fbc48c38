package app.tychon.server.risks;

import app.tychon.server.plan.EstimateWords;
import jakarta.annotation.Nullable;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;

/**
 * What is to change in a risk, or a new one; what is absent stays, null takes away what can be absent. Fields are those of the
 * project file, and a few that are read as people write them.
 *
 * @param id      its code; of a new one it may be empty, then it gets one
 * @param add     true for a new risk
 * @param code    another code for it
 * @param chance  as people write it: 30, 1 in 20, 2.5 a year, or a word of the scheme
 * @param time    all its effects on time, such as {@code 10..25..60d on S20}; empty for none
 * @param money   all its effects on money, such as {@code 3..8% on K22}
 * @param chanceAfter after its response, likewise
 * @param timeAfter   likewise
 * @param moneyAfter  likewise
 */
record RiskWords(
        String id,
        @Nullable Boolean add,
        @Nullable String code,
        @Nullable String title,
        @Nullable String kind,
        @Nullable String state,
        @Nullable String category,
        @Nullable String owner,
        @Nullable String cause,
        @Nullable String event,
        @Nullable String consequence,
        @Nullable String notes,
        @Nullable LocalDate from,
        @Nullable LocalDate to,
        @Nullable String strategy,
        @Nullable String closedBecause,
        @Nullable OccurredWords occurred,
        @Nullable Double probability,
        @Nullable String chance,
        @Nullable String time,
        @Nullable String money,
        @Nullable String chanceAfter,
        @Nullable String timeAfter,
        @Nullable String moneyAfter,
        @Nullable List<ImpactWords> impacts,
        @Nullable RecurrenceWords recurrence,
        @Nullable ConditionWords onlyIf,
        @Nullable String exclusiveGroup,
        @Nullable ResponseWords response,
        @Nullable Map<String, Integer> score,
        @Nullable Map<String, Integer> scoreAfter,
        @Nullable HistoryWords history) {

    /** What it does where it strikes. */
    record ImpactWords(List<String> on, String effect, @Nullable String draw, EstimateWords distribution) {}

    record OccurredWords(LocalDate on, @Nullable Double days, @Nullable Double money) {}

    record RecurrenceWords(
            @Nullable Double perYear,
            @Nullable LocalDate from,
            @Nullable LocalDate to,
            @Nullable EstimateWords count) {}

    record ConditionWords(String risk, @Nullable Boolean occurs) {}

    record ResponseWords(
            double probability, List<ImpactWords> impacts, List<ActionWords> actions, @Nullable Boolean decided) {}

    record ActionWords(
            String name,
            double cost,
            LocalDate start,
            LocalDate finish,
            @Nullable String owner,
            @Nullable String state,
            @Nullable Double progress,
            @Nullable LocalDate done) {}

    record HistoryWords(
            double years,
            @Nullable Integer count,
            @Nullable String unit,
            @Nullable Double mean,
            @Nullable Double sd,
            @Nullable List<EventWords> events) {}

    record EventWords(@Nullable LocalDate on, double amount) {}
}
