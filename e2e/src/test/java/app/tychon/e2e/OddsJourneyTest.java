package app.tychon.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** Recorded runs, looked into: one future, time and money together, what changed since. */
class OddsJourneyTest extends Journey {
    private static final String FUTURE = "[data-testid='future']";
    private static final String READING = "[data-testid='reading']";
    private static final String SOURCE = "[aria-label='Odds by'] option:checked";
    private static final String FINISH = "[data-heading='finish']";
    private static final String JOINT = "[data-testid='joint']";

    private void simulate() {
        bringIn(DEMO);
        browser.goTo("Odds");
        browser.click("[aria-label^='Settings of the run']");
        browser.enter("input[aria-label='Iterations']", "2000");
        browser.enter("input[aria-label='Seed']", "4711");
        browser.type(Keys.ESCAPE);
        browser.press("Record a run");
        browser.read(SOURCE, "Run 1");
        browser.read(READING, "Four futures in five finish by");
    }

    @Test
    void aP80WorldIsShownWithWhatStruckAndWhatDrove() {
        simulate();
        browser.press("One future");
        String world = browser.read(FUTURE, "of 2,000 finishes on");
        browser.read("main", "It stands at 80 % of all finishes");
        browser.read("main", "It was driven by S00 → C10");
        browser.see("[data-row='S00'] [data-drove='true']");
        browser.click("[aria-label='The next future']");
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
        browser.send("[role='slider'][aria-label='Date']", Keys.ARROW_RIGHT);
        browser.read(JOINT, "1 Jan 2029");
        browser.click("[aria-label='Futures by finish and cost'] circle:last-of-type");
        browser.read(FUTURE, "Future 2,000 of 2,000");
    }

    @Test
    void aRunIsHeldGoesOnIsKeptAndTellsWhatChangedSince() {
        bringIn(DEMO);
        browser.goTo("Odds");
        browser.click("[aria-label^='Settings of the run']");
        browser.enter("input[aria-label='Iterations']", "400000");
        browser.enter("input[aria-label='Name']", "For the board");
        browser.type(Keys.ESCAPE);
        browser.press("Record a run");
        browser.press("Hold");
        browser.read("[data-testid='at-work'] [role='status']", "Held at");
        browser.read("[data-testid='at-work']", "So far four futures in five finish by");
        browser.see("[data-growing='finish'] svg");
        browser.press("Go on");
        browser.press("Stop and keep");
        browser.read(READING, "Four futures in five finish by");
        browser.goTo("Ranges");
        browser.select("S20", "high");
        browser.type("190", Keys.ENTER);
        browser.read(Browser.cell("S20", "high"), "190");
        browser.goTo("Odds");
        browser.click("[aria-label='Recorded runs']");
        browser.read("[data-run='1']", "stopped early");
        assertThat(browser.attribute("[data-run='1'] input", "value")).isEqualTo("For the board");
        browser.press("What changed since");
        browser.read("[data-run='1']", "Activity S20, Environmental and access permit: estimate changed.");
        browser.pressIn("[data-run='1']", "Delete");
        browser.isGone("[data-run='1']");
        browser.press("Take back");
        browser.read("[data-run='1']", "stopped early");
    }

    private void lookAt(String text) {
        browser.click("[aria-label^='Odds of what']");
        browser.fill("[aria-label='Look for a branch, milestone or activity']", text);
        browser.type(Keys.ENTER);
    }

    @Test
    void anythingInThePlanIsLookedAtLiveBetweenTwoValuesAndInTheLevelsThatAreWanted() {
        bringIn(DEMO);
        browser.goTo("Odds");
        browser.read(READING, "Four futures in five finish by");
        browser.read("[aria-label='Contingency']", "calendar days");
        browser.read("[aria-label='Contingency']", "of the plan");
        lookAt("Primary");
        browser.read(READING, "Four futures in five finish Primary mirror by");
        lookAt("S20");
        browser.press("Duration");
        browser.read(READING, "for Environmental and access permit");
        browser.enter("[aria-label='Amount']", "100");
        browser.read(READING, "take at most 100 d");
        browser.enter("[aria-label='Amount']", "long");
        browser.read("main [role='alert']", "a number of days such as 85, not “long”");
        browser.type(Keys.ESCAPE);
        browser.click("[aria-label='Between two']");
        browser.read(READING, "between");
        browser.enter("[aria-label='Second chance in percent']", "10");
        browser.enter("[aria-label='Chance in percent']", "90");
        browser.read(READING, "Four futures in five take between");
        browser.press("Cost");
        browser.read("main [role='alert']", "No money stands on");
        lookAt("project");
        browser.read(READING, "cost at most");
        browser.click("[aria-label='Take out']");
        assertThat(taken("amounts.csv")).startsWith("chancePercent,value,low95,high95");
        assertThat(taken("iterations.csv"))
                .startsWith("iteration,finish,durationMinutes,cost")
                .contains("5000,20");
    }

