package app.tychon.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** Anything is found by its name, and any word explained, without leaving the keyboard. */
class FindingJourneyTest extends Journey {
    private static final String SEARCH = "[aria-label='Search and commands'][role='dialog'] [role='combobox']";

    private void search(String text) {
        browser.type(Keys.chord(Keys.CONTROL, "k"));
        browser.click(SEARCH);
        browser.type(text);
    }

    @Test
    void aRowIsFoundThoughItsBranchIsClosedAndACommandIsDone() {
        bringIn(DEMO);
        browser.select("S", "name");
        browser.type(Keys.ARROW_LEFT);
        assertThat(browser.isGone("[data-row='S60']")).isTrue();
        search("power line to");
        browser.read("[data-item='row S60']", "Power line to the ridge");
        browser.type(Keys.ENTER);
        browser.see("#cell-S60-name[aria-selected='true']");
        assertThat(browser.isGone(SEARCH)).isTrue();

        search("calendars");
        browser.see("[data-item='command Plan calendars']");
        browser.type(Keys.ENTER);
        browser.see("[role='dialog'] [data-day]");
    }

    @Test
    void stagesAndProjectsAreGoneToAndOddsOfARowAreShown() {
        bringIn(DEMO);
        search("odds");
        browser.see("[data-item='stage odds']");
        browser.type(Keys.ENTER);
        browser.arrive("/odds");
        browser.see("[data-level]");
        search("S60");
        browser.see("[data-item='row S60']");
        browser.type(Keys.ENTER);
        browser.read("[aria-label^='Odds of what']", "Power line");
    }

    @Test
    void aWordIsExplainedWhereItStandsAndByName() {
        bringIn(DEMO);
        browser.select("S60", "float");
        browser.type(Keys.F1);
        browser.read("[role='dialog']", "may slip without moving the finish");
        browser.press("Longest path");
        browser.read("[role='dialog']", "The chain of activities that decides the finish");
        browser.type(Keys.ESCAPE);
        assertThat(browser.isGone("[role='dialog']")).isTrue();
        search("p80");
        browser.see("[data-item='word percentile']");
        browser.type(Keys.ENTER);
        browser.read("[role='dialog']", "kept in so many of a hundred futures");
    }
}
