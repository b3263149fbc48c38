package app.tychon.server.runs;

import app.tychon.core.simulation.CompiledPlan;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;

/** Single futures of recorded runs, worked out again from inputs and seed. The last few plans stay compiled. */
@Service
class Futures {
    private static final int MOST_COMPILED = 3;

    private final RunArchive archive;
    private final Map<UUID, CompiledPlan> compiled = new LinkedHashMap<>(8, 0.75f, true);

    Futures(RunArchive archive) {
        this.archive = archive;
    }

    /** @throws IllegalArgumentException where the run has no such future */
    FutureView numbered(UUID id, int number) {
        RecordedRun run = archive.open(id);
        int count = run.result().iterations();
        if (number < 1 || number > count) {
            throw new IllegalArgumentException("this run has futures 1 to " + count + ", not " + number);
        }
        return FutureView.of(run, plan(id, run), number - 1);
    }

    /** The future whose finish lies nearest to the one that is kept with a chance; the first of several. */
    FutureView nearest(UUID id, double chance) {
        RecordedRun run = archive.open(id);
        double wanted = run.finish().percentile(chance);
        double[] finish = run.result().finish();
        int nearest = 0;
        for (int i = 1; i < finish.length; i++) {
            if (Math.abs(finish[i] - wanted) < Math.abs(finish[nearest] - wanted)) {
                nearest = i;
            }
        }
        return FutureView.of(run, plan(id, run), nearest);
    }

    private CompiledPlan plan(UUID id, RecordedRun run) {
        synchronized (compiled) {
            CompiledPlan known = compiled.computeIfAbsent(id, key -> CompiledPlan.of(run.plan()));
            compiled.keySet().stream()
                    .limit(Math.max(0, compiled.size() - MOST_COMPILED))
                    .toList()
                    .forEach(compiled::remove);
            return known;
        }
    }
}
