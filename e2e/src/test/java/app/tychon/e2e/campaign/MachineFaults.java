package app.tychon.e2e.campaign;

import app.tychon.core.model.Plan;
import app.tychon.core.simulation.Simulation;
import app.tychon.core.simulation.engine.CompiledPlan;
import app.tychon.core.simulation.engine.Helpers;
import app.tychon.core.simulation.result.RunResult;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.e2e.Workers;
import app.tychon.exchange.ProjectFileReader;
import app.tychon.machines.Crew;
import app.tychon.machines.Machine;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;
import java.util.concurrent.CompletableFuture;

/**
 * Machines that die, stand still, come late or are cut off while they work at a run: its numbers must be those of one thread, to
 * the bit. Where namespaces of the network can be made, each worker has one of its own.
 */
final class MachineFaults {
    private static final RunSettings SETTINGS = new RunSettings(600_000, 7, Sampling.LATIN, 1);
    private static final List<String> NAMES = List.of("one", "two");
    private static final int MOST_MILLIS = 3_000;

    /** What happens to a worker in mid-run, and how all is well again afterwards. */
    private enum Fault {
        KILLED,
        STANDS_STILL,
        CUT_OFF,
        DISK_FULL
    }

    private final Plan plan;
    private final RunResult alone;
    private final Path folder = Files.createTempDirectory("tychon-machines");
    private final Workers workers;
    private final boolean apart;
    private final boolean disks;

    MachineFaults(Path demo) throws IOException {
        try (InputStream in = Files.newInputStream(demo)) {
            plan = ProjectFileReader.read(in);
        }
        alone = Simulation.run(CompiledPlan.of(plan), SETTINGS, RunMonitor.NONE);
        apart = Network.begin(NAMES);
        workers = new Workers(folder, apart ? "0.0.0.0" : "127.0.0.1");
        boolean made = true;
        for (String name : NAMES) {
            made &= Disk.begin(workers.disk(name));
        }
        disks = made;
    }

    /** @return what each kind of fault came to, in lines of the table */
    List<Row> run(int rounds) throws IOException {
        List<Row> rows = new ArrayList<>();
        try (Crew crew = workers.crew()) {
            for (Fault fault : Fault.values()) {
                if (canBe(fault)) {
                    rows.add(rounds(crew, fault, rounds));
                }
            }
        } finally {
            workers.close();
            Network.end(NAMES);
            for (String name : NAMES) {
                Disk.end(workers.disk(name));
            }
        }
        return rows;
    }

    private boolean canBe(Fault fault) {
        return switch (fault) {
            case KILLED, STANDS_STILL -> true;
            case CUT_OFF -> apart;
            case DISK_FULL -> disks;
        };
    }

    /** A line of the table. */
    record Row(String what, List<String> faults, Instant begun) {}

    private Row rounds(Crew crew, Fault fault, int rounds) throws IOException {
        Instant begun = Instant.now();
        SplittableRandom random = new SplittableRandom(Campaign.SEED);
        List<String> wrong = new ArrayList<>();
        int helped = 0;
        for (int round = 1; round <= rounds; round++) {
            String when = fault + " " + round;
            if (!allThere(crew)) {
                wrong.add(when + ": a worker did not come back");
                return new Row(words(fault, helped), wrong, begun);
            }
            String name = NAMES.get(random.nextInt(NAMES.size()));
            Helpers helpers = crew.helpers("round " + when, () -> false);
            String well = NAMES.get(1 - NAMES.indexOf(name));
            long before = done(crew, well);
            CompletableFuture<RunResult> result = CompletableFuture.supplyAsync(
                    () -> Simulation.run(CompiledPlan.of(plan), SETTINGS, RunMonitor.NONE, helpers));
            Victim.pause(Duration.ofMillis(200 + random.nextInt(MOST_MILLIS)));
            begin(fault, name);
            if (!same(result.join())) {
                wrong.add(when + ": other numbers came out");
            }
            helped += done(crew, well) > before ? 1 : 0;
            mend(fault, name);
        }
        return new Row(words(fault, helped), wrong, begun);
    }

    private static String words(Fault fault, int helped) {
        String what =
                switch (fault) {
                    case KILLED -> "a worker killed in mid-run";
                    case STANDS_STILL -> "a worker that stands still from mid-run on";
                    case CUT_OFF -> "a worker whose network is cut in mid-run and healed after it";
                    case DISK_FULL -> "a worker whose disk is full from mid-run on";
                };
        return what + " (the other had given blocks in " + helped + ")";
    }

    private static long done(Crew crew, String name) {
        return crew.machines().stream()
                .filter(one -> one.name().equals(name))
                .mapToLong(Machine::blocks)
                .sum();
    }

    private boolean same(RunResult result) {
        return Arrays.equals(result.finish(), alone.finish())
                && Arrays.equals(result.cost().totals(), alone.cost().totals())
                && result.paths().equals(alone.paths())
                && sums(result) == sums(alone);
    }

    /** Every bit of the numbers of activities, folded into some. */
    private static long sums(RunResult result) {
        return result.activities().stream()
                .mapToLong(one -> 31L * Double.hashCode(one.criticality())
                        + 37L * Double.hashCode(one.meanDuration())
                        + 41L * Double.hashCode(one.meanFinish())
                        + Arrays.hashCode(one.finish()))
                .reduce(0, (sum, one) -> 43 * sum + one);
    }

    private void begin(Fault fault, String name) throws IOException {
        switch (fault) {
            case KILLED -> workers.kill(name);
            case STANDS_STILL -> workers.signal(name, "STOP");
            case CUT_OFF -> Network.cut(name);
            case DISK_FULL -> Disk.fill(workers.disk(name));
        }
    }

    private void mend(Fault fault, String name) throws IOException {
        switch (fault) {
            case KILLED -> join(name);
            case STANDS_STILL -> workers.signal(name, "CONT");
            case CUT_OFF -> Network.heal(name);
            case DISK_FULL -> Disk.empty(workers.disk(name));
        }
    }

    private void join(String name) throws IOException {
        if (apart) {
            workers.join(name, Network.host(NAMES, name), Network.within(name));
        } else {
            workers.join(name);
        }
    }

    /** Waits until both are there; begins them at first. */
    private boolean allThere(Crew crew) throws IOException {
        if (crew.machines().size() == 1 && !workers.any()) {
            for (String name : NAMES) {
                join(name);
            }
        }
        Instant until = Instant.now().plusSeconds(90);
        while (!crew.machines().stream().map(Machine::name).toList().containsAll(NAMES)) {
            if (Instant.now().isAfter(until)) {
                return false;
            }
            Victim.pause(Duration.ofMillis(100));
        }
        return true;
    }
}
