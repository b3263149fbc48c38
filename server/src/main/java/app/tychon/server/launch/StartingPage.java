package app.tychon.server.launch;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.SmartLifecycle;

/**
 * Answers at the server's address while the server starts, which may take a while where its database has to recover: a page that
 * says so and looks again by itself. It makes room right before the server listens.
 */
final class StartingPage implements SmartLifecycle {
    private static final Logger LOG = LoggerFactory.getLogger(StartingPage.class);
    private static final int UNAVAILABLE = 503;
    /** The web server begins in the last phases but 2,048. */
    private static final int BEFORE_THE_SERVER = SmartLifecycle.DEFAULT_PHASE - 4096;

    private static final byte[] PAGE =
            """
            <!doctype html>
            <html lang="en">
            <head><meta charset="utf-8"><meta http-equiv="refresh" content="2"><title>Tychon is starting</title></head>
            <body style="font: 16px sans-serif; margin: 4rem; max-width: 34rem; color: #1F2B33; background: #FBF8F2">
            <h1 style="font-size: 22px">Tychon is starting</h1>
            <p>Its database is opened, and repaired where the last end was sudden. Nothing that was kept is lost.
            This page looks again every two seconds.</p>
            </body>
            </html>
            """
                    .getBytes(StandardCharsets.UTF_8);

    private final HttpServer server;
    private volatile boolean answers = true;

    private StartingPage(HttpServer server) {
        this.server = server;
    }

    /** Answers from now on. Where the port is taken, as the server itself will tell, there is no page. */
    static StartingPage at(String listen, int port) {
        try {
            HttpServer server = HttpServer.create(new InetSocketAddress(listen, port), 0);
            server.createContext("/", StartingPage::answer);
            server.start();
            return new StartingPage(server);
        } catch (IOException e) {
            LOG.warn("Nothing is said at port {} while the server starts: {}", port, e.getMessage());
            return new StartingPage(null);
        }
    }

    private static void answer(HttpExchange exchange) throws IOException {
        try (exchange) {
            exchange.getResponseHeaders().add("Content-Type", "text/html; charset=utf-8");
            exchange.getResponseHeaders().add("Retry-After", "2");
            exchange.getResponseHeaders().add("Cache-Control", "no-store");
            exchange.sendResponseHeaders(UNAVAILABLE, PAGE.length);
            exchange.getResponseBody().write(PAGE);
        }
    }

    /** Everything is ready but for the address. */
    @Override
    public void start() {
        stop();
    }

    @Override
    public void stop() {
        answers = false;
        if (server != null) {
            server.stop(0);
        }
    }

    /** To the application it runs once it has made room. */
    @Override
    public boolean isRunning() {
        return !answers;
    }

    @Override
    public int getPhase() {
        return BEFORE_THE_SERVER;
    }
}
