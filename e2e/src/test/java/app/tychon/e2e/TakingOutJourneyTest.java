package app.tychon.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** What is seen can be taken along: as a picture, a table, a file; and a table can be pasted in. */
class TakingOutJourneyTest extends Journey {
    private static final byte[] PNG = {(byte) 0x89, 'P', 'N', 'G'};

    private void takeOut(String entry) {
        browser.pressLabelled("Take out");
        browser.pick(entry);
    }

    @Test
    void aChartIsCopiedAndKeptAsAPictureAndItsCurveAsATable() {
        bringIn(DEMO);
        browser.goTo("Odds");
        browser.see("[data-level]");
        takeOut("Picture (SVG)");
        assertThat(new String(handedOver("finish.svg")))
                .startsWith("<svg")
                .contains("plan ")
                .contains("</svg>");
        takeOut("Picture (PNG)");
        assertThat(Arrays.copyOf(handedOver("finish.png"), PNG.length)).isEqualTo(PNG);
        browser.allowClipboard(address());
        takeOut("Copy the picture");
        browser.read("[data-testid='note']", "The picture is copied.");
        assertThat(browser.await("const done = arguments[arguments.length - 1];"
                        + "navigator.clipboard.read().then(items => done(items[0].types.join()))"))
                .isEqualTo("image/png");
        takeOut("The curve as a table (CSV)");
        assertThat(new String(handedOver("Kestrel Ridge Observatory, finish.csv")))
                .contains("2028-");
    }

    @Test
    void thePlanIsTakenOutByItsMenuAndColumnsAreChosen() {
        bringIn(DEMO);
        browser.pressLabelled("More for the plan");
        browser.pick("Table of text (CSV)");
        assertThat(new String(handedOver("Kestrel Ridge Observatory.csv"))).contains("Power line to the ridge");

        assertThat(browser.isGone("[data-row='S60'] [data-column='calendar']")).isTrue();
        browser.pressLabelled("Columns");
        browser.click("[role='menuitemcheckbox'][data-value='calendar']");
        browser.type(Keys.ESCAPE);
        browser.see("[data-row='S60'] [data-column='calendar']");
    }

    @Test
    void aTablePastedIntoTheListOfProjectsBecomesAPlan() {
        openProjects();
        browser.see("h1");
        browser.run("document.querySelector('h1').closest('[tabindex]').focus()");
        browser.paste("Id\tName\tDuration\tPredecessors\nA\tDig\t5d\t\nB\tPour\t3d\tA\n");
        browser.read("main", "2 activities, 1 link");
        browser.press("Take it over");
        browser.see("[role='treegrid'][aria-label='Plan']");
        browser.read(Browser.cell("B", "name"), "Pour");
    }

    @Test
    void aSpreadsheetUpdatesThePlan() throws IOException {
        bringIn(DEMO);
        browser.pressLabelled("More for the plan");
        browser.pick("Spreadsheet (XLSX)");
        byte[] workbook = handedOver("Kestrel Ridge Observatory.xlsx");
        Path newer = folder.resolve("newer.xlsx");
        Files.write(newer, workbook);
        browser.select("S10", "days");
        browser.type("19", Keys.ENTER);
        browser.read(Browser.cell("S10", "days"), "19");
        browser.pressLabelled("More for the plan");
        browser.pick("Update from a newer file…");
        browser.choose("[aria-label='Newer schedule']", newer.toString());
        browser.read("[data-update='S10']", "19d → 12d");
        browser.press("Take all of it over");
        browser.see("[role='treegrid'][aria-label='Plan']");
        browser.read(Browser.cell("S10", "days"), "12");
    }
}
