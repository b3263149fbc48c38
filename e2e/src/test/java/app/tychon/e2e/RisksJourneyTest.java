package app.tychon.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** The register: written, given to the plan, scored, answered, and what it does to the finish and the cost. */
class RisksJourneyTest extends Journey {
    private static final String REGISTER = "[role='grid'][aria-label='Risk register']";
    private static final String WORKED_OUT = "by 1,000 futures";
    private static final String TOOLBAR = "[role='toolbar']";
    private static final String TWO_FAULTY_ROWS =
            """
            Code;Title;Probability;Effect on time;Owner
            R06;Customs hold the detector;35 %;4..8..25d on C20;Logistics lead
            X1;Fog on the ridge;130 %;2..4..9d on E90;Site manager
            X2;Helpers fall ill;10 %;3..6d on Z99;Site manager
            """;

    private void openRegister() {
        bringIn(DEMO);
        browser.goTo("Risks");
        browser.read(REGISTER, WORKED_OUT);
    }

    private double days(String risk) {
        return Double.parseDouble(browser.text(Browser.cell(risk, "days")).replace('\u2212', '-'));
    }

    @Test
    void theRegisterSaysWhatEachRiskMovesTheStrongestFirst() {
        openRegister();
        browser.read(TOOLBAR, "16 risks move the P80 finish by +");
        browser.read(TOOLBAR, "carry four fifths");
        browser.read(Browser.cell("R01", "time"), "10–60 d on S20");
        browser.read(Browser.cell("R03", "chance"), "2.5 a year");
        double first = days("R01");
        double second = days("R12");
        assertThat(first).isGreaterThan(second);
        assertThat(second).isPositive();
        assertThat(browser.attribute(Browser.cell("R14", "title") + " svg", "aria-label"))
                .isEqualTo("opportunity");
        browser.select("R01", "code");
        browser.type(Keys.ARROW_DOWN, Keys.ARROW_RIGHT);
        browser.see(Browser.cell("R12", "title") + ".active");
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
        browser.read(REGISTER, WORKED_OUT);
        browser.readOtherThan(Browser.cell("R01", "days"), before);
    }

    @Test
    void aRiskIsTypedCellByCellAndGivenToSixActivitiesByKeyAndByPointer() {
        openRegister();
        browser.select("R01", "code");
        browser.type(Keys.INSERT);
        browser.type("Fog on the ridge", Keys.TAB);
        browser.see(Browser.cell("R17", "chance") + ".active");
        browser.type("1 in 5", Keys.TAB);
        browser.read(Browser.cell("R17", "chance"), "20 %");
        browser.see(Browser.cell("R17", "time") + ".active");
        browser.type("2..4..9d on E90", Keys.ENTER);
        browser.read(Browser.cell("R17", "time"), "2–9 d on E90");
        browser.see(Browser.cell("R18", "title"));

        browser.select("R17", "title");
        browser.type(Keys.chord(Keys.ALT, "a"));
        browser.type("E70, E92, Electrical fit-out of the enclosure", Keys.ENTER);
        browser.read(Browser.cell("R17", "time"), "2–9 d on 4");

        browser.pressLabelled("The plan beside the register");
        String plan = "[aria-label='The plan beside the register'] ";
        browser.see(plan + "[data-row='E70'].lit");
        settle("R17");
        browser.scroll("[role='treegrid'][aria-label='The plan beside the register']", 0);
        browser.dragOnto("[data-grip='R17']", plan + "[data-row='S40'] [data-column='name']");
        browser.read(Browser.cell("R17", "time"), "2–9 d on 5");
        settle("R17");
        browser.scroll("[role='treegrid'][aria-label='The plan beside the register']", 0);
        browser.dragOnto(plan + "[data-grip='S50']", Browser.cell("R17", "owner"));
        browser.read(Browser.cell("R17", "time"), "2–9 d on 6");
        browser.select("R17", "title");
        browser.see(plan + "[data-row='S50'].lit");
        browser.read(REGISTER, WORKED_OUT);
        browser.read(Browser.cell("R17", "days"), "+");
        browser.type(Keys.chord(Keys.CONTROL, "z"));
        browser.read(Browser.cell("R17", "time"), "2–9 d on 5");
    }

    /** Waits until no number moves rows any more, and brings one into view. */
    private void settle(String risk) {
        assertThat(browser.isGone("[role='toolbar'] [data-working]")).isTrue();
        browser.select(risk, "title");
    }

