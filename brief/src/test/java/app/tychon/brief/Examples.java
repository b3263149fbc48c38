package app.tychon.brief;

import app.tychon.brief.ground.Ground;
import app.tychon.brief.ground.Simulated;
import app.tychon.core.model.Plan;
import app.tychon.core.simulation.settings.RunMonitor;
import app.tychon.core.simulation.settings.RunSettings;
import app.tychon.core.simulation.settings.Sampling;
import app.tychon.exchange.ProjectFileReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.Optional;

/** Plans and simulations of them that tests tell briefs of. */
public final class Examples {
    public static final LocalDateTime NOW = LocalDateTime.of(2026, 11, 26, 9, 0);
    private static final int ITERATIONS = 2000;
    private static Ground kestrel;

    private Examples() {}

    public static Plan kestrelRidge() {
        try (InputStream in = Files.newInputStream(Path.of("../examples/kestrel-ridge.tychon.json"))) {
            return ProjectFileReader.read(in);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The demo, simulated once for all. */
    public static synchronized Ground kestrel() {
        if (kestrel == null) {
            kestrel = simulated(kestrelRidge());
        }
        return kestrel;
    }

    public static Ground simulated(Plan plan) {
        return simulated(plan, settings());
    }

    public static Ground simulated(Plan plan, RunSettings settings) {
        return Simulated.of(plan, Optional.empty(), settings, RunMonitor.NONE, NOW);
    }

    public static RunSettings settings() {
        return new RunSettings(ITERATIONS, 7, Sampling.LATIN, 1);
    }
}
