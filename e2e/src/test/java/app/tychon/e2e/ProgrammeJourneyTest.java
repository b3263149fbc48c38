package app.tychon.e2e;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;

/** Two projects in one programme: made, tied, read; a loop through both is refused. */
class ProgrammeJourneyTest extends Journey {
    private static final Path EXAMPLES = Path.of("..", "examples");
    private static final String RIDGE = "Ridge within";
    private static final String CENTRE = "Centre within";
    private static final String PROGRAMME = "Two on the ridge";
    private static final String SHED = "Shed within";

    @TempDir
    private Path files;

    /** An example under a name that no other journey gives it. */
    private void bringIn(String example, String name, String called) throws IOException {
        String text = Files.readString(EXAMPLES.resolve(example + ".tychon.json"));
        bringIn(Files.writeString(files.resolve(example + ".tychon.json"), text.replace(name, called)));
    }

    /** A project opens into its milestones, by key too; lines are put together and left out. */
    private void theListShowsWhatIsWanted() {
        String within = "[data-project='" + RIDGE + "'][data-within]";
        browser.send(within + " button[aria-label='Milestones of " + RIDGE + "']", Keys.ENTER);
        browser.read("[data-milestone='Site ready for building']", "P80");
        browser.see("[data-milestone='Site ready for building'] svg[aria-label*='P50']");
        Axe.look(browser, "the list with a programme and milestones");
        browser.chooseOption("[aria-label='Grouping']", "none");
        browser.isGone("[data-within]");
        browser.see("[data-project='" + RIDGE + "']");
        browser.chooseOption("[aria-label='Show']", "unlikely");
        browser.isGone("[data-project='" + RIDGE + "']");
        browser.chooseOption("[aria-label='Show']", "findings");
        browser.see("[data-project='" + RIDGE + "']");
        browser.chooseOption("[aria-label='Show']", "all");
        browser.chooseOption("[aria-label='Grouping']", "programme");
        browser.see("[data-within]");
    }

    /** One event for both, estimates that move together, a crew that both draw on. */
    private void inEveryOtherWay() {
        browser.press("Tie two projects");
        browser.press("One event for several");
        browser.enterLabelled("The risk whose chance holds", "RW:R05");
        Axe.look(browser, "tie with what is missing");
        browser.enterLabelled("The same event in other registers", "CW:W01");
        browser.isGone("[role='dialog']");
        browser.read("[data-tie='T2']", "one event, also as CW:W01");
        browser.read("[data-tie='T2'] [data-testid='worth']", "moves");

        browser.press("Tie two projects");
        browser.press("Estimates move together");
        browser.enterLabelled("Name", "One contractor");
        browser.enterLabelled("What moves together", "RW:E40, CW:V22");
        browser.read("[role='dialog'] [role='alert']", "Say a number here.");
        browser.enterLabelled("Rank correlation", "1.5");
        browser.read("[role='dialog'] [role='alert']", "1.5");
        browser.enterLabelled("Rank correlation", "0.6");
        browser.isGone("[role='dialog']");
        browser.read("[data-tie='T3']", "One contractor: RW:E40 Pier and ring-wall foundation");

        browser.press("Tie two projects");
        browser.press("A shared resource");
        browser.enterLabelled("Name", "Summit crew");
        browser.enterLabelled("What each project calls it", "RW:crew, CW:crew");
        browser.enterLabelled("How many there are for all", "2");
        browser.isGone("[role='dialog']");
        browser.read("[data-tie='T4']", "Summit crew, shared: RW:crew, CW:crew, at most 2");
        browser.read("[data-tie='T4'] [data-testid='worth']", "overbooked in");
        browser.pressLabelled("Untie T2");
        browser.isGone("[data-tie='T2']");
    }

    /** A third project comes in by a rate with its day, and goes again; one that is tied stays. */
    private void anotherIsTakenInAndOut() {
        browser.press("Take a project in");
        browser.chooseText("[role='dialog'] select[aria-label='Project']", SHED);
        browser.enterLabelled("Code", "SW");
        browser.read("[role='dialog'] [role='alert']", SHED + " counts in CHF: say what one is worth in EUR");
        browser.enterLabelled("One CHF is worth, in EUR", "1.05");
        Axe.look(browser, "take in with what is missing");
        browser.enterLabelled("On", "1 Nov 2026");
        browser.isGone("[role='dialog']");
        browser.read("[data-project='" + SHED + "'][data-within]", "P80");
        browser.press("Take CW out");
        browser.read("[data-testid='note']", "It is tied to others by T1");
        browser.press("Take SW out");
        browser.isGone("[data-project='" + SHED + "'][data-within]");
    }

