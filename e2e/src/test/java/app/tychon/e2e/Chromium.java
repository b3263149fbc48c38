package app.tychon.e2e;

import java.io.File;
import java.nio.file.Path;
import java.util.Map;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;

/** Debian's Chromium without a window, which asks nothing of the network. */
final class Chromium {
    private Chromium() {}

    static ChromeDriver start(Path downloads) {
        ChromeOptions options = new ChromeOptions();
        options.setBinary("/usr/bin/chromium");
        options.addArguments(
                "--headless",
                "--no-sandbox",
                "--disable-gpu",
                "--disable-quic",
                "--no-first-run",
                "--disable-background-networking",
                "--disable-component-update",
                "--disable-sync",
                "--disable-dev-shm-usage",
                "--force-prefers-reduced-motion",
                // Pages are open for seconds: compiling them thoroughly takes longer than running them.
                "--js-flags=--no-opt --no-maglev",
                "--window-size=1280,800");
        options.setExperimentalOption(
                "prefs", Map.of("intl.accept_languages", "en-GB", "download.default_directory", downloads.toString()));
        ChromeDriverService service = new ChromeDriverService.Builder()
                .usingDriverExecutable(new File("/usr/bin/chromedriver"))
                .usingAnyFreePort()
                .build();
        return new ChromeDriver(service, options);
    }
}
