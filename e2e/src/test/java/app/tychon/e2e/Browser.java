package app.tychon.e2e;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.openqa.selenium.By;
import org.openqa.selenium.Keys;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.WindowType;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.logging.LogEntry;
import org.openqa.selenium.logging.LogType;
import org.openqa.selenium.support.ui.Select;

/** Headless Chromium, driven in the words of the interface. Whatever is done waits until there is what it is done to. */
public final class Browser extends Looks implements AutoCloseable {
    private final Path downloads;

    Browser() {
        this(Path.of("target").toAbsolutePath());
    }

    /** @param downloads the folder that files are put into which pages hand over */
    public Browser(Path downloads) {
        super(Chromium.start(downloads));
        this.downloads = downloads;
    }

    /** Where files come to that pages hand over. */
    Path downloads() {
        return downloads;
    }

    /** Does what a script says, and returns what it says. */
    Object run(String script, Object... given) {
        return driver.executeScript(script, given);
    }

    /** Waits for what a script comes to. */
    Object await(String script, Object... given) {
        return driver.executeAsyncScript(script, given);
    }

    /** Lets the page write to the clipboard and read it. */
    void allowClipboard(String server) {
        driver.executeCdpCommand(
                "Browser.grantPermissions",
                Map.of("origin", server, "permissions", List.of("clipboardReadWrite", "clipboardSanitizedWrite")));
    }

    public void open(String address) {
        driver.get(address);
    }

    /** Opens an address in a window of its own, before the others. */
    void openBeside(String address) {
        driver.switchTo().newWindow(WindowType.TAB);
        driver.get(address);
    }

    /** Goes back to the window that was there before all others. */
    void toFirstWindow() {
        driver.switchTo().window(driver.getWindowHandles().iterator().next());
    }

    /** Closes all windows but the first, and goes back to that. */
    void closeOtherWindows() {
        List<String> windows = List.copyOf(driver.getWindowHandles());
        windows.subList(1, windows.size())
                .forEach(one -> driver.switchTo().window(one).close());
        toFirstWindow();
    }

    String address() {
        return driver.getCurrentUrl();
    }

    /** Forgets all that was kept for the pages of a server. @param page any of it, which shows nothing */
    void forget(String page) {
        driver.get(page);
        driver.executeScript("localStorage.clear(); sessionStorage.clear()");
        driver.manage().logs().get(LogType.BROWSER);
    }

    /** Is known to nobody any more. @param page any of the server, which shows nothing */
    void forgetCookies(String page) {
        driver.get(page);
        driver.manage().deleteAllCookies();
        driver.executeScript("localStorage.clear(); sessionStorage.clear()");
    }

    /** Puts something into what the browser keeps for the page. */
    void keep(String name, String value) {
        driver.executeScript("localStorage.setItem(arguments[0], arguments[1])", name, value);
    }

    /** What the browser has refused because the server's content policy forbids it. */
    List<String> policyViolations() {
        return driver.manage().logs().get(LogType.BROWSER).getAll().stream()
                .map(LogEntry::getMessage)
                .filter(message -> message.contains("Content Security Policy"))
                .toList();
    }

    /** Clicks what a selector finds. */
    void click(String selector) {
        with(selector, WebElement::click);
    }

    /** Types into what a selector finds, wherever the focus is. */
    void send(String selector, CharSequence... keys) {
        with(selector, found -> found.sendKeys(keys));
    }

    void press(String button) {
        until(() -> {
            driver.findElement(By.xpath("//button[normalize-space()='" + button + "']"))
                    .click();
            return Boolean.TRUE;
        });
    }

    /** Presses what is known by its label alone. */
    void pressLabelled(String label) {
        click("button[aria-label='" + label + "']");
    }

    void goTo(String stage) {
        until(() -> {
            driver.findElement(By.linkText(stage)).click();
            return Boolean.TRUE;
        });
    }

    /** Selects a cell of a grid by row and column. Where rows change places just then, another is hit; so it is looked at. */
    public void select(String row, String column) {
        until(() -> {
            driver.findElement(By.cssSelector(cell(row, column))).click();
            return driver.findElements(By.cssSelector(cell(row, column) + ".active"))
                            .isEmpty()
                    ? null
                    : Boolean.TRUE;
        });
    }

    public static String cell(String row, String column) {
        return "[data-row='" + row + "'] [data-column='" + column + "']";
    }

