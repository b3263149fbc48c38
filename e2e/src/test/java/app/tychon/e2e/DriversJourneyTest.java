package app.tychon.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** What makes the date and the cost uncertain: ranked, gathered, held against each other, followed and added up. */
class DriversJourneyTest extends Journey {
    private static final String HEADLINE = "[data-testid='headline']";
    private static final String INPUTS = "[aria-label='What moves the finish']";
    private static final String PERMIT = "estimate:S20:0";
    private static final String OBJECTION = "risk:R01:0";

    private void openDrivers() {
        openDemo();
        browser.goTo("Drivers");
        browser.read(HEADLINE, "Environmental and access permit moves the finish most.");
    }

    private double value(String key) {
        return Double.parseDouble(
                browser.text(Browser.cell(key, "value")).replace("\u2212", "-").replaceAll("[^-\\d.]", ""));
    }

    @Test
    void inputsAreRankedByAnyMeasureEachWithItsSentenceAndLeadToTheThingItselfAndBack() {
        openDrivers();
        browser.read(HEADLINE, "inputs carry four fifths");
        browser.select(PERMIT, "name");
        assertThat(value(PERMIT)).isGreaterThan(value(OBJECTION)).isPositive();
        browser.read("[data-testid='row-sentence']", "From its lowest tenth to its highest, the finish comes");
        browser.read("[data-testid='inside']", "its own estimate");
        browser.chooseOption("[aria-label='Measure']", "removal");
        browser.see("[data-moves='done']");
        assertThat(value(OBJECTION)).as("without it the finish comes earlier").isNegative();
        browser.select(OBJECTION, "name");
        browser.read("[data-testid='row-sentence']", "Were it off, P80 of the finish would come");
        browser.chooseOption("[aria-label='Measure']", "slope");
        browser.read("[data-testid='meaning']", "Slope: by how much the finish moves");
        browser.read(Browser.cell(OBJECTION, "value"), "d a day");
        browser.chooseOption("[aria-label='Measure']", "contribution");
        browser.read("[data-testid='meaning']", "is left unexplained");
        browser.select(OBJECTION, "name");
        browser.type(Keys.chord(Keys.ALT, Keys.ENTER));
        browser.arrive("/risks");
        browser.see("[data-row='R01'] .active");
        browser.goTo("Drivers");
        browser.see("[data-row='" + OBJECTION + "'] .active");
        browser.select(PERMIT, "name");
        browser.type(Keys.chord(Keys.ALT, Keys.ENTER));
        browser.arrive("/ranges");
        browser.see("[data-row='S20'] .active");
        browser.goTo("Drivers");
        browser.chooseOption("[aria-label='Which quantity']", "cost");
        browser.read(HEADLINE, "moves the cost most");
    }

    @Test
    void inputsAreGatheredAndABranchIsOpenedByKey() {
        openDrivers();
        browser.chooseOption("[aria-label='Gathered']", "branch 1");
        browser.read(Browser.cell("group S", "name"), "Site");
        browser.select("group S", "name");
        assertThat(browser.count("[data-row='" + PERMIT + "']")).isZero();
        browser.type(Keys.ARROW_RIGHT);
        browser.see("[data-row='" + PERMIT + "']");
        browser.type(Keys.ARROW_DOWN);
        browser.read("[data-testid='row-sentence']", "the finish comes");
        browser.chooseOption("[aria-label='Measure']", "rank");
        assertThat(browser.isEnabled("[aria-label='Gathered']"))
                .as("rank correlations do not add up")
                .isFalse();
    }

    @Test
    void aScatterIsCutByLinesThatAreTypedAndLeadsIntoAFuture() {
        openDrivers();
        browser.select(PERMIT, "name");
        browser.type(Keys.chord(Keys.ALT, "x"));
        browser.read("[data-testid='scatter']", "When Environmental and access permit takes over");
        browser.enter("[name='line-x']", "90");
        browser.read("[data-testid='scatter']", "takes over 90.0 d");
        browser.enter("[name='line-y']", "some day");
        browser.read("[role='alert']", "not “some day”");
        browser.type(Keys.ESCAPE);
        browser.enter("[name='line-y']", "1 Nov 2028");
        browser.read("[data-testid='scatter']", "later than 1 Nov 2028");
        browser.read("[data-testid='shape']", "Rank correlation +0.4");
        String line = "[role='slider'][aria-orientation='horizontal']";
        String before = browser.attribute(line, "aria-valuetext");
        browser.click(line);
        browser.type(Keys.chord(Keys.SHIFT, Keys.ARROW_RIGHT));
        browser.readOtherThan("[data-testid='scatter']", before);
        browser.run("document.querySelector('main circle').dispatchEvent(new MouseEvent('click', {bubbles: true}))");
        browser.arrive("/odds?future=");
        browser.read("main", "Future 1");
    }

