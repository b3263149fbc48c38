package app.tychon.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import app.tychon.exchange.table.Table;
import app.tychon.exchange.table.Tables;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** Money on the plan: entered, hired, moved by time, laid over time, funded, and brought in. */
class CostsJourneyTest extends Journey {
    private static final String COSTS = "[role='treegrid'][aria-label='Costs']";
    private static final String SENTENCE = "[data-testid='cost-sentence']";
    private static final String HEADLINE = "[data-testid='headline']";

    private void openCosts() {
        bringIn(DEMO);
        browser.goTo("Costs");
        browser.read(SENTENCE, "planned; P80");
    }

    @Test
    void aHireShowsItsDayRateAndMoneyMovesWhenTheWorkGetsLonger() {
        openCosts();
        browser.select("E70", "name");
        browser.press("Hire");
        browser.enterLabelled("What is hired", "Hoist");
        browser.enterLabelled("To the finish of", "E90");
        browser.enterLabelled("Due anyway", "4k");
        browser.enterLabelled("A working day", "250");
        browser.press("Hire it");
        browser.read("[data-testid='note']", "Hoist is hired from E70 to E90");
        browser.read(Browser.cell("K90", "name"), "Hoist");
        browser.read(Browser.cell("K90", "perDay"), "250");
        String planned = browser.read(Browser.cell("K90", "planned"), "k");
        browser.goTo("Plan");
        browser.select("E90", "days");
        browser.type("30", Keys.ENTER);
        browser.read(Browser.cell("E90", "days"), "30");
        browser.goTo("Costs");
        browser.readOtherThan(Browser.cell("K90", "planned"), planned);
        browser.read(Browser.cell("K90", "perDay"), "250");
    }

    @Test
    void linesAreTypedByKeysAndWhatCannotBeIsRefusedInItsCell() {
        openCosts();
        browser.select("E40", "name");
        browser.type(Keys.INSERT);
        browser.see(Browser.cell("K90", "name") + ".active");
        browser.type("Lightning mast", Keys.TAB);
        browser.see(Browser.cell("K90", "planned") + ".active");
        browser.type("12.5k", Keys.TAB);
        browser.read(Browser.cell("K90", "planned"), "12.5k");
        browser.see(Browser.cell("K90", "due") + ".active");
        browser.type("120", Keys.ENTER);
        browser.read(REFUSAL, "A share lies between 0 and 1");
        browser.type(Keys.ESCAPE);
        browser.select("K90", "paid");
        browser.type("30 % on 2027-05-01; 60 % at E40", Keys.ENTER);
        browser.read(REFUSAL, "these are 90 %");
        browser.type(Keys.ESCAPE);
        browser.select("K90", "planned");
        browser.type("$5k", Keys.ENTER);
        browser.read(REFUSAL, "amounts of this project are in EUR");
        browser.type(Keys.ESCAPE);
        browser.select("E60", "crew");
        browser.type("crew 0.5", Keys.ENTER);
        browser.read(Browser.cell("E60/crew", "name"), "Summit crew");
        browser.read(Browser.cell("E60", "planned"), "k");
        browser.press("By category");
        browser.read("[data-row='/Optics']", "910k");
        browser.scroll("[aria-label='Costs by category']", 5000);
        browser.read("[data-row='/'] [data-column='p50']", "k");
        browser.press("Resources");
        browser.read("[data-testid='load']", "Summit crew");
        browser.select("crew", "rate");
        browser.type("-5", Keys.ENTER);
        browser.read("[role='grid'] [role='alert']", "A rate cannot be below zero");
    }

