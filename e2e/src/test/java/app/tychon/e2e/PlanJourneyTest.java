package app.tychon.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import app.tychon.core.RandomPlans;
import app.tychon.core.model.Plan;
import app.tychon.core.schedule.Network;
import app.tychon.core.schedule.Scheduler;
import app.tychon.exchange.ProjectFileReader;
import app.tychon.exchange.ProjectFileWriter;
import app.tychon.exchange.schedule.ScheduleSheet;
import app.tychon.exchange.table.SheetFiles;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.openqa.selenium.Keys;

class PlanJourneyTest extends Journey {
    private static final String GRID = "[role='treegrid']";
    private static final String NOTE = "[data-testid='note']";

    @Test
    void editsAreTakenBackAndDoneAgainAcrossEverything() {
        bringIn(DEMO);
        browser.select("S10", "days");
        browser.type("22", Keys.ENTER);
        browser.read("[data-row='S10']", "25 Mar 2027");
        browser.select("S10", "name");
        browser.type(Keys.INSERT);
        browser.read("[data-row='S15']", "New activity");
        browser.type("Second survey", Keys.ENTER);
        browser.read("[data-row='S15']", "Second survey");
        browser.select("S50", "name");
        browser.type(Keys.chord(Keys.CONTROL, Keys.DELETE));
        browser.isGone("[data-row='S50']");
        browser.select("S60", "name");
        browser.type(Keys.chord(Keys.ALT, Keys.ARROW_UP));
        browser.read("#cell-S60-name[aria-selected='true']", "Power line");

        for (int i = 0; i < 5; i++) {
            browser.type(Keys.chord(Keys.CONTROL, "z"));
        }
        browser.read(NOTE, "Taken back: Duration of S10");
        browser.isGone("[data-row='S15']");
        browser.read(Browser.cell("S10", "days"), "12");
        browser.read("[data-row='S50']", "Culverts");
        browser.read("main", "Planned to finish on 10 Jul 2028");
        for (int i = 0; i < 5; i++) {
            browser.type(Keys.chord(Keys.CONTROL, "y"));
        }
        browser.read("[data-row='S15']", "Second survey");
        browser.isGone("[data-row='S50']");
        browser.click("[aria-label='History of edits']");
        browser.read("[data-scope='popover'][data-part='content']", "Done again: S60 moved");
    }

    @Test
    void twoHundredRowsArePastedAndOneBadCellRefusesThemAll() {
        openProjects();
        browser.press("New project");
        browser.pick("Blank…");
        browser.enter("input[aria-label='Name']", "Harbour light");
        browser.see(GRID);
        browser.select("W1", "code");
        String rows = IntStream.rangeClosed(1, 200)
                .mapToObj(i ->
                        "P" + (1000 + i) + "\tStep " + i + "\t" + (i % 7 + 1) + "\t" + (i == 1 ? "" : "P" + (999 + i)))
                .collect(Collectors.joining("\n"));
        browser.paste(rows.replace("P1049\n", "P1049X\n"));
        browser.read("[role='alert']", "\"P1049X\" is no predecessor");
        browser.press("Understood");
        assertThat(browser.count("[data-row^='P1']")).isZero();

        browser.paste(rows);
        browser.read(NOTE, "200 rows are pasted, 200 of them new");
        browser.read("[data-row='P1002']", "Step 2");
        assertThat(browser.get("/api/projects" + project() + "/plan")).contains("\"P1200\"");
        browser.type(Keys.chord(Keys.CONTROL, "z"));
        browser.isGone("[data-row='P1002']");
    }

    @Test
    void aFindingOfThePlanCheckIsMendedAndAnotherAccepted() {
        bringIn(DEMO);
        browser.select("S30", "name");
        browser.type(Keys.INSERT);
        browser.read("[data-row='S35']", "New activity");
        browser.read("main", "13 findings in the plan check");
        browser.goTo("13 findings in the plan check");
        browser.read("[data-check='openFinish']", "S35 nothing comes after it");
        browser.see("[data-check='openFinish'] [data-finding='S35']");
        browser.pressIn("[data-check='openFinish']", "Mend");
        browser.isGone("[data-check='openFinish']");
        browser.pressIn("[data-check='openStart']", "Mend");
        browser.isGone("[data-check='openStart']");
        browser.pressIn("[data-check='lead']", "It is no fault because…");
        browser.type("Agreed with the contractor", Keys.ENTER);
        browser.read("[data-check='lead']", "accepted because “Agreed with the contractor”");
        browser.pressIn("[data-check='overlong']", "Show the rows");
        browser.isGone("[data-row='S10']");
        browser.click("[aria-label='Show all rows']");
        browser.read("[data-row='S10']", "Survey");
    }

