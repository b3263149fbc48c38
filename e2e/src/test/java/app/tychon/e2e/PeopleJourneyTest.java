package app.tychon.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.eatthepath.otp.TimeBasedOneTimePasswordGenerator;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.time.Instant;
import javax.crypto.spec.SecretKeySpec;
import org.apache.commons.codec.binary.Base32;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.Keys;

/** Several people on one server, each in a browser of their own. */
@ExtendWith(Lanes.class)
class PeopleJourneyTest {
    private static final String NORA = "nora@ridge.example";
    private static final String TOMAS = "tomas@ridge.example";
    private static final String MIRA = "mira@ridge.example";
    private static final String PROJECT = "kestrel-ridge";
    private static final String CENTRE = "Visitor centre below the ridge";
    private static final String NOTE = "[data-testid='note']";

    private static PeopledServer server;
    private static Browser one;
    private static Browser other;

    @BeforeAll
    static void peopleComeIn(@TempDir Path folder) {
        server = PeopledServer.start(folder, Journey.DEMO);
        server.add(NORA, "Nora Quill");
        server.add(TOMAS, "Tomas Reed");
        server.add(MIRA, "Mira Holt");
        server.give(TOMAS, "risk-owner", PROJECT);
        server.give(MIRA, "editor", PROJECT);
        one = new Browser();
        other = new Browser();
    }

    @AfterAll
    static void peopleGo() {
        one.close();
        other.close();
        server.close();
    }

    @Test
    void twoPeopleEditOnePlanSeeEachOtherAndChooseWhereTheyClash() {
        server.signIn(one, NORA, "Plan");
        server.signIn(other, MIRA, "Plan");
        one.see("[data-here='Mira Holt']");
        other.select("S40", "days");
        one.see("[data-row='S40'] .mark");
        // What one edits the other sees, with who it was.
        other.type("45", Keys.ENTER);
        one.read(Browser.cell("S40", "days"), "45");
        // Both have the cell open; the second is told.
        one.select("S30", "days");
        one.type(Keys.F2);
        one.see(Browser.cell("S30", "days") + " input");
        other.select("S30", "days");
        other.type("31", Keys.ENTER);
        other.read(Browser.cell("S30", "days"), "31");
        one.read("[data-row='S30'] .mark", "Mira Holt");
        one.type(Keys.chord(Keys.CONTROL, "a"), "33", Keys.ENTER);
        one.read("[data-testid='theirs']", "31");
        one.read("[data-testid='mine']", "33");
        one.press("Take mine");
        other.read(Browser.cell("S30", "days"), "33");
        // The history says who.
        one.pressLabelled("History of edits");
        one.read("[data-edit] ~ [data-edit]", "by Mira Holt");
    }

    @Test
    void aRiskOwnerConfirmsTheirRiskAndCannotEditANeighbours() {
        server.signIn(one, NORA, "Risks");
        one.click("[aria-label^='Nora Quill']");
        one.pick("Who takes part in this project…");
        one.enterLabelled("In the register", "Logistics lead");
        one.type(Keys.ESCAPE);
        one.isGone("[role='dialog']");
        one.select("R06", "title");
        one.type(Keys.chord(Keys.ALT, Keys.ENTER));
        one.press("Ask to confirm it");
        one.read("[data-confirmation='asked']", "Tomas Reed is asked");

        server.signIn(other, TOMAS, "Risks");
        other.read("[role='note']", "Logistics lead’s");
        other.click("[aria-label^='Tomas Reed: 1 waiting']");
        other.pickStarting("What waits for you");
        other.click("[data-notice='ask']");
        other.press("It holds");
        other.read("[data-confirmation='confirmed']", "You confirmed it");
        one.read("[data-confirmation='confirmed']", "Tomas Reed confirmed it");
        one.open(server.address());
        one.read("[data-project='Kestrel Ridge Observatory']", "% confirmed");
        one.goTo("Kestrel Ridge Observatory");
        one.goTo("Risks");
        one.select("R06", "title");
        one.type(Keys.chord(Keys.ALT, Keys.ENTER));
        one.read("[data-confirmation='confirmed']", "Tomas Reed confirmed it");

        other.select("R01", "chance");
        other.type("60", Keys.ENTER);
        other.read("[role='alert']", "Risk R01 is owned by Permits lead");
        other.type(Keys.ESCAPE);
        other.select("R06", "chance");
        other.type("30", Keys.ENTER);
        one.read(Browser.cell("R06", "chance"), "30");
        one.read("[data-confirmation='stale']", "it was changed since");
    }

