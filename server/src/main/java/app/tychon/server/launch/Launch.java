package app.tychon.server.launch;

import app.tychon.machines.Crew;
import app.tychon.server.TychonApplication;
import app.tychon.server.database.Connections;
import app.tychon.server.database.DatabaseAddress;
import app.tychon.server.database.OwnDatabase;
import app.tychon.server.database.PrivateFile;
import app.tychon.server.door.MachineKey;
import app.tychon.server.people.People;
import java.io.IOException;
import java.net.URI;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;

/** Starts everything in order: database, application, the demo when asked for; and stops it in the reverse order. */
public final class Launch {
    private Launch() {}

    public static void run(String[] args) {
        try {
            List<String> words = List.of(args);
            Settings settings = Settings.of(System.getenv());
            String command = words.isEmpty() ? "" : words.get(0);
            switch (command) {
                case "people" -> PeopleCommand.run(settings, words.subList(1, words.size()));
                case "backup" -> BackupCommands.backup(settings, words.subList(1, words.size()));
                case "restore" -> BackupCommands.restore(settings, words.subList(1, words.size()));
                default -> serve(settings, words);
            }
        } catch (CannotStart | OwnDatabase.Unusable e) {
            System.err.println("tychon: " + e.getMessage());
            System.exit(1);
        }
    }

    static void serve(Settings settings, List<String> words) {
        if (settings.beyondThisMachine() && !settings.overTls()) {
            throw new CannotStart(
                    "TYCHON_LISTEN lets other machines in, and passwords would cross the network in the open."
                            + " Put a proxy with TLS in front and set TYCHON_URL to its https address; docs/operations.md tells how.");
        }
        ConfigurableApplicationContext context = start(settings);
        People people = context.getBean(People.class);
        if (settings.beyondThisMachine() && !people.areHere()) {
            context.close();
            throw new CannotStart(
                    "TYCHON_LISTEN lets other machines in, and nobody has an account yet, so anybody would own everything."
                            + " Add the first: ./tychon people add ada@example.org --name \"Ada Example\".");
        }
        String page = "/projects";
        if (words.contains("--demo")) {
            UUID demo = context.getBean(DemoLoader.class).load();
            page += "/" + demo + "/plan";
            if (words.contains("--people")) {
                context.getBean(ExamplePeople.class)
                        .add(demo)
                        .forEach((name, link) -> System.out.println(name + " comes in by " + address(context) + link));
            }
        }
        if (people.areHere()) {
            people.adopt();
            System.out.println("Tychon is ready: " + address(context) + page);
        } else {
            String entrance = context.getBean(MachineKey.class).freshAddress();
            System.out.println("Tychon is ready: " + address(context) + entrance + "?to=" + page);
            System.out.println(
                    "The address is good once, and lets in nobody else; another is printed when it was used.");
        }
        settings.machines()
                .ifPresent(machines ->
                        System.out.println("Machines may join at " + machines.listen() + ", by the secret in "
                                + settings.data().resolve(MachineSettings.FILE) + " or TYCHON_MACHINES_SECRET."));
        System.out.println("Press Ctrl-C to stop it.");
    }

    /** What people open. */
    private static String address(ConfigurableApplicationContext context) {
        return context.getEnvironment().getProperty("tychon.opened");
    }

    /** The server as the settings want it; it also tells commands of this machine where it is, as long as it runs. */
    static ConfigurableApplicationContext start(Settings settings) {
        Connections.askEachTime();
        int port = Ports.forHttp(settings.port());
        StartingPage starting = StartingPage.at(settings.listen(), port);
        Databases database =
                settings.databaseUrl().map(url -> outside(url, settings)).orElseGet(() -> own(settings));
        String address = "http://127.0.0.1:" + port;
        SpringApplication application = new SpringApplication(TychonApplication.class);
        Map<String, Object> properties = new HashMap<>(Map.of(
                "spring.datasource.url", database.work().url(),
                "spring.datasource.username", database.work().user(),
                "spring.datasource.password", database.work().password(),
                "tychon.examples", settings.examples().toString(),
                "tychon.log", settings.data().resolve("log").toString(),
                "tychon.address", address,
                "server.address", settings.listen(),
                "server.port", port));
        properties.put("spring.flyway.user", database.owner().user());
        properties.put("spring.flyway.password", database.owner().password());
        properties.put("tychon.opened", settings.url().map(URI::toString).orElse(address));
        properties.put("tychon.administrators-use-codes", settings.codes() && settings.overTls());
        properties.putAll(door(settings, port));
        settings.projectStorage().ifPresent(size -> properties.put("tychon.project-storage", size));
        properties.putAll(settings.services());
        application.setDefaultProperties(properties);
        application.addInitializers(context -> context.getBeanFactory().registerSingleton("startingPage", starting));
        settings.machines().ifPresent(machines -> {
            Crew crew = machines.start();
            application.addInitializers(context -> context.getBeanFactory().registerSingleton("crew", crew));
        });
        ConfigurableApplicationContext context = application.run();
        RunningServer.tell(settings, address);
        SpringApplication.getShutdownHandlers().add(() -> RunningServer.forget(settings));
        return context;
    }

    private static Map<String, Object> door(Settings settings, int port) {
        try {
            PrivateFile.folder(settings.data());
            String secret = settings.secret().isPresent()
                    ? settings.secret().get()
                    : PrivateFile.key(settings.data().resolve("secret"));
            String hosts = settings.url()
                    .map(url -> settings.hosts().isEmpty() ? url.getHost() : settings.hosts() + "," + url.getHost())
                    .orElse(settings.hosts());
            // Browsers keep cookies by name and machine, whatever the port; behind one address all servers have one
            // name.
            int opened = settings.url().map(URI::getPort).orElse(port);
            String cookie = settings.overTls() ? "__Host-tychon" : "tychon-" + opened;
            return Map.of(
                    "tychon.secret",
                    secret,
                    "tychon.machine-key",
                    PrivateFile.key(RunningServer.key(settings)),
                    "tychon.hosts",
                    hosts,
                    "server.servlet.session.cookie.name",
                    cookie,
                    "server.servlet.session.cookie.secure",
                    settings.overTls(),
                    "server.forward-headers-strategy",
                    settings.overTls() ? "native" : "none");
        } catch (IOException e) {
            throw new CannotStart("The data folder " + settings.data() + " cannot be used: " + e.getMessage());
        }
    }

    /** One database, as whoever works with it and as whoever changes its tables. */
    private record Databases(DatabaseAddress work, DatabaseAddress owner) {}

    private static Databases own(Settings settings) {
        OwnDatabase database = OwnDatabase.start(settings.data());
        // Runs after the application has let go of its connections.
        SpringApplication.getShutdownHandlers().add(database::close);
        return new Databases(database.work(), database.address());
    }

    private static Databases outside(String url, Settings settings) {
        try (Connection connection =
                DriverManager.getConnection(url, settings.databaseUser(), settings.databasePassword())) {
            DatabaseAddress work = new DatabaseAddress(url, settings.databaseUser(), settings.databasePassword());
            return new Databases(work, settings.databaseOwner().orElse(work));
        } catch (SQLException e) {
            throw new CannotStart("The database that TYCHON_DB_URL names cannot be reached: "
                    + String.valueOf(e.getMessage()).lines().findFirst().orElse("no reason given"));
        }
    }
}
