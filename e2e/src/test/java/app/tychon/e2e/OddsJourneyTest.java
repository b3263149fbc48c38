package app.tychon.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** Recorded runs, looked into: one future, time and money together, what changed since. */
class OddsJourneyTest extends Journey {
    private static final String FUTURE = "[data-testid='future']";
    private static final String JOINT = "[data-testid='joint']";

    private void simulate() {
        bringIn(DEMO);
        browser.goTo("Odds");
        browser.see("[aria-label='Settings of the run']").click();
        browser.enter("input[aria-label='Iterations']", "2000");
        browser.enter("input[aria-label='Seed']", "4711");
        browser.type(Keys.ESCAPE);
        browser.press("Simulate");
        browser.read("[data-testid='reading']", "Four futures in five finish by");
    }

    @Test
    void aP80WorldIsShownWithWhatStruckAndWhatDrove() {
        simulate();
        browser.press("One future");
        String world = browser.read(FUTURE, "of 2,000 finishes on");
        browser.read("main", "It stands at 80 % of all finishes");
        browser.read("main", "It was driven by S00 → S10");
        browser.see("[data-row='S20'][data-drove='true']");
        browser.see("[aria-label='The next future']").click();
        String next = browser.readOtherThan(FUTURE, world);
        browser.enter("[aria-label='Number of the future']", "17");
        browser.read(FUTURE, "Future 17 of 2,000");
        browser.enter("[aria-label='Number of the future']", "9999");
        browser.read("main [role='alert']", "futures 1 to 2000, not 9999");
        browser.enter("[aria-label='Percent of the world to show']", "80");
        assertThat(browser.read(FUTURE, world.substring(0, 12)))
                .isEqualTo(world)
                .isNotEqualTo(next);
        browser.press("Play them slowly");
        browser.readOtherThan(FUTURE, world);
        browser.press("Hold");
    }

    @Test
    void aDateAndABudgetAreWeighedTogetherAndAPointOpensItsFuture() {
        simulate();
        browser.press("Time and money");
        String before = browser.read(JOINT, "are kept together with a chance of");
        browser.enter("input[name='date']", "31 Dec 2028");
        String later = browser.readOtherThan(JOINT, before);
        assertThat(later).startsWith("31 Dec 2028");
        browser.enter("input[name='budget']", "much");
        browser.read("main [role='alert']", "An amount is needed, not “much”");
        browser.enter("input[name='budget']", "9000000");
        browser.read(JOINT, "the budget alone with 100 %");
        browser.see("[role='slider'][aria-label='Date']").sendKeys(Keys.ARROW_RIGHT);
        browser.read(JOINT, "1 Jan 2029");
        browser.see("[aria-label='Futures by finish and cost'] circle:last-of-type")
                .click();
        browser.read(FUTURE, "Future 2,000 of 2,000");
    }

    @Test
    void aRunIsHeldGoesOnIsKeptAndTellsWhatChangedSince() {
        bringIn(DEMO);
        browser.goTo("Odds");
        browser.see("[aria-label='Settings of the run']").click();
        browser.enter("input[aria-label='Iterations']", "400000");
        browser.enter("input[aria-label='Name']", "For the board");
        browser.type(Keys.ESCAPE);
        browser.press("Simulate");
        browser.press("Hold");
        browser.read("main [role='status']", "Held at");
        browser.press("Go on");
        browser.press("Stop and keep");
        browser.read("[data-testid='reading']", "Four futures in five finish by");
        browser.goTo("Ranges");
        browser.select("S20", "high");
        browser.type("190", Keys.ENTER);
        browser.read(Browser.cell("S20", "high"), "190");
        browser.goTo("Odds");
        browser.see("[aria-label='Recorded runs']").click();
        browser.read("[data-run='1']", "stopped early");
        assertThat(browser.see("[data-run='1'] input").getAttribute("value")).isEqualTo("For the board");
        browser.press("What changed since");
        browser.read("[data-run='1']", "Activity S20, Environmental and access permit: estimate changed.");
        browser.pressIn("[data-run='1']", "Delete");
        browser.isGone("[data-run='1']");
        browser.press("Take back");
        browser.read("[data-run='1']", "stopped early");
    }
}