    /** What the server gives for an entry of the open menu. */
    private String taken(String file) {
        String address = browser.attribute("a[href*='" + file + "']", "href");
        return browser.get(address.substring(address.indexOf("/api")));
    }

    @Test
    void aRunIsPutBesideTheLiveOddsAndSaysWhatIsChanceAndWhatChanged() {
        bringIn(DEMO);
        browser.goTo("Odds");
        browser.click("[aria-label^='Settings of the run']");
        browser.enter("input[aria-label='Iterations']", "5000");
        browser.enter("input[aria-label='Seed']", "4711");
        browser.type(Keys.ESCAPE);
        browser.press("Record a run");
        browser.read(SOURCE, "Run 1");
        String run = browser.attribute("[aria-label='Odds by']", "value");
        browser.chooseOption("[aria-label='Odds by']", "live");
        browser.chooseOption("[aria-label='Compare with']", run);
        browser.read("[data-testid='beside']", "P80 is the same as by run 1. Both drew the same random numbers");
        browser.goTo("Ranges");
        browser.select("S20", "high");
        browser.type("240", Keys.ENTER);
        browser.read(Browser.cell("S20", "high"), "240");
        browser.goTo("Odds");
        browser.read(READING, "Four futures in five finish by");
        browser.chooseOption("[aria-label='Compare with']", run);
        browser.read("[data-testid='beside']", "later than by run 1");
        browser.press("What changed in between");
        browser.read("[data-testid='beside']", "Activity S20, Environmental and access permit: estimate changed.");
        browser.press("Repeat with other seeds");
        browser.read("[role='dialog'] [role='status']", "10 of 10 repeats");
        assertThat(browser.count("[data-strip='finish 80'] circle")).isEqualTo(10);
    }

    @Test
    void thePlanIsShownAsItMayTurnOutDownToALevelAndTellsTheRangesOfARow() {
        bringIn(DEMO);
        browser.goTo("Odds");
        browser.press("As it may turn out");
        browser.select("E70", "name");
        browser.read("[data-testid='span']", "Erect enclosure steelwork starts about");
        browser.read("[data-testid='span']", "It drives the finish in");
        browser.chooseOption("[aria-label='Rows shown']", "1");
        browser.isGone("[data-row='E70']");
        browser.read("[data-row='E']", "63 %");
        browser.chooseOption("[aria-label='Rows shown']", "all");
        browser.see("[data-row='E70']");
        int whole = browser.width("[data-mist='E70'] svg");
        browser.press("Weeks");
        browser.isGone("[data-mist='E70'] svg[width='" + whole + "']");
    }

    @Test
    void theLevelThatMattersIsTheProjectsChoiceAndTwoPeopleSeeTheSameOdds() {
        bringIn(DEMO);
        browser.read(FINISH, "Finish P80");
        try (Browser other = another()) {
            other.open(browser.address());
            other.read(FINISH, "Finish P80");
            browser.click("[aria-label='More for the plan']");
            browser.pick("Settings of the project…");
            browser.enterLabelled("Confidence, %", "101");
            browser.read("[role='alert']", "from 1 to 99, not “101”");
            browser.enterLabelled("Confidence, %", "90");
            assertThat(settledP90(other)).isEqualTo(settledP90(browser));
            other.goTo("Odds");
            other.read(READING, "Nine futures in ten finish by");
        }
    }

    /** What the horizon says once its odds of the new level are refined. */
    private static String settledP90(Browser one) {
        one.read(FINISH, "Finish P90");
        one.read("footer [data-live='true']", "Live, 5,000 futures");
        return one.read(FINISH, "Finish P90");
    }
}
