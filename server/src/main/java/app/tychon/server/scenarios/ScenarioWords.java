package app.tychon.server.scenarios;

import jakarta.annotation.Nullable;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;

/**
 * What is to change in a scenario, or a new one; what is absent stays. Words are those of the project file.
 *
 * @param id         its code; of a new one it may be empty, then it gets one
 * @param add        true for a new scenario
 * @param from       of a new one: the scenario that it is a copy of; absent for one that differs in nothing yet
 * @param with       scenarios whose switches and edits are laid over what it has, one after the other
 * @param risks      switches by code of the risk: off, now, response or unanswered; null takes a switch away, others stay
 * @param categories likewise, by path of the category
 * @param otherRisks what holds for risks of which nothing else is said; null for as now
 * @param targets    another target or budget; null for the plan's own
 * @param forget     edits that are to be as the plan has them
 */
record ScenarioWords(
        String id,
        @Nullable Boolean add,
        @Nullable String from,
        @Nullable List<String> with,
        @Nullable String name,
        @Nullable String note,
        @Nullable Boolean putAway,
        @Nullable Map<String, String> risks,
        @Nullable Map<String, String> categories,
        @Nullable String otherRisks,
        @Nullable Boolean estimates,
        @Nullable Boolean correlation,
        @Nullable TargetWords targets,
        @Nullable List<Forgotten> forget) {

    record TargetWords(@Nullable LocalDateTime finish, @Nullable Double cost) {}

    /** An edit, by the section and the key of what it is about. */
    record Forgotten(String section, String key) {}
}