    @Test
    void whoMayNotReadAProjectSeesInItsProgrammeWhatItsOwnerLetsOut() {
        server.signIn(one, NORA, "Plan");
        one.open(server.address());
        one.press("New project");
        one.pickStarting("From the example Visitor centre");
        one.see("[role='treegrid'][aria-label='Plan']");
        one.open(server.address());
        one.press("New programme");
        one.click("input[value='Kestrel Ridge Observatory']");
        one.click("input[value='" + CENTRE + "']");
        one.enterLabelled("Name", "Ridge and valley");
        one.read("[data-project='Ridge and valley']", "P80");
        server.give(TOMAS, "reader", "programme");

        server.signIn(other, TOMAS, "Plan");
        other.open(server.address());
        other.read("[data-project='Ridge and valley'] + [data-within]", "Kestrel Ridge Observatory");
        other.see("[data-project='A project that lets nothing out to you']");
        other.read("[data-programme]", "You may not read all of its projects");
        one.chooseOption("[aria-label='What others see of " + CENTRE + "']", "milestones");
        other.open(server.address());
        other.read("[data-project='" + CENTRE + "'][data-within]", "P80");
        other.click("button[aria-label='Milestones of " + CENTRE + "']");
        other.see("[data-milestone]");
        Axe.look(other, "a programme of which one may not read all");
    }

    @Test
    void oneSignsInWithACodeAndOutEverywhere() throws GeneralSecurityException {
        server.add("ines@ridge.example", "Ines Coder");
        server.give("ines@ridge.example", "reader", PROJECT);
        server.signIn(one, "ines@ridge.example", "Plan");
        one.read("[role='note']", "You read this project");
        one.select("S40", "days");
        one.type("4");
        one.read("[role='alert']", "its owners can make you an editor");
        one.open(server.address() + "/account");
        one.enterLabelled("Your password", PeopledServer.PASSWORD);
        byte[] secret =
                new Base32().decode(one.text("[data-testid='codes-secret']").replace(" ", ""));
        one.enterLabelled("The code that it shows now", "000");
        one.read("[role='alert']", "This is not the code that the app shows now");
        one.enterLabelled("The code that it shows now", code(secret, 0));
        one.see("[data-testid='recovery-codes']");
        one.press("I have kept them");

        other.forgetCookies(server.address() + "/health");
        other.open(server.address() + "/projects");
        other.enterLabelled("E-mail address", "ines@ridge.example");
        other.enterLabelled("Password", PeopledServer.PASSWORD);
        other.enterLabelled("One-time code", code(secret, 1));
        other.goTo("Kestrel Ridge Observatory");
        other.see("[role='treegrid'][aria-label='Plan']");

        one.press("Sign out everywhere");
        one.see("input[type='email']");
        // The other browser keeps its page, and asks for the password over it as soon as it wants something of the
        // server.
        other.goTo("Risks");
        other.read("[role='dialog']", "You were signed out");
        assertThat(other.address()).contains("/risks");
    }

    private static String code(byte[] secret, int later) throws GeneralSecurityException {
        TimeBasedOneTimePasswordGenerator codes = new TimeBasedOneTimePasswordGenerator();
        return codes.generateOneTimePasswordString(
                new SecretKeySpec(secret, codes.getAlgorithm()), Instant.now().plusSeconds(30L * later));
    }

    @Test
    void thePlanIsBroughtBackToAnEarlierState() {
        server.signIn(one, MIRA, "Plan");
        one.select("E20", "days");
        one.type("9", Keys.ENTER);
        one.read(Browser.cell("E20", "days"), "9");
        one.select("E30", "days");
        one.type("14", Keys.ENTER);
        one.read(Browser.cell("E30", "days"), "14");
        one.pressLabelled("History of edits");
        one.readAll("[data-edit] button", "Back to this");
        String first = one.attributes("[data-edit]", "data-edit").get(1);
        one.pressIn("[data-edit='" + first + "']", "Back to this");
        one.read(NOTE, "as it was after that edit");
        one.read(Browser.cell("E30", "days"), "10");
        one.read(Browser.cell("E20", "days"), "9");
        one.type(Keys.ESCAPE);
        one.select("E30", "name");
        one.type(Keys.chord(Keys.CONTROL, "z"));
        one.read(Browser.cell("E30", "days"), "14");
    }
}
