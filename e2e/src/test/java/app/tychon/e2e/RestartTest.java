package app.tychon.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class RestartTest {
    private static final Path DEMO = Path.of("..", "examples", "kestrel-ridge.tychon.json")
            .toAbsolutePath()
            .normalize();
    private static final String READING = "[data-testid='reading']";

    @Test
    void aRecordedRunSurvivesARestartOfServerAndDatabase(@TempDir Path folder) {
        String stage;
        String reading;
        String run;
        try (LiveServer server = LiveServer.start(folder);
                Browser browser = new Browser()) {
            browser.open(server.address());
            browser.choose("[aria-label='Project file']", DEMO.toString());
            browser.see("[role='treegrid'][aria-label='Plan']");
            browser.goTo("Odds");
            browser.press("Simulate");
            reading = browser.read(READING, "Four futures in five finish by");
            run = browser.see("[aria-label='Recorded run'] option:checked").getText();
            stage = browser.address().substring(server.address().length());
        }
        try (LiveServer server = LiveServer.start(folder);
                Browser browser = new Browser()) {
            browser.open(server.address() + stage);
            assertThat(browser.read(READING, "Four futures in five finish by")).isEqualTo(reading);
            assertThat(browser.see("[aria-label='Recorded run'] option:checked").getText())
                    .isEqualTo(run);
        }
    }
}
