package app.tychon.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

class JourneyTest extends Journey {
    private static final String READING = "[data-testid='reading']";
    private static final String P80 = "[data-level='80']";
    /** To a server, of a browser with all its windows. */
    private static final int WAYS = 6;

    private void setRun(String iterations, String seed) {
        browser.click("[aria-label^='Settings of the run']");
        browser.enter("input[aria-label='Iterations']", iterations);
        browser.enter("input[aria-label='Seed']", seed);
        browser.type(Keys.ESCAPE);
    }

    @Test
    void fromTheDemoToP80AfterAnEdit() {
        choose(DEMO);
        browser.read("[data-row='S20']", "Environmental and access permit");
        browser.read("main", "Planned to finish on 10 Jul 2028");

        browser.goTo("Odds");
        browser.read(READING, "Four futures in five finish by");
        setRun("5000", "4711");
        browser.press("Record a run");
        browser.read("[aria-label='Odds by'] option:checked", "Run 1");
        String before = browser.read(READING, "Four futures in five finish by");
        String p80 = browser.text(P80);
        browser.read("[aria-label='Odds by'] option:checked", "seed 4711");
        String run = browser.attribute("[aria-label='Odds by']", "value");

        // The reading line, in both directions.
        browser.enter("[aria-label='Chance in percent']", "50");
        browser.read(READING, "Half of all futures finish by");
        browser.enter("[aria-label='Date']", "1 Sep 2028");
        browser.read(READING, "finish by 1 Sep");
        browser.click("[role='slider']");
        browser.type(Keys.chord(Keys.SHIFT, Keys.ARROW_RIGHT));
        browser.readOtherThan(READING, before);
        browser.enter("[aria-label='Another level or value']", "85");
        browser.read("[data-level='85']", "P85");
        browser.enter("[aria-label='Date']", "some day");
        browser.read("main [role='alert']", "not “some day”");
        browser.type(Keys.ESCAPE);

        browser.goTo("Drivers");
        browser.press("Criticality");
        browser.read("[role='grid'][aria-label='Criticality'] [data-row='I80']", "100 %");

        // Wider and later ranges, typed in the grid.
        browser.goTo("Ranges");
        browser.select("S20", "high");
        browser.type("190", Keys.TAB);
        browser.read(Browser.cell("S20", "high"), "190");
        browser.select("S40", "likely");
        browser.type("55", Keys.ENTER);
        browser.read(Browser.cell("S40", "likely"), "55");
        assertThat(browser.get("/api/projects" + project()))
                .as("two edits, sent once each")
                .contains("\"revision\":3,");

        browser.goTo("Odds");
        browser.isGone("[data-stale='true']");
        String after = browser.readOtherThan(READING, before);
        assertThat(after).startsWith("Four futures in five finish by");
        browser.chooseOption("[aria-label='Odds by']", run);
        browser.read("main [role='status']", "The plan has changed since run 1");
        browser.read(READING, before);
        browser.press("Record a run");
        browser.isGone("[data-stale='true']");
        browser.read("[aria-label='Odds by'] option:checked", "Run 2");
        browser.readOtherThan(READING, before);
        assertThat(browser.text(P80)).isNotEqualTo(p80);
    }

    @Test
    void badInputIsRefusedInTheCellAndNothingElseIsLost() {
        bringIn(DEMO);
        browser.goTo("Ranges");
        String name = browser.text(Browser.cell("S20", "name"));

        refuse("S20", "low", "500", "Low 500 is above likely 80");
        refuse("S20", "high", "12x", "A number is needed, days, such as 12.5, not “12x”");
        refuse("S20", "low", "-4", "A duration cannot be below zero");
        refuse("S20", "days", "-4", "A duration cannot be below zero");
        refuse("S20", "days", "soon", "such as 12d, not \"soon\"");
        refuse("S20", "name", " ", "The name is empty");

        browser.select("S20", "low");
        browser.type("60", Keys.ESCAPE);
        browser.isGone("[data-row='S20'] input");

        assertThat(browser.get("/api/projects" + project()))
                .as("nothing was stored")
                .contains("\"revision\":1,");
        assertThat(browser.text(Browser.cell("S20", "name"))).isEqualTo(name);
        assertThat(browser.text(Browser.cell("S20", "low"))).isEqualTo("50");
        assertThat(browser.text(Browser.cell("S20", "high"))).isEqualTo("140");
        assertThat(browser.text(Browser.cell("S20", "days"))).isEqualTo("80");
    }

