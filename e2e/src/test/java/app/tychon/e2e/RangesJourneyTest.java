package app.tychon.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

/** How sure the estimates are, said from the top down and one by one. */
class RangesJourneyTest extends Journey {
    private static final String PAST_WORK = "planned\tactual\n10\t12\n8\t8\n20\t31\n5\t5\n12\t13\n9\t14\n30\t36\n7\t7\n"
            + "15\t21\n11\t11\n6\t9\n14\t15\n18\t20\n10\t17\n25\t27\n4\t4.5\n";
    private static final String LIVE = "footer [role='status']";
    private static final String FINISH = "[data-heading='finish']";

    private void openRanges() {
        bringIn(DEMO);
        browser.goTo("Ranges");
        browser.see("[role='treegrid'][aria-label='Ranges']");
    }

    private static String grade(String row) {
        return Browser.cell(row, "grade");
    }

    @Test
    void aGradeOnABranchCascadesAndOneActivityOverridesIt() {
        openRanges();
        for (String row : new String[] {"S10", "S30"}) {
            browser.select(row, "low");
            browser.type(Keys.DELETE);
            browser.read(Browser.cell(row, "shape"), "Certain");
        }
        browser.read("main", "52 of 54 activities have a range");
        browser.select("S", "grade");
        browser.type("+");
        browser.read(grade("S"), "Firm");
        browser.read(grade("S10"), "↑ Firm");
        browser.type("+");
        browser.read(grade("S10"), "↑ Usual");
        browser.read(Browser.cell("S10", "high"), "16.2");

        browser.select("S10", "grade");
        browser.type("+");
        browser.read(grade("S10"), "Open");
        browser.read(Browser.cell("S10", "high"), "22.8");
        browser.read(grade("S30"), "↑ Usual");
        browser.type(Keys.DELETE);
        browser.read(grade("S10"), "↑ Usual");
        browser.press("Percent");
        browser.read(Browser.cell("S10", "high"), "135");
        browser.select("S10", "high");
        browser.type("200", Keys.ENTER);
        browser.read(grade("S10"), "own");
        browser.press("Days");
        browser.read(Browser.cell("S10", "high"), "24");
    }

    @Test
    void aDraggedPointMovesTheMeanAndShowsWhatItDoesToTheFinish() {
        openRanges();
        browser.select("S20", "shape");
        browser.click("[aria-label='Sheet of the row']");
        String before = browser.read("[data-mean]", "85");
        browser.drag("[data-handle='high']", 60);
        String after = browser.readOtherThan("[data-mean]", before);
        assertThat(Double.parseDouble(after)).isGreaterThan(Double.parseDouble(before));
        browser.read("[data-effect]", "later");
        browser.press("Keep this range");
        browser.isGone("[data-effect]");
        browser.select("S30", "name");
        browser.select("S20", "name");
        assertThat(browser.read("[data-mean]", after)).isEqualTo(after);
        browser.enter("input[name='low']", "500");
        browser.read("aside [role='alert']", "Low 500 is above likely 80");
    }

    @Test
    void pastWorkIsFittedGivenToRowsAndStaysTheirReason() {
        openRanges();
        browser.select("S50", "name");
        browser.type(Keys.chord(Keys.SHIFT, Keys.ARROW_DOWN));
        browser.press("Fit to past work…");
        browser.click("[aria-label='Past work']");
        browser.type("5 5 5");
        browser.press("Fit shapes to it");
        browser.read("[role='dialog'] [role='alert']", "Nothing can be fitted");
        browser.fill("[aria-label='Past work']", PAST_WORK);
        browser.press("Fit shapes to it");
        browser.read("[role='dialog']", "16 observations, from 100 % of planned to 170 % of planned");
        browser.read("[role='dialog']", "The best of them");
        browser.fill("[aria-label='What this past work is called']", "Roads since 2019");
        browser.press("Give it to 2 selected rows");
        browser.isGone("[role='dialog']");
        browser.select("S50", "name");
        browser.click("[aria-label='Sheet of the row']");
        browser.read("aside", "It was fitted to “Roads since 2019”, 16 observations.");
        browser.press("Past work");
        browser.read("[role='dialog']", "The reason of S50 Culverts and road surface");
    }

