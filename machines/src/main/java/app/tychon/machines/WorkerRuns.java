package app.tychon.machines;

import app.tychon.core.model.Plan;
import app.tychon.core.simulation.RunBlocks;
import app.tychon.core.simulation.RunNeeds;
import app.tychon.core.simulation.engine.Block;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Task;
import app.tychon.exchange.ProjectFileReader;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.zip.GZIPInputStream;

/**
 * What a worker knows of runs: a plan is compiled once, however many runs are made of it; what was used longest ago is forgotten
 * where there is no room for it.
 */
final class WorkerRuns {
    /** Share of the memory that may be taken by plans and what threads work with. */
    private static final double SHARE = 0.7;

    private final int threads;
    private final long memory;
    private final Map<String, Compiled> plans = new LinkedHashMap<>(16, 0.75f, true);
    private final Map<String, Open> runs = new LinkedHashMap<>(16, 0.75f, true);

    private record Compiled(CompiledPlan plan, long bytes) {}

    private record Open(String plan, RunBlocks blocks, long bytes) {}

    /**
     * @param threads that may work at once
     * @param memory of the process, bytes
     */
    WorkerRuns(int threads, long memory) {
        this.threads = threads;
        this.memory = (long) (memory * SHARE);
    }

    /**
     * Gets ready for a run.
     *
     * @param file the plan, packed; empty where it should be there already
     * @return at how many blocks it can work at once; 0 where it needs the plan first
     */
    synchronized int begin(Assignment what, byte[] file) {
        if (!plans.containsKey(what.plan())) {
            if (file.length == 0) {
                return 0;
            }
            Plan plan = read(file);
            long bytes = RunNeeds.ofPlan(plan);
            makeRoom(bytes, what.plan());
            plans.put(what.plan(), new Compiled(CompiledPlan.of(plan), bytes));
        }
        Compiled compiled = plans.get(what.plan());
        Plan plan = compiled.plan().network().plan();
        Task task = what.task(compiled.plan());
        long each = RunNeeds.ofBlocks(plan, task.wanted());
        int hands = (int) Math.max(1, Math.min(threads, (memory - compiled.bytes()) / each - 1));
        if (!runs.containsKey(what.run())) {
            long bytes = (hands + 1) * each;
            makeRoom(bytes, what.plan());
            runs.put(what.run(), new Open(what.plan(), RunBlocks.of(task), bytes));
        }
        return hands;
    }

    /** What a block gives; nothing where the run is not known here, or no longer. */
    Optional<byte[]> work(String run, Block block) {
        Open open;
        synchronized (this) {
            open = runs.get(run);
            if (open != null) {
                plans.get(open.plan());
            }
        }
        return Optional.ofNullable(open).map(one -> one.blocks().work(block));
    }

    synchronized void end(String run) {
        runs.remove(run);
    }

    /** Forgets runs and then other plans, what was used longest ago first: a server that died has not said that its runs ended. */
    private void makeRoom(long bytes, String but) {
        forget(runs, bytes, but);
        forget(plans, bytes, but);
        runs.values().removeIf(run -> !plans.containsKey(run.plan()));
    }

    private void forget(Map<String, ?> all, long bytes, String but) {
        Iterator<String> oldest = all.keySet().iterator();
        while (oldest.hasNext() && taken() + bytes > memory) {
            if (!oldest.next().equals(but)) {
                oldest.remove();
            }
        }
    }

    private long taken() {
        return plans.values().stream().mapToLong(Compiled::bytes).sum()
                + runs.values().stream().mapToLong(Open::bytes).sum();
    }

    private static Plan read(byte[] file) {
        try (GZIPInputStream in = new GZIPInputStream(new ByteArrayInputStream(file))) {
            return ProjectFileReader.read(in);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
