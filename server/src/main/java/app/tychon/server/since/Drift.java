package app.tychon.server.since;

import app.tychon.core.calendar.Instants;
import app.tychon.core.calendar.WorkingTimes;
import app.tychon.core.model.Targets;
import app.tychon.core.statistics.DateSample;
import app.tychon.core.statistics.Sample;
import app.tychon.server.memory.Recent;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.runs.RecordedRun;
import app.tychon.server.runs.RunArchive;
import app.tychon.server.runs.RunView;
import app.tychon.server.since.DriftView.DriftPoint;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Reads what recorded runs said, one after the other. What a run said never changes, so it is read once. */
@Service
class Drift {
    private static final int MOST_POINTS = 60;
    private static final int MOST_KEPT = 1_000;
    private static final double TENTH = 0.1;

    /** A run that goes on has more futures than it had; it may be called otherwise by now. */
    private record Asked(UUID run, int level, int done, Optional<String> name) {}

    private final RunArchive archive;
    private final PlanStore plans;
    private final Map<Asked, DriftPoint> known = Collections.synchronizedMap(new Recent<>(MOST_KEPT));

    Drift(RunArchive archive, PlanStore plans) {
        this.archive = archive;
        this.plans = plans;
    }

    /** The last runs of a project that have results, oldest first. */
    DriftView of(UUID project, String reader) {
        int level = plans.find(project).plan().project().targets().confidence();
        List<DriftPoint> points = archive.list(project, reader).stream()
                .filter(RunView::hasResults)
                .limit(MOST_POINTS)
                .sorted(Comparator.comparingInt(RunView::number))
                .map(run -> point(run, level))
                .toList();
        return new DriftView(level, points);
    }

    private DriftPoint point(RunView run, int level) {
        Asked asked = new Asked(run.id(), level, run.done(), Optional.ofNullable(run.name()));
        DriftPoint point = known.get(asked);
        if (point == null) {
            point = read(run, level);
            known.put(asked, point);
        }
        return point;
    }

    private DriftPoint read(RunView view, int level) {
        RecordedRun run = archive.open(view.id());
        Targets targets = run.plan().project().targets();
        Sample finish = DateSample.of(run.result().finish(), WorkingTimes.ofProject(run.plan()));
        double[] totals = run.result().cost().totals();
        double planned = run.result().cost().planned();
        boolean money = planned != 0 || Arrays.stream(totals).anyMatch(one -> one != 0);
        Sample cost = Sample.of(totals);
        double share = level / 100.0;
        return new DriftPoint(
                view.id(),
                view.number(),
                view.name(),
                view.startedAt(),
                run.plan().project().dataDate().orElse(null),
                run.result().iterations(),
                Instants.toCivil(run.result().planFinish()),
                Instants.toCivil(finish.percentile(TENTH)),
                Instants.toCivil(finish.percentile(0.5)),
                Instants.toCivil(finish.percentile(share)),
                Instants.toCivil(finish.percentile(1 - TENTH)),
                targets.finish().orElse(null),
                targets.finish().map(date -> finish.chance(Instants.of(date))).orElse(null),
                money ? planned : null,
                money ? cost.percentile(TENTH) : null,
                money ? cost.percentile(0.5) : null,
                money ? cost.percentile(share) : null,
                money ? cost.percentile(1 - TENTH) : null,
                money ? targets.cost().orElse(null) : null,
                money ? targets.cost().map(cost::chance).orElse(null) : null);
    }
}