    /** A browser has six ways to a server for all its windows; those that nobody sees must not keep them. */
    @Test
    void aPlanIsOpenInMoreWindowsThanABrowserHasWaysAndTheFirstSeesWhatTheLastHasEdited() {
        bringIn(DEMO);
        String plan = browser.address();
        try {
            for (int window = 0; window < WAYS; window++) {
                browser.openBeside(plan);
                browser.see(Browser.cell("S20", "days"));
            }
            browser.select("S20", "days");
            browser.type("83", Keys.ENTER);
            browser.read(Browser.cell("S20", "days"), "83");
            browser.toFirstWindow();
            browser.read(Browser.cell("S20", "days"), "83");
        } finally {
            browser.closeOtherWindows();
        }
    }

    private void refuse(String row, String column, String typed, String reason) {
        browser.select(row, column);
        browser.type(typed, Keys.ENTER);
        browser.read(REFUSAL, reason);
        browser.type(Keys.ESCAPE);
        browser.isGone(REFUSAL);
    }

    @Test
    void rowsAndSelectionStayFromStageToStageAndBlocksFillDown() {
        bringIn(DEMO);
        browser.select("E20", "name");
        browser.goTo("Ranges");
        assertThat(browser.attribute("#cell-E20-name", "aria-selected")).isEqualTo("true");

        browser.select("E20", "shape");
        browser.send("[role='treegrid']", Keys.chord(Keys.SHIFT, Keys.ARROW_DOWN));
        browser.type(Keys.chord(Keys.CONTROL, "d"));
        String shape = browser.text(Browser.cell("E20", "shape"));
        browser.read(Browser.cell("E30", "shape"), shape);

        browser.select("E30", "high");
        browser.type(Keys.DELETE);
        browser.read(Browser.cell("E30", "shape"), "Certain");
        browser.type("30", Keys.ENTER);
        browser.read(Browser.cell("E30", "high"), "30");
        browser.read(Browser.cell("E30", "shape"), "Triangular");
    }

    @Test
    void aBadFileIsRefusedWithItsProblems() throws IOException {
        Path bad = folder.resolve("bad.tychon.json");
        Files.writeString(bad, Files.readString(DEMO).replace("\"duration\": \"12d\"", "\"duration\": \"a while\""));
        choose(bad);
        browser.read("[role='alert']", "not \"a while\"");
    }

    @Test
    void predecessorsAreTypedAndALoopIsRefusedInTheCell() {
        bringIn(DEMO);
        browser.read("[data-row='S30']", "S10");
        browser.select("S30", "after");
        browser.type("S10+4w", Keys.ENTER);
        browser.read(Browser.cell("S30", "after"), "S10FS+4w");
        browser.read("[data-row='S30']", "14 May 2027");
        browser.select("S10", "after");
        browser.type("S00; S40", Keys.ENTER);
        browser.read(REFUSAL, "The logic runs in a loop: S10 → S20 → S40 → S10");
        browser.type(Keys.ESCAPE);
        browser.read(Browser.cell("S10", "after"), "S00");
    }

    @Test
    void aScheduleInATableIsCorrectedAndTakenOver() throws IOException {
        Path table = folder.resolve("slab.csv");
        String bad = "Nr;Task;Dur;After;Wo\n1;Clear;5;;Yard\n2;Pour;soon;1FS+1d;Yard/Slab\n";
        Files.writeString(table, bad);
        choose(table);
        browser.read("main", "1 problem in 2 rows");
        browser.read("[role='alert']", "Row 3, Dur: \"soon\" is no duration");
        browser.enter("input[aria-label='Row 3, Dur']", "later");
        browser.read("[role='alert']", "Row 3, Dur: \"later\" is no duration");
        browser.enter("input[aria-label='Row 3, Dur']", "2 wks");
        browser.read("main", "2 activities, 1 link, 0 with a range");
        browser.chooseText("select[aria-label='What “Wo” says']", "WBS");
        browser.enter("input[aria-label='First day']", "1 Mar 2027");
        browser.read("main", "The plan would finish on 22 Mar 2027");
        browser.press("Take it over");
        browser.see("[role='treegrid'][aria-label='Plan']");
        browser.read("main", "Planned to finish on 22 Mar 2027");
        browser.read("[role='treegrid']", "Slab");
    }

    @Test
    void theFirstViewOfAPlanNeedsLittle() {
        bringIn(DEMO);
        browser.open(browser.address());
        browser.see("[data-row='S60']");
        browser.see("[data-heading='finish']");
        long script = ((Number) browser.await("const done = arguments[arguments.length - 1];"
                        + "const scripts = () => performance.getEntriesByType('resource').filter(e => e.name.endsWith('.js'));"
                        + "const names = scripts().map(e => e.name); performance.clearResourceTimings();"
                        + "Promise.all(names.map(n => fetch(n, {cache: 'no-store'}).then(r => r.text()))).then(() =>"
                        + " done(scripts().reduce((sum, e) => sum + e.encodedBodySize, 0)))"))
                .longValue();
        assertThat(script).as("bytes of script, compressed").isBetween(1L, 250_000L);
    }
}
