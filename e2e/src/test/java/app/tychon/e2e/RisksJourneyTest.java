package app.tychon.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** What the risks do to the finish and the cost. */
class RisksJourneyTest extends Journey {
    private static final String WORKED_OUT = "[role='toolbar'] [role='status']";

    private void openRegister() {
        bringIn(DEMO);
        browser.goTo("Risks");
        browser.read(WORKED_OUT, "By 1,000 futures");
    }

    @Test
    void theRegisterSaysWhatEachRiskMovesTheStrongestFirst() {
        openRegister();
        browser.read("[role='toolbar']", "16 risks move the P80 finish by +");
        browser.read("[role='toolbar']", "carry four fifths");
        browser.read(Browser.cell("R01", "time"), "10–60 d on S20");
        browser.read(Browser.cell("R03", "chance"), "2.5 a year");
        double first = days("R01");
        double second = days("R12");
        assertThat(first).isGreaterThan(second);
        assertThat(second).isPositive();
        assertThat(browser.see(Browser.cell("R14", "title") + " svg").getDomAttribute("aria-label"))
                .isEqualTo("opportunity");
        browser.select("R01", "code");
        browser.type(Keys.ARROW_DOWN, Keys.ARROW_RIGHT);
        browser.see(Browser.cell("R12", "title") + ".active");
    }

    private double days(String risk) {
        return Double.parseDouble(browser.see(Browser.cell(risk, "days")).getText());
    }

    @Test
    void anEditOfThePlanIsFollowed() {
        openRegister();
        String before = browser.read(Browser.cell("R01", "days"), "+");
        browser.goTo("Ranges");
        browser.select("S20", "high");
        browser.type("300", Keys.ENTER);
        browser.read(Browser.cell("S20", "high"), "300");
        browser.goTo("Risks");
        browser.read(WORKED_OUT, "By 1,000 futures");
        browser.readOtherThan(Browser.cell("R01", "days"), before);
    }
}
