package app.tychon.machines;

import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Path;

/** Where machines of tests are. */
final class Places {
    private Places() {}

    /** What they keep. The engine remembers where it first was, so that stays there from test to test. */
    static Path folder() {
        return Path.of("target", "machines").toAbsolutePath();
    }

    /** The first of two that are free, from a port on. */
    static int ports(int from) throws IOException {
        for (int port = from; ; port += 2) {
            try (ServerSocket one = new ServerSocket(port);
                    ServerSocket other = new ServerSocket(port + 1)) {
                return one.getLocalPort();
            } catch (IOException e) {
                if (port > 60_000) {
                    throw e;
                }
            }
        }
    }
}