    /** What was recorded is compared with: the project finishes later since, and is found by that. */
    private void whatDriftedIsFound() {
        openProjects();
        browser.read("[data-project='" + PROGRAMME + "']", "P80");
        browser.chooseOption("[aria-label='Show']", "later");
        browser.see("[data-project='" + RIDGE + "']");
        browser.isGone("[data-project='" + CENTRE + "']");
        browser.chooseOption("[aria-label='Show']", "all");
        browser.see("[data-project='" + CENTRE + "']");
    }

    @Test
    void aProgrammeIsMadeTwoProjectsAreTiedAndALoopIsRefused() throws IOException {
        bringIn("kestrel-ridge", "Kestrel Ridge Observatory", RIDGE);
        bringIn("visitor-centre", "Visitor centre below the ridge", CENTRE);
        bringIn("garden-room", "A garden room\", \"currency\": \"EUR", SHED + "\", \"currency\": \"CHF");
        openProjects();
        browser.press("New programme");
        browser.click("input[value='" + RIDGE + "']");
        Axe.look(browser, "new programme");
        browser.click("input[value='" + CENTRE + "']");
        browser.enterLabelled("Name", PROGRAMME);
        browser.read("[data-project='" + PROGRAMME + "'] + [data-within]", RIDGE);
        browser.read("[data-project='" + PROGRAMME + "']", "P80");
        theListShowsWhatIsWanted();

        // Fields are handed in by Enter: what is missing is told in its place, and nothing that was typed is lost.
        browser.press("Tie two projects");
        browser.enterLabelled("Before", "RW:E40");
        browser.read("[role='dialog'] [role='alert']", "which activity?");
        browser.enterLabelled("After", "CW:V22");
        browser.isGone("[role='dialog']");
        browser.read("[data-tie='T1']", "Pier and ring-wall foundation → CW:V22 Foundations and slab");
        browser.read("[data-tie='T1'] [data-testid='worth']", "moves " + CENTRE + " by +");

        browser.press("Tie two projects");
        browser.enterLabelled("Before", "CW:V28");
        browser.enterLabelled("After", "RW:E10");
        browser.read("[role='dialog'] [role='alert']", "RW:E40");
        browser.type(Keys.ESCAPE);
        browser.isGone("[role='dialog']");

        inEveryOtherWay();
        anotherIsTakenInAndOut();

        // The programme is read like any project; its rows are edited where they are from, and follow.
        browser.goTo(PROGRAMME);
        browser.read("[role='note']", "what its rows say is edited in its projects");
        // First by milestones and what ties its projects, which is drawn from one to the other.
        for (String closed : List.of("RW:M", "RW:D", "RW:C", "RW:I")) {
            browser.select(closed, "name");
            browser.type(Keys.ARROW_LEFT);
        }
        browser.see("[data-link='RW:E40 CW:V22 FS']");
        browser.isGone(Browser.cell("RW:S10", "days"));
        browser.pressLabelled("Show all rows");
        browser.select("RW:S10", "days");
        browser.type("9", Keys.ENTER);
        browser.read("[role='alert']", "edited in its projects");
        browser.type(Keys.ESCAPE);
        browser.goTo(RIDGE);
        browser.see("[role='treegrid'][aria-label='Plan']");
        browser.goTo("Odds");
        browser.press("Record a run");
        browser.read("[aria-label='Odds by'] option:checked", "Run 1");
        browser.goTo("Plan");
        browser.select("S10", "days");
        browser.type("31", Keys.ENTER);
        browser.read(Browser.cell("S10", "days"), "31");
        openProjects();
        browser.goTo(PROGRAMME);
        browser.see(Browser.cell("RW:E40", "days"));
        browser.type("/");
        browser.type("RW:S10");
        browser.read(Browser.cell("RW:S10", "days"), "31");
        whatDriftedIsFound();
    }
}
