package app.tychon.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** Leave the sponsor a decision: a page from a starter, kept true, taken out, read by a link, shown. */
class BriefJourneyTest extends Journey {
    private static final String BESIDE = "[aria-label='The brief']";
    private static final String NOTE = "[data-testid='note']";

    private void openBrief() {
        bringIn(DEMO);
        browser.goTo("Brief");
        browser.press("Record one");
        browser.read(block("answer"), "sure, promise");
    }

    private static String block(String id) {
        return "[data-block='" + id + "']";
    }

    private static String text(byte[] pdf) {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            return new PDFTextStripper().getText(document).replaceAll("\\s+", " ");
        } catch (IOException e) {
            throw new AssertionError("this is no PDF", e);
        }
    }

    @Test
    void fromAStarterABriefIsWrittenBroughtUpToDateAndReadBackAsPdf() {
        openBrief();
        browser.press("New brief");
        browser.pickStarting("For the funding body");
        browser.read(block("b1"), "brings that to");
        // By keys: chosen, opened, typed, kept.
        browser.send(block("b1"), Keys.ENTER);
        browser.see(block("b1") + " [aria-label='Heading']");
        browser.send(block("b1"), Keys.F2);
        browser.see("[aria-label='Words of the block']");
        browser.type(" We ask for both.", Keys.chord(Keys.CONTROL, Keys.ENTER));
        browser.isGone("[aria-label='Words of the block']");
        String before = browser.read(block("b1"), "We ask for both.");

        browser.goTo("Plan");
        browser.select("S40", "days");
        browser.type("60", Keys.ENTER);
        browser.read(Browser.cell("S40", "days"), "60");
        browser.goTo("Brief");
        browser.read(BESIDE, "The plan has been edited since.");
        browser.press("Record a new run");
        browser.read(BESIDE, "Run 2 is newer.");
        // Nothing has moved by itself.
        assertThat(browser.read(block("b1"), "We ask for both.")).isEqualTo(before);
        browser.press("Bring up to date");
        browser.read("[data-testid='update-says']", "would read otherwise. Those typed by hand are marked");
        browser.press("Take the numbers of run 2");
        browser.read("[data-testid='second-look']", "Look again:");
        browser.press("The words still hold");
        browser.isGone("[data-testid='second-look']");

        browser.goTo("PDF");
        assertThat(text(handedOver("For the funding body.pdf")))
                .contains("We ask for both.")
                .contains("What to hold beside the plan")
                .contains("run 2");
    }

    @Test
    void whatIsIssuedIsReadByALinkUntilThatIsWithdrawn() {
        openBrief();
        String here = browser.address();
        browser.press("Issue and links");
        browser.press("Issue this brief as it is");
        browser.press("Copy a link to read");
        String link = browser.attribute("[data-testid='reading-link']", "href");
        browser.open(link);
        browser.read("main", "Kestrel Ridge: the date and the budget");
        browser.see("main svg[aria-label^='How likely each finish is']");
        assertThat(browser.policyViolations()).isEmpty();
        browser.open(here);
        browser.press("Issue and links");
        browser.press("Withdraw it");
        browser.read(NOTE, "nobody reads by it any more");
        browser.open(link);
        browser.read("main", "can no longer be read here");
    }

    @Test
    void inFrontOfTheSponsorTheReadingLineAnswersAndAFutureIsPlayed() {
        openBrief();
        browser.press("Show it");
        browser.read("[data-testid='shown-place']", "1 of 8");
        browser.type(Keys.ARROW_RIGHT);
        String at80 = browser.read("[data-testid='read-finish']", "2028");
        browser.send("[aria-label='Reading line of the finish']", Keys.ARROW_RIGHT, Keys.ARROW_RIGHT);
        assertThat(browser.readOtherThan("[data-testid='read-finish']", at80)).isNotEqualTo(at80);
        browser.enter("[aria-label='Chance of the finish']", "80");
        assertThat(browser.read("[data-testid='read-finish']", at80)).isEqualTo(at80);
        browser.press("Hearing and test");
        browser.read("[role='dialog']", "instead of " + at80);
        browser.type(Keys.ARROW_RIGHT);
        browser.press("Play a future");
        browser.read("[data-testid='played']", "of 10,000 ends on");
        browser.press("Close (Esc)");
        browser.isGone("[data-testid='shown-place']");
    }

    @Test
    void blocksAreAddedSetTypedInMovedAndTakenOut() {
        openBrief();
        browser.press("Add a block");
        browser.pickStarting("What to hold");
        browser.see(block("b1") + " table");
        browser.chooseOption(block("b1") + " [aria-label='How sure']", "95");
        browser.read(block("b1"), "95\u00a0% sure, hold");
        browser.send(block("b1"), Keys.chord(Keys.ALT, Keys.ARROW_UP));
        browser.read(BESIDE, "What to hold beside the plan\nHow it was worked out");
        browser.send(block("b1"), Keys.DELETE);
        browser.isGone(block("b1"));
        browser.read(NOTE, "Ctrl+Z brings it back");
        // A number is put in where the words end, and a decision's cost is refused and typed anew.
        browser.send(block("sure"), Keys.F2);
        browser.see("[aria-label='Words of the block']");
        browser.chooseOption("[aria-label='Put a number in']", "iterations");
        browser.press("Keep these words");
        browser.read(block("sure"), "10,000");
        browser.click(block("decide"));
        browser.enter(block("decide") + " [aria-label='Cost']", "plenty");
        browser.read(block("decide") + " [role='alert']", "“plenty” is no amount");
        browser.enter(block("decide") + " [aria-label='Cost']", "20k");
        browser.read(block("decide"), "€58k in all");
        browser.enter("[aria-label='At the foot of every page']", "For the board");
        browser.read("article", "For the board");
        browser.chooseOption("[aria-label='Dates and money']", "en-US");
        browser.read(block("answer"), "July 10, 2028");
    }
}
