package app.tychon.e2e.campaign;

import app.tychon.e2e.Browser;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.openqa.selenium.Keys;

/**
 * Two servers of one database that are cut off from each other, and healed, again and again: each goes on with its people, they
 * find each other again, and who looks at the one sees what was edited at the other meanwhile and afterwards.
 */
final class FellowCuts {
    private final Path jar;
    private final Path demo;

    FellowCuts(Path jar, Path demo) {
        this.jar = jar;
        this.demo = demo;
    }

    /** @return what went wrong, in sentences; none where all was well */
    List<String> run(int rounds) throws IOException {
        if (!Loopback.begin()) {
            return List.of("no way can be cut on this machine");
        }
        Path folder = Files.createTempDirectory("tychon-fellow-cuts");
        try (Fellowship servers = Fellowship.start(jar, demo, folder, null, Loopback.ONE, Loopback.OTHER);
                Browser browser = new Browser(Files.createDirectories(folder.resolve("downloads")))) {
            return cuts(rounds, servers, browser);
        } finally {
            Loopback.end();
        }
    }

    private static List<String> cuts(int rounds, Fellowship servers, Browser browser) throws IOException {
        List<String> faults = new ArrayList<>();
        Victim one = servers.server(0);
        Victim other = servers.server(1);
        String project = one.bringIn();
        String at = "http://127.0.0.1:" + other.port();
        browser.open(at + other.entrance());
        browser.open(at + "/projects/" + project + "/plan");
        for (int round = 1; round <= rounds; round++) {
            String when = "cut " + round;
            servers.awaitServers(2);
            Loopback.cut();
            servers.awaitServers(1);
            edit(one, project, "S20", 40 + round);
            types(browser, "S60", 20 + round, when, faults);
            Loopback.heal();
            servers.awaitServers(2);
            sees(browser, "S20", 40 + round, when + ", what was edited meanwhile", faults);
            edit(one, project, "S40", 60 + round);
            sees(browser, "S40", 60 + round, when + ", what was edited afterwards", faults);
            int kept = Editing.duration(one.plan(project), "S60");
            if (kept != 20 + round) {
                faults.add(when + ": what was typed in the browser is " + kept + " at the first server");
            }
        }
        return faults;
    }

    private static void edit(Victim server, String project, String row, int days) throws IOException {
        int status = server.send(
                        "PATCH",
                        "/api/projects/" + project + "/rows",
                        "[{\"id\":\"" + row + "\",\"duration\":\"" + days + "d\"}]")
                .statusCode();
        if (status != 200) {
            throw new IOException("an edit was answered with " + status);
        }
    }

    private static void types(Browser browser, String row, int days, String when, List<String> faults) {
        try {
            browser.select(row, "days");
            browser.type(Integer.toString(days), Keys.ENTER);
            browser.read(Browser.cell(row, "days"), Integer.toString(days));
        } catch (RuntimeException e) {
            faults.add(when + ": nobody could go on in the browser: " + e.getMessage());
        }
    }

    private static void sees(Browser browser, String row, int days, String when, List<String> faults) {
        try {
            browser.read(Browser.cell(row, "days"), Integer.toString(days));
        } catch (RuntimeException e) {
            faults.add(when + " is not seen at the other server: " + e.getMessage());
        }
    }
}
