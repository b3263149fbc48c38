package app.tychon.e2e;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.Semaphore;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.extension.AfterEachCallback;
import org.junit.jupiter.api.extension.BeforeEachCallback;
import org.junit.jupiter.api.extension.ExtensionContext;

/**
 * One journey at a time as long as other tests are at work, since two cores have no room for more; three, each in a browser of
 * its own, from when a file says that the others are through: each waits for something a third of the time.
 */
final class Lanes implements BeforeEachCallback, AfterEachCallback {
    private static final String OTHERS_ARE_THROUGH = System.getProperty("tychon.others.through");
    private static final int MORE = 2;
    private static final Semaphore FREE = new Semaphore(1, true);
    private static final AtomicBoolean WIDENED = new AtomicBoolean();

    @Override
    public void beforeEach(ExtensionContext journey) throws InterruptedException {
        FREE.acquire();
    }

    @Override
    public void afterEach(ExtensionContext journey) {
        FREE.release();
        if (OTHERS_ARE_THROUGH != null
                && Files.exists(Path.of(OTHERS_ARE_THROUGH))
                && WIDENED.compareAndSet(false, true)) {
            FREE.release(MORE);
        }
    }
}
