package app.tychon.server.confirm;

import app.tychon.core.model.Plan;
import app.tychon.core.model.Risk;
import app.tychon.server.memory.Recent;
import app.tychon.server.plan.PlanStore;
import jakarta.persistence.EntityManager;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/**
 * How much was confirmed of many projects at once. Which answers still hold shows in the plan alone, so what was found of one is
 * kept until it, or an answer, is another.
 */
@Service
public class ConfirmedShares {
    private static final int MOST_KEPT = 500;

    private record Answer(UUID id, Boolean holds, LocalDateTime at) {}

    private record Known(long revision, List<Answer> answers, ConfirmedShare share) {}

    private final EntityManager entities;
    private final PlanStore plans;
    private final Map<UUID, Known> known = Collections.synchronizedMap(new Recent<>(MOST_KEPT));

    ConfirmedShares(EntityManager entities, PlanStore plans) {
        this.entities = entities;
        this.plans = plans;
    }

    /**
     * Of those in which somebody was ever asked.
     *
     * @param revisions of the projects that are asked about: of what is simulated of them
     * @param programmes projects of which they consist and that count; the programme's share is that of all of them together,
     *     where anybody was asked in one of them
     */
    public Map<UUID, ConfirmedShare> of(Map<UUID, Long> revisions, Map<UUID, List<UUID>> programmes) {
        Map<UUID, List<ConfirmationEntity>> asked = entities
                .createQuery("select c from ConfirmationEntity c order by c.id", ConfirmationEntity.class)
                .getResultList()
                .stream()
                .filter(one -> revisions.containsKey(one.projectId()))
                .collect(Collectors.groupingBy(ConfirmationEntity::projectId));
        Map<UUID, ConfirmedShare> shares = new HashMap<>();
        asked.forEach((project, all) -> shares.put(project, of(project, revisions.get(project), all)));
        programmes.forEach((programme, parts) -> {
            if (revisions.containsKey(programme) && parts.stream().anyMatch(asked::containsKey)) {
                ConfirmedShare whole = parts.stream()
                        .filter(revisions::containsKey)
                        .map(part ->
                                shares.containsKey(part) ? shares.get(part) : of(part, revisions.get(part), List.of()))
                        .reduce(ConfirmedShare.NONE, ConfirmedShare::plus);
                shares.put(programme, whole);
            }
        });
        return shares;
    }

    private ConfirmedShare of(UUID project, long revision, List<ConfirmationEntity> asked) {
        List<Answer> answers = asked.stream()
                .map(one -> new Answer(one.id(), one.holds(), one.answeredAt()))
                .toList();
        Known before = known.get(project);
        if (before != null && before.revision() == revision && before.answers().equals(answers)) {
            return before.share();
        }
        ConfirmedShare share = share(plans.find(project).plan(), asked);
        known.put(project, new Known(revision, answers, share));
        return share;
    }

    private static ConfirmedShare share(Plan plan, List<ConfirmationEntity> asked) {
        Map<String, Long> confirmed = asked.stream()
                .filter(one -> Boolean.TRUE.equals(one.holds()))
                .filter(one -> Confirmable.digest(plan, one.about())
                        .filter(now -> Arrays.equals(now, one.digest()))
                        .isPresent())
                .collect(Collectors.groupingBy(one -> one.about().section(), Collectors.counting()));
        long ranges = Stream.concat(
                        plan.activities().stream()
                                .filter(one -> one.estimate().isPresent()
                                        || one.grade().isPresent()),
                        plan.costs().stream()
                                .filter(one -> one.estimate().isPresent()
                                        || one.grade().isPresent()))
                .count();
        return new ConfirmedShare(
                confirmed.getOrDefault(Confirmable.RISKS, 0L).intValue(),
                (int) plan.risks().stream()
                        .filter(risk -> risk.state() != Risk.State.CLOSED)
                        .count(),
                confirmed.getOrDefault(Confirmable.RANGES, 0L).intValue(),
                (int) ranges);
    }
}