    @Test
    void fundingIsTypedItsChanceReadAndTheCashFlowTakenOutAsASpreadsheet() throws Exception {
        openCosts();
        browser.press("Cash flow");
        browser.read(HEADLINE, "Money runs ahead of the funding in");
        browser.enter("[aria-label='Date of the step']", "1 Nov 2027");
        browser.enter("[aria-label='Amount of the step']", "600k");
        browser.see("[data-step='2027-11-01']");
        String before = browser.read(HEADLINE, "of 100 futures");
        browser.enter("[aria-label='Date of the step']", "1 Jun 2027");
        browser.enter("[aria-label='Amount of the step']", "-5");
        browser.read("[aria-label='Funding'] [role='alert']", "Each step adds");
        browser.enter("[aria-label='Amount of the step']", "3m");
        browser.readOtherThan(HEADLINE, before);
        browser.read(HEADLINE, "The funding suffices at all times");
        browser.send("[role='slider'][aria-label='Funding, step 1']", Keys.ARROW_UP);
        browser.read("[data-step='2027-03-01']", "€3.96m");
        browser.drag("[role='slider'][aria-label='Funding, step 1']", 60);
        browser.isGone("[data-step='2027-03-01']");
        browser.pressLabelled("Take out");
        browser.pick("Spreadsheet (XLSX)");
        Path file = browser.downloads().resolve("Kestrel Ridge Observatory, cash flow.xlsx");
        await().atMost(Duration.ofSeconds(60)).until(() -> Files.exists(file));
        try (InputStream in = Files.newInputStream(file)) {
            Table table = Tables.read(in, titles -> titles.contains("Period") ? 9 : 0);
            assertThat(table.header()).contains("Planned to date", "P80 to date", "Chance to stay within, %");
            List<Table.Row> rows = table.rows();
            int toDate = table.header().indexOf("Planned to date");
            assertThat(Double.parseDouble(rows.get(rows.size() - 1).cell(toDate)))
                    .isEqualTo(4_403_579);
        }
        browser.press("Why it costs");
        browser.read(HEADLINE, "Delay alone asks for another €");
        browser.read("[data-testid='contingency']", "if nothing took longer or came later than planned");
        browser.press("By category");
        browser.see("[data-group='Optics']");
        browser.goTo("Date and budget together");
        browser.read("[data-testid='joint']", "are kept together with a chance of");
    }

    @Test
    void pricesThatRiseAreEnteredByCategoryAndACrewsLoadIsSeenAgainstItsLimit() {
        openCosts();
        String before = browser.read(SENTENCE, "planned; P80");
        browser.pressLabelled("More for costs");
        browser.pick("How prices rise…");
        browser.fill("[aria-label='Category 1']", "Optics");
        browser.fill("[aria-label='Percent a year 1']", "four");
        browser.press("Keep it");
        browser.read("[role='dialog'] [role='alert']", "“four” is no yearly rate of Optics");
        browser.fill("[aria-label='Percent a year 1']", "7..4..2");
        browser.press("Keep it");
        browser.read("[role='dialog'] [role='alert']", "“7..4..2” of Optics does not rise");
        browser.fill("[aria-label='Percent a year 1']", "2..4..7");
        browser.press("Keep it");
        browser.readOtherThan(SENTENCE, before);
        browser.press("Resources");
        browser.read("[data-testid='load']", "Summit crew");
        browser.select("crew", "limit");
        browser.type("0.1", Keys.ENTER);
        browser.read(Browser.cell("crew", "limit"), "0.1");
        browser.select("crew", "rate");
        browser.read("[data-testid='load']", "More than the 0.1 there are");
        browser.type("95; 102 from 2028-01-01", Keys.ENTER);
        browser.read(Browser.cell("crew", "rate"), "102 from");
    }

    @Test
    void costLinesComeInFromATableWithTwoFaultyRowsThatAreMended() throws Exception {
        openCosts();
        Path table = Files.writeString(
                folder.resolve("lines.csv"),
                """
                Code;Name;On;Amount
                K10;Road works contract;S40;430.000,00
                ;Weather station;Z99;8k
                ;Import duty;E80;$5k
                """);
        browser.pressLabelled("More for costs");
        browser.pick("Cost lines, resources or funding from a file…");
        browser.choose("[aria-label='File of rows of money']", table.toString());
        browser.read("[aria-label='Cells to be mended']", "these 2 cells");
        browser.enter("[data-bad='3:2'] input", "E96");
        browser.read("[aria-label='Cells to be mended']", "this cell is");
        browser.enter("[data-bad='4:3'] input", "5k");
        browser.read("[role='dialog']", "2 new, 1 changed");
        browser.press("Take over");
        browser.read(Browser.cell("K10", "planned"), "430k");
        browser.read(SENTENCE, "€4.4");
    }
}
