package app.tychon.e2e.campaign;

import app.tychon.e2e.Browser;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.openqa.selenium.Keys;

/**
 * Two servers of one database behind one address, of which the one that is at work is killed again and again: somebody in a
 * browser goes on at the other, no edit that was acknowledged is lost, and the run ends with the numbers that it has when nothing disturbs it.
 */
final class FellowKills {
    private final Path jar;
    private final Path demo;

    FellowKills(Path jar, Path demo) {
        this.jar = jar;
        this.demo = demo;
    }

    /** @return what went wrong, in sentences; none where all was well */
    List<String> run(int kills) throws IOException, InterruptedException {
        Path folder = Files.createTempDirectory("tychon-fellow-kills");
        try (Front front = new Front();
                Fellowship servers = Fellowship.start(jar, demo, folder, front.address(), "127.0.0.1", "127.0.0.1");
                Browser browser = new Browser(Files.createDirectories(folder.resolve("downloads")))) {
            front.open(servers.server(0).port(), servers.server(1).port());
            return kills(kills, servers, front, browser);
        }
    }

    private static List<String> kills(int kills, Fellowship servers, Front front, Browser browser)
            throws IOException, InterruptedException {
        List<String> faults = new ArrayList<>();
        Victim both = servers.server(0).through(front.port());
        String project = both.bringIn();
        browser.open(front.address() + servers.server(0).entrance());
        browser.open(front.address() + "/projects/" + project + "/plan");
        SplittableRandom random = new SplittableRandom(Campaign.SEED);
        int days = Editing.AT_FIRST;
        for (int round = 1; round <= kills; round++) {
            int killed = round % 2;
            servers.server(1 - killed).awaitMachines("server", 2);
            front.prefer(killed);
            browser.open(front.address() + "/projects/" + project + "/plan");
            types(browser, 20 + round);
            String run = Runs.begun(both, project);
            Editing editing = Editing.begin(both, project, days);
            Victim.pause(Duration.ofMillis(300 + random.nextInt(2_000)));
            servers.server(killed).kill();
            front.prefer(1 - killed);
            String when = "kill " + round;
            try {
                types(browser, 50 + round);
            } catch (RuntimeException e) {
                faults.add(when + ": nobody could go on in the browser: " + e.getMessage());
            }
            Victim.pause(Duration.ofMillis(500));
            editing.end();
            faults.addAll(editing.check(when));
            days = editing.days();
            // What others edited meanwhile is there too, without loading the page again.
            browser.read(Browser.cell("S40", "days"), Integer.toString(days));
            String numbers = Runs.numbers(both, Runs.ended(both, run));
            if (!numbers.equals(Runs.numbers(both, Runs.ended(both, Runs.again(both, run))))) {
                faults.add(when + ": other numbers came out");
            }
            servers.server(killed).start();
        }
        return faults;
    }

    /** Types a duration into a cell and sees it kept. */
    private static void types(Browser browser, int days) {
        browser.select("S60", "days");
        browser.type(Integer.toString(days), Keys.ENTER);
        browser.read(Browser.cell("S60", "days"), Integer.toString(days));
    }
}