    @Test
    void aPathIsChosenAndLitOnTheTimeline() {
        openDrivers();
        browser.press("Paths");
        browser.read(HEADLINE, "ways lead to the finish");
        browser.click("[data-path-row='3'] button");
        browser.read("[aria-label='The chosen path']", "Through Cast and anneal the blank");
        browser.read("[aria-label='The chosen path']", "The blank cracks while it anneals struck");
        browser.read("[aria-label='The chosen path']", "It parts from the most frequent path at M10");
        browser.press("Show it on the plan");
        browser.see("[role='treegrid'][aria-label='Plan'] [data-row='M30'].lit");
        browser.press("Lit: the path through Cast and anneal the blank ×");
        assertThat(browser.isGone(".lit")).isTrue();
    }

    @Test
    void theStaircaseAddsUpOnScreenAndOpens() {
        openDrivers();
        browser.press("Staircase");
        browser.read(HEADLINE, "from the plan to P80");
        browser.read("[data-testid='inside']", "overlap");
        double sum = 0;
        List<String> changes = browser.attributes("[data-change]", "data-change");
        for (String change : changes.subList(0, changes.size() - 1)) {
            sum += Double.parseDouble(change);
        }
        assertThat(Double.parseDouble(browser.attribute("[data-whole]", "data-whole")))
                .isCloseTo(sum, within(1e-9));
        browser.run("document.querySelector(\"[data-step='threats']\").focus()");
        browser.type(Keys.ENTER);
        browser.read("[data-testid='inside']", "Inside “Threats”");
        browser.read("[data-testid='inside']", "An objection holds up the access permit");
        browser.enter("[name='level']", "50");
        browser.read(HEADLINE, "from the plan to P50");
        browser.chooseOption("[aria-label='Which quantity']", "cost");
        browser.read("[data-testid='sums']", "Ranges of amounts");
        browser.read("[data-testid='sums']", "Risks on money");
    }

    @Test
    void lateFuturesOfATypedDateAreToldByWhatTheyShare() {
        openDrivers();
        browser.press("Late futures");
        browser.read(HEADLINE, "In futures beyond 2 Oct 2028");
        browser.enter("[name='beyond']", "30 Nov 2028");
        browser.read(HEADLINE, "In futures beyond 30 Nov 2028, The blank cracks while it anneals struck in");
        browser.enter("[name='beyond']", "1 Jan 2040");
        browser.read(HEADLINE, "No future lies beyond 1 Jan 2040");
        browser.enter("[name='beyond']", "soon");
        browser.read("main", "not “soon”");
        browser.type(Keys.ESCAPE);
        browser.click("[name='beyond']");
        browser.type(Keys.chord(Keys.CONTROL, "a"), Keys.DELETE, Keys.ENTER);
        browser.read(HEADLINE, "In futures beyond 2 Oct 2028");
    }

    @Test
    void criticalityIsToldTowardsAnyMilestoneAlongThePlanAndRanked() {
        openDrivers();
        browser.press("Criticality");
        browser.read(Browser.cell("I80", "drives"), "100 %");
        browser.chooseOption("[aria-label='Ordered by']", "index");
        browser.read("[aria-label='Criticality'] [data-row]", "Environmental and access permit");
        browser.chooseOption("[aria-label='Show']", "often");
        browser.see("[data-row='E94']");
        browser.press("Along the plan");
        browser.see("[role='treegrid'][aria-label='Criticality along the plan'] [data-row='S20'].lit");
        browser.press("Too much time");
        browser.read(HEADLINE, "float that no future uses");
        browser.enter("[name='level']", "20");
        browser.read(HEADLINE, "could give back");
        browser.enter("[name='level']", "100");
        browser.read("[role='alert']", "A whole percentage from 1 to 99");
    }

    /** By keys alone: a stage, a view, a row, what it says, and the way on. */
    @Test
    void allOfItGoesByKeys() {
        openDemo();
        palette("Drivers");
        browser.read(HEADLINE, "moves the finish most");
        browser.see(INPUTS);
        browser.run("document.querySelector(\"" + INPUTS + "\").focus()");
        browser.type(Keys.ARROW_DOWN, Keys.ARROW_DOWN);
        browser.read("[aria-label='The selected input']", "An objection holds up the access permit");
        palette("View of the drivers: Paths");
        browser.read(HEADLINE, "ways lead to the finish");
        palette("View of the drivers: Staircase");
        browser.read(HEADLINE, "from the plan to P80");
        palette("View of the drivers: Late futures");
        browser.read(HEADLINE, "In futures beyond");
        palette("View of the drivers: Criticality");
        browser.see("[role='grid'][aria-label='Criticality']");
    }

    private void palette(String what) {
        browser.type(Keys.chord(Keys.CONTROL, "k"));
        browser.see("[role='dialog'] [role='combobox']");
        browser.type(what);
        browser.read("[role='dialog'] [role='option']", what);
        browser.type(Keys.ENTER);
        assertThat(browser.isGone("[role='dialog']")).isTrue();
    }
}
