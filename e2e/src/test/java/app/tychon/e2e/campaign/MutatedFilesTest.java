package app.tychon.e2e.campaign;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

/** The short form of what {@code ./tychon campaign} does at length. */
class MutatedFilesTest {
    @Test
    void spoiledFilesAreReadOrRefusedWithASentence() throws IOException {
        MutatedFiles.Outcome outcome =
                MutatedFiles.run(Path.of("..", "examples", "kestrel-ridge.tychon.json"), 1600, Campaign.SEED);
        assertThat(outcome.faults()).isEmpty();
        assertThat(outcome.refused()).isGreaterThan(1000);
    }
}
