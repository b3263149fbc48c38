package app.tychon.cli;

import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import picocli.CommandLine.Option;

/** How a file is to be simulated, as every command that simulates is told. */
final class HowMany {
    @Option(names = "--iterations", paramLabel = "N", defaultValue = "10000", description = "default ${DEFAULT-VALUE}")
    private int iterations;

    @Option(names = "--seed", paramLabel = "S", defaultValue = "1", description = "default ${DEFAULT-VALUE}")
    private long seed;

    @Option(names = "--sampling", defaultValue = "latin", description = "latin (default) or plain")
    private Sampling sampling;

    @Option(names = "--threads", paramLabel = "T", description = "default: as many as there are cores")
    private Integer threads;

    int iterations() {
        return iterations;
    }

    /** @throws IllegalArgumentException naming the setting that is out of its range */
    RunSettings settings() {
        int cores = Runtime.getRuntime().availableProcessors();
        return new RunSettings(iterations, seed, sampling, threads == null ? cores : threads);
    }
}
