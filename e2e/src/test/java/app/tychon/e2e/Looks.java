package app.tychon.e2e;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.Supplier;
import org.openqa.selenium.By;
import org.openqa.selenium.ElementClickInterceptedException;
import org.openqa.selenium.ElementNotInteractableException;
import org.openqa.selenium.NoSuchElementException;
import org.openqa.selenium.OutputType;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.TimeoutException;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.support.ui.Sleeper;
import org.openqa.selenium.support.ui.WebDriverWait;

/**
 * What is looked at in a page. Every look waits until there is what it looks for. Elements are never handed out: whatever is
 * done to one is done where it was found, and again where the page drew it anew meanwhile.
 */
abstract class Looks {
    private static final Duration PATIENCE = Duration.ofSeconds(60);

    private static final Duration BETWEEN_LOOKS = Duration.ofMillis(100);
    /** What is not there after a second takes longer; to look is work for the page and its browser. */
    private static final int SOON = 10;

    private static final Duration BETWEEN_LATER_LOOKS = Duration.ofMillis(300);

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

    /** The first element that a selector finds, where it, or the list it is chosen from, is seen: one way to the browser and back. */
    private static final String SEEN =
            """
            const one = document.querySelector(arguments[0]);
            const drawn = one?.closest('select') ?? one;
            return drawn?.checkVisibility({visibilityProperty: true}) ? one : null;
            """;

    final ChromeDriver driver;

    Looks(ChromeDriver driver) {
        this.driver = driver;
    }

    /** Waits until what a CSS selector finds is to be seen. */
    void see(String selector) {
        of(selector, found -> Boolean.TRUE);
    }

    /** Does something to the visible element that a selector finds. */
    void with(String selector, Consumer<WebElement> done) {
        of(selector, found -> {
            done.accept(found);
            return Boolean.TRUE;
        });
    }

    /** Something of the visible element that a selector finds. */
    private <T> T of(String selector, Function<WebElement, T> told) {
        return until(() -> {
            WebElement found = (WebElement) driver.executeScript(SEEN, selector);
            return found == null ? null : told.apply(found);
        });
    }

    /** What the visible element says that a selector finds. */
    String text(String selector) {
        return of(selector, WebElement::getText);
    }

    /** What an attribute says of the visible element that a selector finds, which has it. */
    String attribute(String selector, String name) {
        return of(selector, found -> found.getAttribute(name));
    }

    /** Whether something may be used. */
    boolean isEnabled(String selector) {
        return of(selector, found -> Optional.of(found.isEnabled())).orElseThrow();
    }

    /** How wide something is, in pixels. */
    int width(String selector) {
        return of(selector, found -> found.getSize().width);
    }

    /** An attribute of all elements that a selector finds now, in their order. */
    @SuppressWarnings("unchecked")
    List<String> attributes(String selector, String name) {
        return (List<String>) driver.executeScript(
                "return [...document.querySelectorAll(arguments[0])].map(one => one.getAttribute(arguments[1]))",
                selector,
                name);
    }

    /** How many elements a selector finds now. */
    int count(String selector) {
        return attributes(selector, "id").size();
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
        return until(() -> count(selector) == 0 ? Boolean.TRUE : null);
    }

    /** Waits until one of the elements that a selector finds says exactly something. */
    void readAll(String selector, String expected) {
        until(() -> driver.findElements(By.cssSelector(selector)).stream()
                        .anyMatch(one -> one.getText().equals(expected))
                ? Boolean.TRUE
                : null);
    }

    /** Tries again until there is a value: the page may be about to change under the look. */
    final <T> T until(Supplier<T> look) {
        try {
            return new WebDriverWait(driver, PATIENCE, BETWEEN_LOOKS, Clock.systemUTC(), new Pauses())
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

    /** Pauses between looks, of one wait. */
    private static final class Pauses implements Sleeper {
        private int looks;

        @Override
        public void sleep(Duration usual) throws InterruptedException {
            Thread.sleep((looks++ < SOON ? usual : BETWEEN_LATER_LOOKS).toMillis());
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
}
