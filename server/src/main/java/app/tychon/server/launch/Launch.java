package app.tychon.server.launch;

import app.tychon.server.TychonApplication;
import app.tychon.server.database.DatabaseAddress;
import app.tychon.server.database.OwnDatabase;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.List;
import java.util.Map;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;

/** Starts everything in order: database, application, the demo when asked for; and stops it in the reverse order. */
public final class Launch {
    private Launch() {}

    public static void run(String[] args) {
        try {
            start(args);
        } catch (CannotStart | OwnDatabase.Unusable e) {
            System.err.println("tychon: " + e.getMessage());
            System.exit(1);
        }
    }

    private static void start(String[] args) {
        boolean demo = List.of(args).contains("--demo");
        Settings settings = Settings.of(System.getenv());
        int port = Ports.forHttp(settings.port());
        DatabaseAddress database =
                settings.databaseUrl().map(url -> outside(url, settings)).orElseGet(() -> own(settings));
        SpringApplication application = new SpringApplication(TychonApplication.class);
        application.setDefaultProperties(Map.of(
                "spring.datasource.url", database.url(),
                "spring.datasource.username", database.user(),
                "spring.datasource.password", database.password(),
                "tychon.examples", settings.examples().toString(),
                "tychon.hosts", settings.hosts(),
                "server.port", port));
        ConfigurableApplicationContext context = application.run(args);
        String address = "http://127.0.0.1:" + port;
        if (demo) {
            address += "/projects/" + context.getBean(DemoLoader.class).load() + "/plan";
        }
        System.out.println("Tychon is ready: " + address);
        System.out.println("Press Ctrl-C to stop it.");
    }

    private static DatabaseAddress own(Settings settings) {
        OwnDatabase database = OwnDatabase.start(settings.data());
        // Runs after the application has let go of its connections.
        SpringApplication.getShutdownHandlers().add(database::close);
        return database.address();
    }

    private static DatabaseAddress outside(String url, Settings settings) {
        try (Connection connection =
                DriverManager.getConnection(url, settings.databaseUser(), settings.databasePassword())) {
            return new DatabaseAddress(url, settings.databaseUser(), settings.databasePassword());
        } catch (SQLException e) {
            throw new CannotStart("The database that TYCHON_DB_URL names cannot be reached: "
                    + String.valueOf(e.getMessage()).lines().findFirst().orElse("no reason given"));
        }
    }
}
