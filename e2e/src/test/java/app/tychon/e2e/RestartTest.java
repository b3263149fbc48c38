package app.tychon.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;

@ExtendWith(Lanes.class)
class RestartTest {
    private static final Path DEMO = Path.of("..", "examples", "kestrel-ridge.tychon.json")
            .toAbsolutePath()
            .normalize();
    private static final String READING = "[data-testid='reading']";
    private static final String SOURCE = "[aria-label='Odds by'] option:checked";
    private static final String IN_WORDS = "[aria-label='In words']";

    /** One run is through when the server stops, another at work. */
    @Test
    void recordedRunsSurviveARestartOfServerAndDatabaseAndWhatWasAtWorkGoesOnWithTheHelpOfMachines(@TempDir Path folder)
            throws IOException {
        String stage;
        String reading;
        String run;
        try (LiveServer server = LiveServer.start(folder);
                Browser browser = new Browser()) {
            browser.open(server.entrance());
            browser.choose("[aria-label='Project file or schedule']", DEMO.toString());
            browser.see("[role='treegrid'][aria-label='Plan']");
            browser.goTo("Odds");
            browser.press("Record a run");
            browser.read(SOURCE, "Run 1");
            browser.read(IN_WORDS, "By 10,000 futures");
            reading = browser.read(READING, "Four futures in five finish by");
            run = browser.text(SOURCE);
            stage = browser.address().substring(server.address().length());
            browser.click("[aria-label^='Settings of the run']");
            browser.enter("input[aria-label='Iterations']", "1000000");
            browser.type(Keys.ESCAPE);
            browser.press("Record a run");
            browser.read("[role='status']", "a second");
        }
        try (Workers workers = new Workers(folder)) {
            workers.join("ridge-1");
            workers.join("ridge-2");
            try (LiveServer server = LiveServer.start(folder, workers.crew());
                    Browser browser = new Browser()) {
                browser.open(server.entrance() + "?to=" + URLEncoder.encode(stage, StandardCharsets.UTF_8));
                browser.read(IN_WORDS, "By 10,000 futures");
                assertThat(browser.read(READING, "Four futures in five finish by"))
                        .isEqualTo(reading);
                assertThat(browser.text(SOURCE)).isEqualTo(run);
                goesOnWithMachines(browser, workers);
            }
        }
    }

    /** What was at work goes on to where it was to end, on two more machines, of which one is killed; and is stopped again. */
    private static void goesOnWithMachines(Browser browser, Workers workers) {
        String stage = browser.address();
        browser.click("[aria-label='You, alone on this machine']");
        browser.pick("Machines that work here");
        browser.read("[data-testid='machines']", "2 machines help this server, 2 blocks at once");
        browser.open(stage);
        browser.click("[aria-label='Recorded runs']");
        browser.read("[data-run='2']", "interrupted");
        browser.press("Go on with it");
        browser.read("[data-testid='at-work']", "with 2 more machines");
        String atWork = browser.address();
        browser.open(stage.substring(0, stage.indexOf("/projects")) + "/machines");
        browser.read("[data-machine='ridge-1']", "run 2 of Kestrel Ridge Observatory");
        browser.read("[data-machine='ridge-2']", "in hand");
        Axe.lookAtColoursToo(browser, "machines at work");
        workers.kill("ridge-1");
        browser.read("[data-testid='machines']", "One machine helps this server");
        browser.isGone("[data-machine='ridge-1']");
        browser.read("[data-machine='ridge-2']", "in hand");
        browser.open(atWork);
        browser.read("[data-testid='at-work']", "with 1 more machine,");
        browser.press("Stop and keep");
        browser.read(SOURCE, "stopped early");
        browser.read(READING, "Four futures in five finish by");
    }
}
