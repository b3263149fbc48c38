package app.tychon.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** What if: a switch, a plan worked in otherwise, what to fund, and how the forecast has moved. */
class ScenariosJourneyTest extends Journey {
    private static final String HEADLINE = "[data-testid='headline']";
    private static final String PLAN = "[role='treegrid'][aria-label='Plan']";
    private static final String RANGES = "[role='treegrid'][aria-label='Ranges']";
    private static final String NOTE = "[data-testid='note']";

    private void openScenarios() {
        bringIn(DEMO);
        browser.goTo("Scenarios");
        browser.read(row("V3"), "€52.0k");
    }

    private static String row(String scenario) {
        return "[data-scenario='" + scenario + "']";
    }

    @Test
    void aSwitchOnThePlanBecomesAScenarioWhoseGapIsReadAndCopiedAndPutAway() {
        openScenarios();
        browser.read(HEADLINE, "Hearing and test buys 7.5 working days at P80 and pays for itself");
        browser.click(row(""));
        browser.press("7 more…");
        browser.click("input[aria-label='R12 off']");
        browser.read(row("V6"), "R12 off");
        browser.read(HEADLINE, "R12 off buys");
        browser.see("[data-gap]");
        // By keys: up to the one above, and its line taken off the drawing and put back.
        browser.send(row("V6"), Keys.ARROW_UP);
        browser.send(row("V5") + "[aria-selected='true']", Keys.SPACE);
        browser.see("[data-curve='V5']");
        browser.send(row("V5"), Keys.SPACE);
        browser.isGone("[data-curve='V5']");
        browser.send(row("V5"), Keys.ARROW_DOWN);
        browser.see(row("V6") + "[aria-selected='true']");
        browser.press("Copy");
        browser.read(row("V7"), "R12 off 1");
        browser.enterLabelled("Name", "Hearing and test");
        browser.read("[role='alert']", "There is another scenario called");
        browser.type(Keys.ESCAPE);
        browser.press("Put away");
        browser.isGone(row("V7"));
        browser.press("with 1 put away");
        browser.read(row("V7"), "put away");
        // Sorted by what it buys: the world without risks first.
        browser.press("against");
        browser.read("[data-testid='scenarios'] tbody tr:first-child", "No risks at all");
    }

    @Test
    void inAScenarioWorkGetsLongerAndThePlanStaysAsItIs() {
        openScenarios();
        browser.click(row("V1"));
        browser.press("Work in it");
        browser.read("[aria-label='A scenario is worked in']", "You work in the scenario “Early hearing”");
        String inside = browser.address();
        browser.select("S40", "days");
        browser.type("60", Keys.ENTER);
        browser.read(Browser.cell("S40", "days"), "60");
        browser.read("[aria-label='Horizon: live odds']", "in the plan");
        browser.goTo("Risks");
        browser.read("[aria-label='A scenario is worked in']", "Early hearing");
        browser.goTo("Leave it, back to the plan");
        browser.isGone("[aria-label='A scenario is worked in']");
        assertThat(browser.address()).isNotEqualTo(inside);
        browser.read(Browser.cell("S40", "days"), "40");
        browser.goTo("Scenarios");
        browser.read(row("V1"), "S40 duration 40d → 60d");
        browser.click(row("V1"));
        browser.pressLabelled("Give up: S40 duration 40d → 60d");
        browser.isGone("[data-edit='S40']");
    }

    @Test
    void oneIsLookedAtTakenOverAndTakenBack() {
        openScenarios();
        browser.click(row("V4"));
        browser.press("Take it over…");
        browser.read(
                "[data-testid='taken over']", "Cut and grade the access road: duration 40d → 26d, estimate changed.");
        browser.read("[data-testid='taken over']", "Second crew and its machines: added.");
        browser.press("Take it over");
        browser.read(NOTE, "“Two crews on the road” is the plan now");
        browser.goTo("Plan");
        browser.read(Browser.cell("S40", "days"), "26");
        browser.type(Keys.chord(Keys.CONTROL, "z"));
        browser.read(Browser.cell("S40", "days"), "40");
        browser.goTo("Scenarios");
        browser.read(row("V4"), "S40 duration 40d → 26d");
    }

    @Test
    void aBudgetIsTypedAndWhatItBuysIsDecided() {
        openScenarios();
        browser.press("What to fund");
        browser.read(HEADLINE, "fund R01");
        budget("10k");
        browser.read(HEADLINE, "For €10.0k nothing can be had: the cheapest, R01, costs €14.0k.");
        budget("plenty");
        browser.read("[role='alert']", "An amount is needed, such as 40k");
        browser.type(Keys.ESCAPE);
        budget("60k");
        browser.read(HEADLINE, "For €60.0k, fund R01 and R02");
        browser.read("[data-testid='funded']", "Early hearing with neighbours and agency");
        browser.read("[data-testid='left out']", "beyond the budget");
        // By keys the line goes on by steps.
        browser.send("[role='slider'][aria-label='Budget']", Keys.chord(Keys.SHIFT, Keys.ARROW_RIGHT));
        browser.read(HEADLINE, "For €70.0k, fund R01 and R10");
        browser.press("Decide it");
        browser.read(NOTE, "R01 and R10 are decided");
        browser.isGone("[data-option='R01']");
        browser.type(Keys.chord(Keys.CONTROL, "z"));
        browser.see("[data-option='R01']");
        browser.press("Make it a scenario");
        browser.read(row("V6"), "R01, R10 answered");
        // One after the other: what they do together, and which pays for which.
        browser.press("One after the other");
        browser.read("main", "“Test at half depth” pays for “Early hearing”");
    }

    private void budget(String amount) {
        browser.click("input[aria-label='Budget']");
        browser.type(Keys.chord(Keys.CONTROL, "a"));
        browser.type(amount, Keys.ENTER);
    }

    @Test
    void theForecastDriftsOverThreeRecordedRunsAndItsStepsOpenIntoEdits() {
        bringIn(DEMO);
        browser.goTo("Odds");
        browser.click("[aria-label^='Settings of the run']");
        browser.enter("input[aria-label='Iterations']", "2000");
        browser.type(Keys.ESCAPE);
        recorded(1);
        browser.goTo("Plan");
        browser.scroll(PLAN, 5000);
        browser.select("I20", "days");
        browser.type("40", Keys.ENTER);
        browser.read(Browser.cell("I20", "days"), "40");
        browser.goTo("Odds");
        recorded(2);
        browser.goTo("Ranges");
        browser.scroll(RANGES, 0);
        browser.select("S20", "high");
        browser.type("260", Keys.ENTER);
        browser.read(Browser.cell("S20", "high"), "260");
        browser.goTo("Odds");
        recorded(3);
        browser.goTo("Scenarios");
        browser.press("Since last time");
        browser.read(HEADLINE, "P80 has slipped");
        assertThat(browser.count("[data-run]")).isEqualTo(3);
        browser.read("[data-testid='between']", "From run 2 to run 3: +");
        browser.read("[data-testid='since']", "S20: estimate");
        browser.send("[data-run='1']", Keys.ENTER);
        browser.send("[data-run='2']", Keys.ENTER);
        browser.read("[data-testid='between']", "From run 1 to run 2: +");
        browser.send("[data-step='logic']", Keys.ENTER);
        browser.read("[data-testid='since']", "Inside “plan changed”");
        browser.read("[data-testid='since']", "I20: duration 15d → 40d");
        browser.read("[data-testid='since']", "you, ");
    }

    private void recorded(int number) {
        browser.press("Record a run");
        browser.read("select[aria-label='Odds by']", "Run " + number);
    }
}
