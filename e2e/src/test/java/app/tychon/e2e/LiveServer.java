package app.tychon.e2e;

import app.tychon.machines.Crew;
import app.tychon.server.TychonApplication;
import app.tychon.server.database.OwnDatabase;
import app.tychon.server.door.MachineKey;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.web.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;

/** The server as it really runs, on a database of its own in a folder, until it is closed. */
final class LiveServer implements AutoCloseable {
    /** By which whoever has the machine comes in. */
    static final String MACHINE_KEY = "key-of-the-machine-of-journeys";

    private final OwnDatabase database;
    private final ConfigurableApplicationContext application;

    private LiveServer(Path folder, Optional<Crew> crew) {
        database = OwnDatabase.start(folder);
        SpringApplication spring = new SpringApplication(TychonApplication.class);
        spring.setDefaultProperties(Map.of(
                "spring.datasource.url",
                database.address().url(),
                "spring.datasource.username",
                database.address().user(),
                "spring.datasource.password",
                database.address().password(),
                "tychon.secret",
                "a secret of journeys",
                "tychon.machine-key",
                MACHINE_KEY,
                "server.port",
                0));
        crew.ifPresent(machines ->
                spring.addInitializers(context -> context.getBeanFactory().registerSingleton("crew", machines)));
        application = spring.run();
    }

    static LiveServer start(Path folder) {
        return new LiveServer(folder, Optional.empty());
    }

    /** The same, with other machines that may join. */
    static LiveServer start(Path folder, Crew crew) {
        return new LiveServer(folder, Optional.of(crew));
    }

    String address() {
        int port = ((WebServerApplicationContext) application).getWebServer().getPort();
        return "http://127.0.0.1:" + port;
    }

    /** An address that lets a browser in, once. */
    String entrance() {
        return address() + application.getBean(MachineKey.class).freshAddress();
    }

    @Override
    public void close() {
        application.close();
        database.close();
    }
}