    /** Types into whatever has the focus, as a person would. */
    public void type(CharSequence... keys) {
        // What has the focus may be drawn anew just then; nothing was typed into what is gone.
        until(() -> {
            driver.switchTo().activeElement().sendKeys(keys);
            return Boolean.TRUE;
        });
    }

    /** Pastes a text where the focus is, as from another program. */
    void paste(String text) {
        driver.executeScript(
                "const data = new DataTransfer(); data.setData('text/plain', arguments[0]);"
                        + "document.activeElement.dispatchEvent(new ClipboardEvent('paste',"
                        + " {clipboardData: data, bubbles: true, cancelable: true}))",
                text);
    }

    /** Chooses an entry of an open menu. */
    void pick(String entry) {
        until(() -> {
            driver.findElement(By.xpath("//*[@role='menuitem'][normalize-space()='" + entry + "']"))
                    .click();
            return Boolean.TRUE;
        });
    }

    /** Chooses the entry of an open menu that begins so. */
    void pickStarting(String entry) {
        until(() -> {
            driver.findElement(By.xpath("//*[@role='menuitem'][starts-with(normalize-space(), '" + entry + "')]"))
                    .click();
            return Boolean.TRUE;
        });
    }

    /** Presses a button that lies within something. */
    void pressIn(String selector, String button) {
        until(() -> {
            driver.findElement(By.cssSelector(selector))
                    .findElement(By.xpath(".//button[normalize-space()='" + button + "']"))
                    .click();
            return Boolean.TRUE;
        });
    }

    /** Types over the field with a label and hands it in. */
    void enterLabelled(String label, String text) {
        String id = until(() -> driver.findElement(By.xpath("//label[normalize-space()='" + label + "']"))
                .getAttribute("for"));
        enter("[id='" + id + "']", text);
    }

    /** Waits until the address says something. */
    void arrive(String part) {
        until(() -> driver.getCurrentUrl().contains(part) ? Boolean.TRUE : null);
    }

    /** Types over a field and hands it in. */
    void enter(String selector, String text) {
        click(selector);
        type(Keys.chord(Keys.CONTROL, "a"), text, Keys.ENTER);
    }

    /** Types over a field that may hold many lines, and leaves it so. */
    void fill(String selector, String text) {
        click(selector);
        type(Keys.chord(Keys.CONTROL, "a"));
        driver.executeScript("document.execCommand('insertText', false, arguments[0])", text);
    }

    /** Drags something to the right, as with a mouse. */
    void drag(String selector, int pixels) {
        with(selector, found -> new Actions(driver)
                .clickAndHold(found)
                .moveByOffset(pixels / 2, 0)
                .moveByOffset(pixels - pixels / 2, 0)
                .release()
                .perform());
    }

    /** Drags something onto something else, as with a mouse. */
    void dragOnto(String from, String to) {
        with(from, found -> new Actions(driver)
                .clickAndHold(found)
                .moveByOffset(4, 8)
                .moveToElement(driver.findElement(By.cssSelector(to)))
                .moveByOffset(2, 1)
                .release()
                .perform());
    }

    /** Chooses an option of a select by its value. */
    void chooseOption(String selector, String value) {
        with(selector, found -> new Select(found).selectByValue(value));
    }

    /** Chooses an option of a select by what it says. */
    void chooseText(String selector, String text) {
        with(selector, found -> new Select(found).selectByVisibleText(text));
    }

    /** Chooses an option of the select with a label, by its value. */
    void chooseLabelled(String label, String value) {
        String id = until(() -> driver.findElement(By.xpath("//label[normalize-space()='" + label + "']"))
                .getAttribute("for"));
        chooseOption("[id='" + id + "']", value);
    }

    /** Gives a file to a file input, which may be hidden. */
    void choose(String selector, String path) {
        until(() -> driver.findElement(By.cssSelector(selector))).sendKeys(path);
    }

    /** What the server answers to the page itself. */
    String get(String path) {
        return (String) driver.executeAsyncScript(
                "const done = arguments[1]; fetch(arguments[0]).then(r => r.text()).then(done)", path);
    }

    void scroll(String selector, int top) {
        with(selector, found -> driver.executeScript("arguments[0].scrollTop = arguments[1]", found, top));
    }

    @Override
    public void close() {
        driver.quit();
    }
}
