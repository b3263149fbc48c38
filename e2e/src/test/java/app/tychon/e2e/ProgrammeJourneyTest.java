package app.tychon.e2e;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;

/** Two projects in one programme: made, tied, read; a loop through both is refused. */
class ProgrammeJourneyTest extends Journey {
    private static final Path EXAMPLES = Path.of("..", "examples");
    private static final String RIDGE = "Ridge within";
    private static final String CENTRE = "Centre within";
    private static final String PROGRAMME = "Two on the ridge";

    @TempDir
    private Path files;

    /** An example under a name that no other journey gives it. */
    private void bringIn(String example, String name, String called) throws IOException {
        String text = Files.readString(EXAMPLES.resolve(example + ".tychon.json"));
        bringIn(Files.writeString(files.resolve(example + ".tychon.json"), text.replace(name, called)));
    }

    @Test
    void aProgrammeIsMadeTwoProjectsAreTiedAndALoopIsRefused() throws IOException {
        bringIn("kestrel-ridge", "Kestrel Ridge Observatory", RIDGE);
        bringIn("visitor-centre", "Visitor centre below the ridge", CENTRE);
        openProjects();
        browser.press("New programme");
        browser.see("input[value='" + RIDGE + "']").click();
        browser.see("input[value='" + CENTRE + "']").click();
        browser.enterLabelled("Name", PROGRAMME);
        browser.read("[data-project='" + PROGRAMME + "'] + [data-within]", RIDGE);
        browser.read("[data-project='" + PROGRAMME + "']", "P80");

        // Fields are handed in by Enter: what is missing is told in its place, and nothing that was typed is lost.
        browser.press("Tie two projects");
        browser.enterLabelled("Before", "RW:E40");
        browser.read("[role='dialog'] [role='alert']", "there is no activity");
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

        // The programme is read like any project; its rows are edited where they are from, and follow.
        browser.goTo(PROGRAMME);
        browser.read("[role='note']", "what its rows say is edited in its projects");
        browser.select("RW:S10", "days");
        browser.type("9", Keys.ENTER);
        browser.read("[role='alert']", "edited in its projects");
        browser.type(Keys.ESCAPE);
        browser.goTo(RIDGE);
        browser.see("[role='treegrid'][aria-label='Plan']");
        browser.select("S10", "days");
        browser.type("31", Keys.ENTER);
        browser.read(Browser.cell("S10", "days"), "31");
        openProjects();
        browser.goTo(PROGRAMME);
        browser.read(Browser.cell("RW:S10", "days"), "31");
    }
}
