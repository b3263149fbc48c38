package app.tychon.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** Every view can be used by everybody, as far as rules can tell (WCAG 2.2 AA), in light and in dark colours. */
class AccessibilityJourneyTest extends Journey {
    private void look(String view) {
        Axe.look(browser, view);
    }

    /** With colours as they lie on each other on screen. */
    private void lookInBothColours(String view) {
        Axe.lookAtColoursToo(browser, view + ", light");
        turn("Dark colours");
        // Nothing else than colours differs.
        Axe.lookAtColours(browser, view + ", dark");
        turn("Light colours");
    }

    /** By script: the rules have scrolled what they looked at into view, and the bar at the top out of it. */
    private void turn(String colours) {
        browser.run("document.querySelector(`button[aria-label='${arguments[0]}']`).click()", colours);
    }

    @Test
    void theListOfProjects() throws IOException {
        openProjects();
        browser.see("main");
        look("projects before there are any of one's own");
        Path table = Files.writeString(
                folder.resolve("yard.csv"),
                "Code,Activity,Days,After\nY1,Clear the yard,3,\nY2,Lay the slab,soon,Y1\n");
        choose(table);
        browser.read("[role='alert']", "is no duration");
        look("import of a schedule with a problem");
        bringIn(DEMO);
        browser.pressLabelled("More for the plan");
        browser.pick("Update from a newer file…");
        browser.choose(
                "[aria-label='Newer schedule']",
                Files.writeString(folder.resolve("newer.csv"), "Code,Activity,Days\nS10,Survey,14\n")
                        .toString());
        browser.see("[data-update='S10']");
        look("update");
        openProjects();
        browser.read("main", "Kestrel Ridge Observatory");
        look("projects");
    }

    @Test
    void thePlanWithItsSheetItsCheckAndItsCalendars() throws IOException {
        openDemo();
        browser.see("[data-heading='finish']");
        lookInBothColours("plan");
        browser.select("S10", "name");
        browser.type(Keys.chord(Keys.ALT, Keys.ENTER));
        browser.see("aside");
        look("sheet");
        browser.type(Keys.chord(Keys.ALT, Keys.ENTER));
        browser.click("a[href$='plan?check']");
        browser.see("[aria-label='Plan check']");
        look("plan check");
        browser.pressLabelled("More for the plan");
        browser.pick("Settings of the project…");
        browser.see("[aria-label='Settings of the project']");
        look("settings");
        browser.pressLabelled("More for the plan");
        browser.pick("Calendars…");
        browser.see("[data-day]");
        look("calendars");
    }

    @Test
    void rangesWithGradesCorrelationAndPastWork() throws IOException {
        openDemo();
        browser.goTo("Ranges");
        browser.see("[role='treegrid'][aria-label='Ranges']");
        lookInBothColours("ranges");
        for (String dialog : List.of("Grades", "Correlation", "Past work")) {
            browser.press(dialog);
            browser.see("[role='dialog'][data-state='open']");
            look(dialog);
            browser.type(Keys.ESCAPE);
            assertThat(browser.isGone("[role='dialog']")).isTrue();
        }
    }

    @Test
    void theRegisterOfRisks() throws IOException {
        openDemo();
        browser.goTo("Risks");
        browser.read("[role='grid'][aria-label='Risk register']", "by 1,000 futures");
        lookInBothColours("risks");
        browser.select("R03", "title");
        browser.pressLabelled("Sheet of the risk");
        browser.see("[data-past]");
        look("sheet of a risk");
        browser.pressLabelled("The plan beside the register");
        browser.see("[role='treegrid'][aria-label='The plan beside the register']");
        look("register with the plan");
        for (String view : List.of("Matrix", "Losses", "Exposure")) {
            browser.press(view);
            browser.see(view.equals("Matrix") ? "[data-mark]" : "[data-testid]");
            look(view);
        }
    }

    @Test
    void everyViewOfTheCosts() throws IOException {
        openDemo();
        browser.goTo("Costs");
        browser.read("[data-testid='cost-sentence']", "P80");
        lookInBothColours("cost lines");
        for (String view : List.of("By category", "Resources", "Cash flow", "Why it costs")) {
            browser.press(view);
            browser.see("main [role='treegrid'], main [data-testid='load'], main [data-testid='headline']");
            look(view);
        }
        browser.press("Hire");
        browser.see("[role='dialog'][data-state='open']");
        look("hire");
    }

    @Test
    void everyPartOfTheBrief() throws IOException {
        bringIn(DEMO);
        browser.goTo("Brief");
        browser.press("Record one");
        browser.read("[data-block='options']", "Early hearing");
        browser.click("[data-block='decide']");
        browser.press("Issue and links");
        browser.press("Issue this brief as it is");
        browser.press("Copy a link to read");
        lookInBothColours("a brief with a block that is chosen, and what was issued");
        browser.send("[data-block='answer']", Keys.F2);
        browser.see("[aria-label='Words of the block']");
        browser.press("Take out");
        look("words that are typed, and everything to take out");
        browser.press("Show it");
        browser.see("[data-testid='shown-place']");
        look("the brief on the whole screen");
    }

    @Test
    void everyViewOfTheScenarios() throws IOException {
        openDemo();
        browser.goTo("Scenarios");
        browser.see("[data-curve='V3']");
        lookInBothColours("scenarios");
        for (String view :
                List.of("Row by row", "Drivers of two", "One after the other", "What to fund", "Since last time")) {
            browser.press(view);
            browser.see(
                    "main [role='treegrid'], main [role='grid'], main [data-testid='headline'], main [role='status']");
            look(view);
        }
        browser.press("Side by side");
        browser.press("Take it over…");
        browser.see("[role='dialog'][data-state='open']");
        look("take over");
    }

    @Test
    void everyViewOfTheOdds() throws IOException {
        openDemo();
        browser.goTo("Odds");
        browser.see("[data-level]");
        lookInBothColours("chance");
        for (String view : List.of("As it may turn out", "Time and money", "One future")) {
            browser.press(view);
            browser.see("main [role='treegrid'], main [role='grid'], main [aria-label='Futures by finish and cost']");
            look(view);
        }
        browser.pressLabelled("Recorded runs");
        browser.see("[role='dialog'][data-state='open']");
        look("recorded runs");
    }

    @Test
    void everyViewOfTheDrivers() throws IOException {
        openDemo();
        browser.goTo("Drivers");
        browser.see("[data-testid='inside']");
        lookInBothColours("what moves it");
        for (String view : List.of("Paths", "Staircase", "Criticality", "Late futures", "Scatter", "Too much time")) {
            browser.press(view);
            browser.see(
                    "main [data-path], main [data-testid='inside'], main [role='grid'], main [data-shared], main circle");
            look(view);
        }
    }

    @Test
    void whatLiesOverEveryView() throws IOException {
        openDemo();
        browser.type(Keys.chord(Keys.CONTROL, "k"));
        browser.see("[role='dialog'] [role='combobox']");
        look("search");
        browser.type(Keys.ESCAPE);
        assertThat(browser.isGone("[role='dialog']")).isTrue();
        browser.pressLabelled("Keys");
        browser.see("[role='dialog'][data-state='open']");
        look("keys");
    }
}