    @Test
    void aMonthsUpdateIsShownRowByRowAndTakenOverAsOneEdit() throws IOException {
        bringIn(DEMO);
        Plan plan;
        try (InputStream in = Files.newInputStream(DEMO)) {
            plan = ProjectFileReader.read(in);
        }
        ByteArrayOutputStream table = new ByteArrayOutputStream();
        SheetFiles.csv(ScheduleSheet.of(plan, Scheduler.schedule(Network.of(plan))), table);
        String newer = table.toString(StandardCharsets.UTF_8)
                .lines()
                .filter(line -> !line.startsWith("H10,"))
                .map(line -> line.startsWith("S20,") ? line.replace("80d", "95d") : line)
                .map(line -> line.startsWith("S10,")
                        ? line.replaceAll(",,,,,,([^,]*),([^,]*),$", ",2027-03-01,2027-03-12,,,,$1,$2,")
                        : line)
                .collect(Collectors.joining("\n"));
        Path file = folder.resolve("march.csv");
        Files.writeString(file, newer + "\nI95,2,Snag list,task,4d,I80,,,,,,,,,,\n");
        browser.click("[aria-label='More for the plan']");
        browser.pick("Update from a newer file…");
        browser.choose("[aria-label='Newer schedule']", file.toString());
        browser.read("[data-testid='update']", "1 new, 2 changed, 1 gone.");
        browser.read("[data-update='S20']", "duration: 80d → 95d");
        browser.read("[data-update='H10']", "With it goes cost line K24");
        browser.click("[aria-label='Take H10 over']");
        browser.press("Take 3 rows over");
        browser.arrive("/plan");
        browser.read("[data-row='S20']", "95");
        browser.read(NOTE, "The plan is updated");
        assertThat(browser.get("/api/projects" + project() + "/plan")).contains("\"I95\"", "\"H10\"");
        browser.send(GRID, Keys.chord(Keys.CONTROL, "z"));
        browser.read(Browser.cell("S20", "days"), "80");
    }

    @Test
    void aSpreadsheetComesInWithItsDatesComparedAndGoesOut() throws IOException {
        Plan plan = RandomPlans.oneCalendar(3, 40);
        Path file = folder.resolve("ridge.xlsx");
        try (OutputStream out = Files.newOutputStream(file)) {
            SheetFiles.xlsx(ScheduleSheet.of(plan, Scheduler.schedule(Network.of(plan))), out);
        }
        choose(file);
        browser.read("main", "40 activities");
        browser.read("[aria-label='Dates compared with the file']", "come out as in the table");
        browser.press("Show where and why");
        browser.read("[aria-label='Dates compared with the file']", "Why, as far as we can tell");
        browser.press("Take it over");
        browser.see(GRID);
        assertThat(browser.get("/api/projects" + project() + "/schedule.csv")).contains("Predecessors");

        Path bad = folder.resolve("broken.xlsx");
        Files.write(bad, Arrays.copyOf(Files.readAllBytes(file), 2000));
        choose(bad);
        browser.read("[role='alert']", "damaged or cut short");
    }

    @Test
    void aCalendarIsChangedWithHolidaysAndItsEffectSeenFirst() throws IOException {
        bringIn(DEMO);
        Path holidays = folder.resolve("days.ics");
        Files.writeString(
                holidays,
                "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//x//y//EN\r\nBEGIN:VEVENT\r\nUID:1\r\n"
                        + "DTSTAMP:20260101T000000Z\r\nDTSTART;VALUE=DATE:20270405\r\nDTEND;VALUE=DATE:20270501\r\n"
                        + "SUMMARY:Spring closure\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n");
        browser.click("[aria-label='More for the plan']");
        browser.pick("Calendars…");
        browser.read("[data-testid='calendar-look']", "The plan finishes on 10 Jul 2028");
        browser.choose("[aria-label='iCalendar file of holidays']", holidays.toString());
        browser.see("[data-row^='2027-04-05']");
        browser.select("new 0", "from");
        browser.type("24 Dec 2027", Keys.ENTER);
        browser.read("[data-row='2027-12-24 2027-12-24 Closed']", "24 Dec 2027");
        browser.select("new 0", "from");
        browser.paste("2027-09-06\t2027-09-07\tRoad race\n2027-10-04\t\tFair\t8-12\n");
        browser.read("[data-row='2027-10-04 2027-10-04 Fair']", "08:00–12:00");
        browser.select("2027-09-06 2027-09-07 Road race", "name");
        browser.type(Keys.chord(Keys.CONTROL, Keys.DELETE));
        browser.isGone("[data-row='2027-09-06 2027-09-07 Road race']");
        browser.see("[data-day='2027-04-06'][data-state='closed']");
        String effect = browser.read("[data-testid='calendar-look']", "instead of 10 Jul 2028");
        browser.press("Keep");
        browser.read("[data-testid='calendar-look']", effect.replaceAll(".*would finish on (.*) instead.*", "$1"));
        browser.type(Keys.ESCAPE);
        browser.click("[aria-label='Undo']");
        browser.read("main", "Planned to finish on 10 Jul 2028");
    }

