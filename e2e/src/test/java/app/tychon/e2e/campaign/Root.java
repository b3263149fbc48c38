package app.tychon.e2e.campaign;

import java.io.IOException;

/** Commands that only root may give, and not on every machine. */
final class Root {
    private Root() {}

    /** Whether the command could be given and ended well. */
    static boolean does(String... command) throws IOException {
        try {
            return new ProcessBuilder(command)
                            .redirectErrorStream(true)
                            .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                            .start()
                            .waitFor()
                    == 0;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        } catch (IOException e) {
            // There is no such program here.
            return false;
        }
    }
}
