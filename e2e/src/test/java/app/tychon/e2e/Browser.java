package app.tychon.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import org.openqa.selenium.By;
import org.openqa.selenium.ElementClickInterceptedException;
import org.openqa.selenium.ElementNotInteractableException;
import org.openqa.selenium.JavascriptExecutor;
import org.openqa.selenium.Keys;
import org.openqa.selenium.NoSuchElementException;
import org.openqa.selenium.OutputType;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.TimeoutException;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.logging.LogEntry;
import org.openqa.selenium.logging.LogType;
import org.openqa.selenium.support.ui.Select;
import org.openqa.selenium.support.ui.WebDriverWait;

/** Headless Chromium, driven in the words of the interface. Every look waits until there is what it looks for. */
public final class Browser implements AutoCloseable {
    private static final Duration PATIENCE = Duration.ofSeconds(60);

    private static final Duration BETWEEN_LOOKS = Duration.ofMillis(100);

    /** What is written in drawings is no text of the page to the browser. */
    private static final String SAID =
            """
            const one = document.querySelector(arguments[0]);
            const seen = one?.closest('select') ?? one;
            if (!seen?.checkVisibility()) return '';
            if (seen !== one) return one.textContent.trim();
            if (one.innerText === undefined) return one.textContent.trim();
            const drawn = [...one.querySelectorAll('svg text')].map(text => text.textContent);
            return [one.innerText.trim(), ...drawn].join('\\n').trim();
            """;

    private final ChromeDriver driver;
    private final Path downloads;

    Browser() {
        this(Path.of("target").toAbsolutePath());
    }

    /** @param downloads the folder that files are put into which pages hand over */
    public Browser(Path downloads) {
        this.downloads = downloads;
        driver = Chromium.start(downloads);
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

    /** The visible element that a CSS selector finds. */
    WebElement see(String selector) {
        return until(() -> {
            WebElement found = driver.findElement(By.cssSelector(selector));
            return found.isDisplayed() ? found : null;
        });
    }

    /** Waits until an element says something. */
    public String read(String selector, String expected) {
        return until(() -> {
            String text = said(selector);
            return text.contains(expected) ? text : null;
        });
    }

    /** Waits until an element says something else than before. */
    String readOtherThan(String selector, String before) {
        return until(() -> {
            String text = said(selector);
            return text.isBlank() || text.equals(before) ? null : text;
        });
    }

    /**
     * What the first element that a selector finds says now; nothing where there is none that is seen. The browser's own text: the
     * driver's walks every element in it by script, which takes a second for a grid.
     */
    private String said(String selector) {
        return (String) driver.executeScript(SAID, selector);
    }

    boolean isGone(String selector) {
        return until(() -> driver.findElements(By.cssSelector(selector)).isEmpty() ? Boolean.TRUE : null);
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
        until(() -> {
            driver.findElement(By.cssSelector("button[aria-label='" + label + "']"))
                    .click();
            return Boolean.TRUE;
        });
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
        ((JavascriptExecutor) driver)
                .executeScript(
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
        see(selector).click();
        type(Keys.chord(Keys.CONTROL, "a"), text, Keys.ENTER);
    }

    /** Types over a field that may hold many lines, and leaves it so. */
    void fill(String selector, String text) {
        see(selector).click();
        type(Keys.chord(Keys.CONTROL, "a"));
        ((JavascriptExecutor) driver).executeScript("document.execCommand('insertText', false, arguments[0])", text);
    }

    /** Drags something to the right, as with a mouse. */
    void drag(String selector, int pixels) {
        new Actions(driver)
                .clickAndHold(see(selector))
                .moveByOffset(pixels / 2, 0)
                .moveByOffset(pixels - pixels / 2, 0)
                .release()
                .perform();
    }

    /** Drags something onto something else, as with a mouse. */
    void dragOnto(String from, String to) {
        new Actions(driver)
                .clickAndHold(see(from))
                .moveByOffset(4, 8)
                .moveToElement(see(to))
                .moveByOffset(2, 1)
                .release()
                .perform();
    }

    /** Chooses an option of a select by its value. */
    void chooseOption(String selector, String value) {
        until(() -> {
            new Select(driver.findElement(By.cssSelector(selector))).selectByValue(value);
            return Boolean.TRUE;
        });
    }

    /** Chooses an option of the select with a label, by its value. */
    void chooseLabelled(String label, String value) {
        String id = until(() -> driver.findElement(By.xpath("//label[normalize-space()='" + label + "']"))
                .getAttribute("for"));
        chooseOption("[id='" + id + "']", value);
    }

    /** Waits until one of the elements that a selector finds says exactly something. */
    void readAll(String selector, String expected) {
        until(() -> driver.findElements(By.cssSelector(selector)).stream()
                        .anyMatch(one -> one.getText().equals(expected))
                ? Boolean.TRUE
                : null);
    }

    /** Gives a file to a file input, which may be hidden. */
    void choose(String selector, String path) {
        until(() -> driver.findElement(By.cssSelector(selector))).sendKeys(path);
    }

    /** What the server answers to the page itself. */
    String get(String path) {
        return (String) ((JavascriptExecutor) driver)
                .executeAsyncScript(
                        "const done = arguments[1]; fetch(arguments[0]).then(r => r.text()).then(done)", path);
    }

    List<WebElement> all(String selector) {
        return driver.findElements(By.cssSelector(selector));
    }

    void scroll(String selector, int top) {
        ((JavascriptExecutor) driver).executeScript("arguments[0].scrollTop = arguments[1]", see(selector), top);
    }

    /** Tries again until there is a value: the page may be about to change under the look. */
    private <T> T until(Supplier<T> look) {
        try {
            return new WebDriverWait(driver, PATIENCE, BETWEEN_LOOKS)
                    .ignoring(NoSuchElementException.class)
                    .ignoring(StaleElementReferenceException.class)
                    .ignoring(ElementClickInterceptedException.class)
                    .ignoring(ElementNotInteractableException.class)
                    .until(d -> look.get());
        } catch (TimeoutException e) {
            keepPicture();
            throw e;
        }
    }

    /** What was on the screen when the patience ended. */
    private void keepPicture() {
        Path picture = Path.of("target", "waited-in-vain-" + System.currentTimeMillis() + ".png");
        try {
            Files.write(picture, driver.getScreenshotAs(OutputType.BYTES));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Override
    public void close() {
        driver.quit();
    }
}