    @Test
    void theSheetOfARowChangesItsLogicAndProgress() {
        bringIn(DEMO);
        browser.click("[aria-label='More for the plan']");
        browser.pick("Settings of the project…");
        browser.enterLabelled("Data date", "8 Mar 2027");
        browser.enterLabelled("Budget", "lots");
        browser.read("aside [role='alert']", "An amount is needed");
        browser.select("S10", "name");
        browser.click("[aria-label='Close settings of the project']");
        browser.select("S10", "name");
        browser.type(Keys.chord(Keys.ALT, Keys.ENTER));
        browser.read("[aria-label='Sheet']", "on the longest path");
        browser.enterLabelled("Started", "1 Mar 2027");
        browser.enterLabelled("Remaining, days", "20");
        browser.read("[data-row='S10']", "30 Mar 2027");
        browser.enter("[aria-label='Add a successor']", "S20");
        browser.see("[aria-label='Comes before'] [data-link='S20']");
        browser.enter("[aria-label='Add a predecessor']", "S40");
        browser.read("[aria-label='Comes after'] [role='alert']", "The logic runs in a loop: ");
        browser.goTo("Ranges");
        browser.read("[aria-label='Sheet']", "Survey the ridge");
    }

    @Test
    void aProjectIsPutAwayDeletedAndBroughtBack() {
        openProjects();
        browser.press("New project");
        browser.pickStarting("From the example Garden room");
        browser.see(GRID);
        openProjects();
        browser.click("[aria-label='More for A garden room']");
        browser.pick("Delete");
        browser.read(NOTE, "for 30 days it can be brought back");
        browser.isGone("[data-project='A garden room']");
        browser.press("Take back");
        browser.see("[data-project='A garden room']");
        browser.click("[aria-label='More for A garden room']");
        browser.pick("Put away");
        browser.isGone("[data-project='A garden room']");
        browser.press("Put away");
        browser.see("[data-project='A garden room']");
    }

    @Test
    void tenThousandActivitiesAreOpenedScrolledEditedAndSimulated() throws IOException {
        Path large = folder.resolve("large.tychon.json");
        try (OutputStream out = Files.newOutputStream(large)) {
            ProjectFileWriter.write(RandomPlans.oneCalendar(2, 10_000), out);
        }
        bringIn(large);
        browser.see("[data-row='W']");
        String row = browser.attributes(GRID + " [data-row]", "data-row").stream()
                .filter(id -> id.startsWith("A"))
                .findFirst()
                .orElseThrow();
        String before = browser.text("[data-row='" + row + "']");
        browser.select(row, "days");
        browser.type("77", Keys.ENTER);
        browser.read(Browser.cell(row, "days"), "77");
        assertThat(browser.text("[data-row='" + row + "']")).isNotEqualTo(before);
        browser.click("[aria-label='Find rows']");
        browser.type("A9999");
        browser.see("[data-row='A9999']");
        assertThat(browser.count(GRID + " [data-row]")).isLessThan(5);
        browser.chooseText("select[aria-label='Show rows']", "On the longest path");
        browser.click("[aria-label='Show all rows']");
        browser.see("[data-row='" + row + "']");
        browser.scroll(GRID, 60_000);
        browser.isGone("[data-row='W']");
        browser.send(GRID, Keys.chord(Keys.CONTROL, Keys.HOME));
        browser.read("[data-row='W']", "All work");
        assertThat(browser.count(GRID + " [data-row]"))
                .as("rows in the page at once")
                .isLessThan(120);
        browser.goTo("Odds");
        browser.read("[data-testid='reading']", "Four futures in five finish by");
    }
}
