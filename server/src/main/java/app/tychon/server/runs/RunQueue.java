package app.tychon.server.runs;

import app.tychon.server.problems.BusyException;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;

/** Recorded runs wait here, each project's in a line of its own; one run works at a time, of one project after another. */
final class RunQueue {
    /** Runs of one project that may wait. */
    static final int MOST_OF_A_PROJECT = 20;
    /** Runs that may wait altogether. */
    static final int MOST = 200;

    private final ExecutorService worker = Executors.newSingleThreadExecutor(task -> new Thread(task, "runs"));
    private final Map<UUID, Deque<Runnable>> lines = new LinkedHashMap<>();

    /** @throws BusyException where too many wait already */
    synchronized void checkRoom(UUID project) {
        int own = lines.getOrDefault(project, new ArrayDeque<>()).size();
        int all = lines.values().stream().mapToInt(Deque::size).sum();
        if (own >= MOST_OF_A_PROJECT || all >= MOST) {
            throw new BusyException((own >= MOST_OF_A_PROJECT ? own + " runs of this project" : all + " runs")
                    + " are waiting already. Nothing was begun; try again when some have ended.");
        }
    }

    synchronized void add(UUID project, Runnable run) {
        lines.computeIfAbsent(project, id -> new ArrayDeque<>()).add(run);
        worker.execute(() -> next().run());
    }

    /** The first run of the project whose turn it is, which goes to the end of the round. */
    private synchronized Runnable next() {
        Map.Entry<UUID, Deque<Runnable>> line = lines.entrySet().iterator().next();
        Runnable run = line.getValue().remove();
        lines.remove(line.getKey());
        if (!line.getValue().isEmpty()) {
            lines.put(line.getKey(), line.getValue());
        }
        return run;
    }

    /** Whether all that waits and works ended in time; nothing more may be added. */
    boolean close(int seconds) throws InterruptedException {
        worker.shutdown();
        return worker.awaitTermination(seconds, TimeUnit.SECONDS);
    }
}
