package app.tychon.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** What the grid offers at once, by keyboard alone; what is kept of how somebody works; what a fault leaves. */
class GridJourneyTest extends Journey {
    private static final String NOTE = "[data-testid='note']";
    private static final String DIVIDER = "[role='separator'][aria-label='Room for the columns']";

    private static String alt(String letter) {
        return Keys.chord(Keys.ALT, letter);
    }

    @Test
    void aRangeMadeForAnotherDurationIsScaledAlongOrLeftByOneKey() {
        bringIn(DEMO);
        browser.select("S10", "days");
        browser.type("24", Keys.ENTER);
        browser.read(NOTE, "The range of S10 was made for 12 days; the duration is 24 now.");
        browser.type(alt("s"));
        browser.goTo("Ranges");
        browser.read(Browser.cell("S10", "low"), "20");
        browser.read(Browser.cell("S10", "high"), "40");

        browser.goTo("Plan");
        browser.select("S10", "days");
        browser.type("12", Keys.ENTER);
        browser.read(NOTE, "made for 24 days");
        browser.type(alt("l"));
        browser.isGone(NOTE);
        browser.goTo("Ranges");
        browser.read(Browser.cell("S10", "low"), "20");
    }

    @Test
    void whatCameBeforeARemovedRowIsJoinedToWhatComesAfter() {
        bringIn(DEMO);
        browser.select("S30", "name");
        browser.type(Keys.chord(Keys.CONTROL, Keys.DELETE));
        browser.read(NOTE, "S30 is removed.");
        browser.isGone("[data-row='S30']");
        assertThat(browser.text(Browser.cell("S40", "after"))).isEqualTo("S20");
        browser.type(alt("j"));
        browser.read(Browser.cell("S40", "after"), "S10");
        browser.type(Keys.chord(Keys.CONTROL, "z"));
        browser.see("[data-row='S30']");
    }

    @Test
    void fromARowStraightToItsOddsAndADateOfOnesOwnKeepsItsChance() {
        bringIn(DEMO);
        browser.select("E50", "name");
        browser.type(alt("o"));
        browser.read("[data-testid='reading']", "Four futures in five");
        browser.read("main", "Concrete curing");
        browser.enter("[aria-label='Another level or value']", "31/12/2027");
        String chance = browser.read("[data-value]", "31 Dec 2027");
        assertThat(chance).contains("%").contains("±");
        browser.enter("[aria-label='Another level or value']", "soon");
        browser.read("aside [role='alert']", "not “soon”");
        browser.goTo("Plan");
        browser.goTo("Odds");
        browser.read("[data-value]", "31 Dec 2027");
    }

    @Test
    void columnsGiveWayToTheDrawingAndTheDividerStaysWhereItWasPut() {
        bringIn(DEMO);
        browser.see(Browser.cell("S10", "finish"));
        browser.click(DIVIDER);
        int before = Integer.parseInt(browser.attribute(DIVIDER, "aria-valuenow"));
        browser.type(Keys.ARROW_LEFT, Keys.ARROW_LEFT, Keys.ARROW_LEFT, Keys.ARROW_LEFT, Keys.ARROW_LEFT);
        browser.type(Keys.ARROW_LEFT, Keys.ARROW_LEFT, Keys.ARROW_LEFT, Keys.ARROW_LEFT, Keys.ARROW_LEFT);
        int after = Integer.parseInt(browser.attribute(DIVIDER, "aria-valuenow"));
        assertThat(after).isLessThan(before - 100);
        String address = browser.address();
        browser.open(address);
        browser.see(Browser.cell("S10", "name"));
        assertThat(Integer.parseInt(browser.attribute(DIVIDER, "aria-valuenow")))
                .isEqualTo(after);
    }

    @Test
    void aStageThatFailsSaysWhatHappenedAndTheOthersGoOn() {
        bringIn(DEMO);
        browser.keep("tychon-odds", "{\"state\":{\"subjects\":null},\"version\":1}");
        browser.open(browser.address().replace("/plan", "/odds"));
        browser.read("[role='alert']", "This view could not be shown.");
        browser.read("[role='alert']", "The plan is safe");
        browser.goTo("Plan");
        browser.see("[data-row='S10']");
        assertThat(browser.policyViolations()).as("of the content policy").isEmpty();
    }
}