    @Test
    void whatCannotBeIsRefusedInItsCellAndTheOldValueStays() {
        openRegister();
        browser.select("R06", "chance");
        browser.type("130", Keys.ENTER);
        browser.read("[role='alert']", "between 0 and 100 %");
        browser.type(Keys.ESCAPE);
        browser.read(Browser.cell("R06", "chance"), "20 %");
        browser.select("R06", "time");
        browser.type("5d on nothing", Keys.ENTER);
        browser.read("[role='alert']", "There is no activity, branch, cost line or resource");
        browser.type(Keys.ESCAPE);
        browser.read(Browser.cell("R06", "time"), "4–25 d on C20");
    }

    @Test
    void aRiskIsScoredAndAnsweredAndMovesOnTheMatrix() {
        openRegister();
        browser.select("R11", "title");
        browser.type(Keys.chord(Keys.ALT, Keys.ENTER));
        browser.press("Plan a response");
        browser.enterLabelled("Chance after", "5");
        browser.read("aside [data-worth]", "The response costs");
        browser.chooseOption("[aria-label='Score'] select", "4");
        browser.press("Matrix");
        browser.read("[data-answer]", "beyond what the scheme tolerates");
        String before = place("R11");
        browser.click("[data-mark='R11']");
        browser.press("Open its sheet");
        browser.enterLabelled("Chance", "50");
        browser.read(Browser.cell("R11", "chance"), "50 %");
        browser.press("Matrix");
        assertThat(browser.readOtherThan("[data-answer]", "")).isNotBlank();
        assertThat(place("R11")).isNotEqualTo(before);
    }

    private String place(String risk) {
        return browser.attribute("[data-mark='" + risk + "'] path", "d");
    }

    @Test
    void aDecidedResponsePutsItsMoneyIntoThePlan() {
        openRegister();
        browser.goTo("Plan");
        browser.read(TOOLBAR, "for €4.40");
        browser.goTo("Risks");
        browser.select("R10", "title");
        browser.pressLabelled("Sheet of the risk");
        browser.read("aside [data-worth]", "The response costs €55");
        browser.press("Decide it");
        browser.read("aside [data-worth]", "€55,000 of it are in the plan");
        browser.goTo("Plan");
        browser.read(TOOLBAR, "for €4.46");
        browser.type(Keys.chord(Keys.CONTROL, "z"));
        browser.read(TOOLBAR, "for €4.40");
    }

    @Test
    void aRiskIsClosedForAReasonAndOpenedAgainByTakingThatBack() {
        openRegister();
        browser.select("R06", "title");
        browser.pressLabelled("Sheet of the risk");
        browser.chooseOption("[aria-label='State'] select", "closed");
        browser.press("Close it");
        browser.read("[aria-label='State'] [role='alert']", "Say why it is closed");
        browser.enter("[aria-label='State'] input", "bought at home");
        browser.press("Close it");
        browser.see("[data-row='R06'].soft");
        browser.read("[aria-label='History']", "closed, because bought at home");
        browser.select("R06", "code");
        browser.type(Keys.chord(Keys.CONTROL, "z"));
        assertThat(browser.isGone("[data-row='R06'].soft")).isTrue();
        browser.read("[aria-label='History']", "closed, because bought at home → open");
    }

    @Test
    void aRegisterComesInFromATableWithTwoFaultyRowsThatAreMended() throws IOException {
        openRegister();
        Path file = Files.writeString(folder.resolve("register.csv"), TWO_FAULTY_ROWS);
        browser.pressLabelled("More for risks");
        browser.pick("A register from a table…");
        browser.choose("[aria-label='File of risks']", file.toString());
        browser.read("[aria-label='Cells to be mended']", "these 2 cells");
        browser.enter("[data-bad='3:2'] input", "13 %");
        browser.read("[aria-label='Cells to be mended']", "this cell");
        browser.enter("[data-bad='4:3'] input", "3..6d on E94");
        browser.read("[role='dialog'] [role='status']", "2 new, 1 changed");
        browser.read("[data-read='R06']", "20 % → 35 %");
        browser.press("Take over");
        browser.read(Browser.cell("X1", "chance"), "13 %");
        browser.read(Browser.cell("X2", "time"), "3–6 d on E94");
        browser.read(REGISTER, WORKED_OUT);
        browser.read(Browser.cell("X1", "days"), "+");
    }

    @Test
    void lossesAndExposureAreRead() {
        openRegister();
        browser.press("Losses");
        String whole = browser.read("[data-testid='loss']", "The register is expected to cost");
        browser.read("table[aria-label='Losses by category']", "Together beside their sum");
        browser.chooseOption("[aria-label='Category']", "Site");
        browser.read("[data-testid='loss']", "Site is expected to cost");
        browser.chooseOption("[aria-label='Category']", "");
        browser.read("[data-testid='loss']", whole);
        browser.send("[role='slider'][aria-label='Reading line']", Keys.ARROW_LEFT);
        browser.read("[data-testid='loss']", "with 94 % chance");
        browser.press("Exposure");
        browser.read("[data-testid='exposure']", "At first the risks move the finish by +");
        browser.press("Money");
        browser.read("[data-testid='exposure']", "move the cost by +€");
    }

