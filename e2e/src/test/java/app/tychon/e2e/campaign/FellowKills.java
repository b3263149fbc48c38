package app.tychon.e2e.campaign;

import app.tychon.e2e.Browser;
import app.tychon.e2e.Workers;
import app.tychon.server.database.DatabaseAddress;
import app.tychon.server.database.OwnDatabase;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import org.openqa.selenium.Keys;

/**
 * Two servers of one database behind one address, of which the one that is at work is killed again and again: somebody in a
 * browser goes on at the other, no edit that was acknowledged is lost, and the run ends with the numbers that it has when nothing disturbs it.
 */
final class FellowKills {
    private static final String SECRET = "twenty letters and more";

    private final Path jar;
    private final Path demo;

    FellowKills(Path jar, Path demo) {
        this.jar = jar;
        this.demo = demo;
    }

    /** @return what went wrong, in sentences; none where all was well */
    List<String> run(int kills) throws IOException, InterruptedException {
        Path folder = Files.createTempDirectory("tychon-fellow-kills");
        int[] ports = {Workers.freePort(), Workers.freePort()};
        try (OwnDatabase database = OwnDatabase.start(folder.resolve("database"))) {
            try (Front front = new Front();
                    Browser browser = new Browser(Files.createDirectories(folder.resolve("downloads")))) {
                Victim[] servers = {
                    server(folder.resolve("one"), database.address(), front, ports[0], ports[1]),
                    server(folder.resolve("other"), database.address(), front, ports[1], ports[0])
                };
                front.open(servers[0].port(), servers[1].port());
                servers[0].start();
                // Whoever may enter the one may enter the other.
                Files.createDirectories(folder.resolve("other"));
                Files.copy(folder.resolve("one/machine-key"), folder.resolve("other/machine-key"));
                servers[1].start();
                try {
                    return kills(kills, servers, front, browser);
                } finally {
                    servers[0].stop();
                    servers[1].stop();
                }
            }
        }
    }

    private Victim server(Path data, DatabaseAddress database, Front front, int port, int other) throws IOException {
        Map<String, String> environment = new HashMap<>();
        environment.put("TYCHON_DB_URL", database.url());
        environment.put("TYCHON_DB_USER", database.user());
        environment.put("TYCHON_DB_PASSWORD", database.password());
        environment.put("TYCHON_URL", front.address());
        environment.put("TYCHON_SECRET", SECRET);
        environment.put("TYCHON_MACHINES", "127.0.0.1:" + port);
        environment.put("TYCHON_SERVERS", "127.0.0.1:" + other);
        environment.put("TYCHON_MACHINES_SECRET", SECRET);
        return new Victim(jar, data, demo, environment);
    }

    private List<String> kills(int kills, Victim[] servers, Front front, Browser browser)
            throws IOException, InterruptedException {
        List<String> faults = new ArrayList<>();
        Victim both = servers[0].through(front.port());
        String project = both.bringIn();
        browser.open(front.address() + servers[0].entrance());
        browser.open(front.address() + "/projects/" + project + "/plan");
        SplittableRandom random = new SplittableRandom(Campaign.SEED);
        int days = Editing.AT_FIRST;
        for (int round = 1; round <= kills; round++) {
            int killed = round % 2;
            servers[1 - killed].awaitMachines("server", 2);
            front.prefer(killed);
            browser.open(front.address() + "/projects/" + project + "/plan");
            types(browser, 20 + round);
            String run = Runs.begun(both, project);
            Editing editing = Editing.begin(both, project, days);
            Victim.pause(Duration.ofMillis(300 + random.nextInt(2_000)));
            servers[killed].kill();
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
            servers[killed].start();
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