    @Test
    void anImpossibleMatrixIsExplainedAndTheNearestOneTaken() {
        openRanges();
        browser.select("E30", "name");
        browser.press("Correlation");
        browser.press("New group");
        for (String member : new String[] {"S10", "S30", "S40"}) {
            browser.pressLabelled("Add a member");
            browser.see("[aria-label='Look for an activity, cost line or branch']");
            browser.type(member);
            browser.see("[data-item='" + member + "'][data-highlighted]");
            browser.type(Keys.ENTER);
            browser.see("[aria-label='Take " + member + " out']");
            browser.isGone("[aria-label='Who moves together with them']");
        }
        browser.press("Pair by pair");
        browser.select("S30", "S10");
        browser.type("0.9", Keys.ENTER, "0,9", Keys.TAB, "-0.9", Keys.ENTER);
        browser.read(Browser.cell("S40", "S30"), "-0.9");
        browser.press("Keep");
        browser.read("[role='dialog'] [role='alert']", "These coefficients cannot hold together");
        browser.press("Take the nearest");
        String moved = browser.readOtherThan(Browser.cell("S40", "S30"), "-0.9");
        assertThat(Double.parseDouble(moved)).isGreaterThan(-0.9);
        browser.press("Keep");
        browser.readAll("[role='dialog'] button", "New group\n3 members, by pairs");
        browser.select("S40", "S30");
        browser.type("7", Keys.ENTER);
        browser.read("[role='dialog'] [role='alert']", "a number from −1 to 1, not “7”");
    }

    @Test
    void aTableOfGradesIsChangedAndExtremesAreAskedBeforeTheLikelyValue() {
        openRanges();
        browser.press("Grades");
        browser.select("firm", "high");
        browser.enter("[role='group'][aria-label='Firm'] input[name='high']", "soon");
        browser.read("[role='dialog'] [role='alert']", "A number is needed, such as 12.5, not “soon”");
        browser.enter("[role='group'][aria-label='Firm'] input[name='high']", "125");
        browser.press("New grade");
        browser.click("[data-row='grade4'] [data-column='name']");
        browser.type("Wild", Keys.TAB, "For what was never done before", Keys.ENTER);
        browser.read("[data-row='grade4'] [data-column='note']", "For what was never done before");
        browser.press("Keep the table");
        browser.isGone("[role='dialog']");
        browser.select("S10", "grade");
        browser.type("-");
        browser.read(grade("S10"), "Wild");

        browser.click("[aria-label='Sheet of the row']");
        browser.read("aside", "Grade Wild, its own.");
        browser.press("Ask me in order");
        browser.enter("input[name='low']", "9");
        browser.enter("input[name='high']", "8");
        browser.read("aside [role='alert']", "The worst must lie above the best, 9");
        browser.enter("input[name='high']", "20");
        browser.enter("input[name='likely']", "11");
        browser.press("Keep this range");
        browser.read("aside", "A range of its own.");
        browser.read(grade("S10"), "own");
    }

    @Test
    void rangesOfAFileAreSeenBeforeTheyAreTakenOver() throws IOException {
        openRanges();
        Path bad = Files.writeString(folder.resolve("bad.csv"), "Id,Low,Likely,High\nS10,9,8,7\n");
        Path good = Files.writeString(folder.resolve("good.csv"), "Id,Low,Likely,High\nS10,90 %,110 %,250 %\n");
        browser.click("[aria-label='More for ranges']");
        browser.pick("Ranges from a file…");
        browser.choose("[aria-label='File of ranges']", bad.toString());
        browser.read("[role='dialog'] [role='alert']", "Row 2, low: low 9 is above likely 8");
        browser.choose("[aria-label='File of ranges']", good.toString());
        browser.read("[role='dialog']", "triangular 90 % to 110 % to 250 %");
        browser.press("Take over");
        browser.isGone("[role='dialog']");
        browser.read(Browser.cell("S10", "high"), "30");
    }

    @Test
    void theHorizonMovesWithAnEditAndTellsHowFarFromThePin() {
        bringIn(DEMO);
        browser.read(LIVE, "Live, 5,000 futures");
        browser.click("[aria-label='Pin these odds']");
        browser.read(FINISH, "As pinned");
        String before = browser.read(FINISH, "P80");
        browser.goTo("Ranges");
        browser.select("S20", "high");
        browser.type("240", Keys.ENTER);
        browser.read(FINISH, "later than pinned");
        browser.read(LIVE, "Live, 5,000 futures");
        assertThat(p80(browser.read(FINISH, "P80"))).isNotEqualTo(p80(before));
        browser.goTo("Plan");
        browser.read(FINISH, "later than pinned");
        browser.type(Keys.chord(Keys.CONTROL, "z"));
        browser.read(FINISH, "As pinned");
        browser.click("[aria-label='Fold the horizon']");
        browser.isGone(FINISH);
        browser.read("footer", "Finish P80");
    }

    private static String p80(String text) {
        Matcher date = Pattern.compile("\\d+ \\w+ \\d{4}").matcher(text);
        assertThat(date.find()).as(text).isTrue();
        return date.group();
    }
}