    @Test
    void theRiskCheckFindsWhatIsWrongAndMendsWhatIsSafe() {
        openRegister();
        browser.select("R07", "time");
        browser.type("8..20d on D40", Keys.ENTER);
        browser.read(TOOLBAR, "5 findings");
        browser.press("5 findings");
        browser.read("[data-check='wrongWay']", "an opportunity that only adds");
        browser.pressIn("[data-check='wrongWay']", "Mend");
        browser.isGone("[data-check='wrongWay']");
        assertThat(browser.attribute(Browser.cell("R07", "title") + " svg", "aria-label"))
                .isEqualTo("threat");
    }

    @Test
    void twoPeopleOnOneRegisterSeeEachOthersEdits() {
        openRegister();
        try (Browser other = another()) {
            other.open(browser.address());
            other.read(REGISTER, WORKED_OUT);
            browser.select("R06", "owner");
            browser.type("Ann", Keys.ENTER);
            other.read(Browser.cell("R06", "owner"), "Ann");
            other.select("R06", "chance");
            other.type("1 in 2", Keys.ENTER);
            browser.read(Browser.cell("R06", "chance"), "50 %");
            browser.type(Keys.chord(Keys.CONTROL, "z"));
            browser.read(Browser.cell("R06", "owner"), "Logistics lead");
            browser.read(Browser.cell("R06", "chance"), "50 %");
        }
    }

    @Test
    void aSchemeIsMadeAndAScoreIsMovedByKey() throws IOException {
        // Under a name of its own: another journey looks for the garden room by its name.
        String bare = Files.readString(DEMO.resolveSibling("garden-room.tychon.json"));
        bringIn(Files.writeString(folder.resolve("shed.tychon.json"), bare.replace("A garden room", "A shed")));
        browser.goTo("Risks");
        browser.select("R01", "title");
        browser.type("Bees nest in the roof", Keys.ENTER);
        browser.see(Browser.cell("R02", "title"));
        browser.press("Matrix");
        browser.press("Make a scheme");
        browser.press("Begin with the starter");
        browser.see("[aria-label='Levels of safety']");
        browser.enter("[aria-label='Another kind of effect']", "Quality");
        browser.see("[aria-label='Levels of quality']");
        browser.press("Keep the scheme");
        browser.see("[aria-label='Without a place here']");
        browser.press("Register");
        browser.select("R01", "title");
        browser.pressLabelled("Sheet of the risk");
        browser.chooseLabelled("Quality", "2");
        browser.read("[aria-label='Score']", "0, tolerated");
        browser.chooseOption("[aria-label='Score'] select", "3");
        browser.read("[aria-label='Score']", "6, tolerated");
        browser.press("Matrix");
        browser.press("Quality");
        String before = place("R01");
        browser.send("[data-mark='R01']", Keys.ARROW_UP);
        browser.readAll("[aria-label='Score and effect'] td", "9");
        assertThat(place("R01")).isNotEqualTo(before);
        browser.dragOnto("[data-mark='R01']", "[data-cell='2 5']");
        browser.readAll("[aria-label='Score and effect'] td", "10");
        browser.click("[data-cell='1 1']");
        browser.read("[aria-label='rare, level 1']", "Nothing lies there.");
    }

    @Test
    void rateAndSizeComeFromPastEventsAndWhatHasOccurredIsCertain() {
        openRegister();
        browser.select("R11", "title");
        browser.pressLabelled("Sheet of the risk");
        browser.press("It has happened before: take rate and size from what happened");
        browser.enterLabelled("Years looked at", "4");
        browser.fill(
                "[aria-label='From history'] textarea", "2023-02-01 6\n2024-03-05 9\n2024-11-20 14\n2025-06-12 20\n");
        browser.type(Keys.chord(Keys.CONTROL, Keys.ENTER));
        browser.read("[data-past]", "4 in 4 years: 1 a year, between 0.27 and 2.56");
        browser.press("Use this rate and size");
        browser.read(Browser.cell("R11", "chance"), "1 a year");

        browser.select("R06", "title");
        browser.chooseOption("[aria-label='State'] select", "occurred");
        browser.enterLabelled("Days it took", "7");
        browser.enterLabelled("Money it took", "12000");
        browser.press("It has occurred");
        browser.read("[aria-label='State']", "7 working days");
        browser.read("[aria-label='State']", "It was estimated at 20 %, 4..8..25d on C20");
    }
}
