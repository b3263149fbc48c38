package app.tychon.server.launch;

import app.tychon.server.backup.Restore;
import app.tychon.server.database.DatabaseAddress;
import app.tychon.server.database.OwnDatabase;
import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.List;
import org.slf4j.LoggerFactory;

/** {@code ./tychon backup FILE} while the server runs or not, and {@code ./tychon restore FILE} into what holds nothing yet. */
final class BackupCommands {
    private BackupCommands() {}

    static void backup(Settings settings, List<String> words) {
        Path file = file("backup", words);
        try (CommandServer server = CommandServer.of(settings)) {
            // What has its name is whole.
            Path part = file.resolveSibling(file.getFileName() + ".part");
            server.running().download("/api/backup", part);
            Files.move(part, file, StandardCopyOption.REPLACE_EXISTING);
            System.out.println("All that the database holds is in " + file + ". Keep "
                    + settings.data().resolve("secret") + " elsewhere: without it one-time codes cannot be restored.");
        } catch (IOException e) {
            throw new CannotStart("The backup could not be written to " + file + ": " + e.getMessage());
        }
    }

    static void restore(Settings settings, List<String> words) {
        Path file = file("restore", words);
        // Nothing has set the log up where no server starts, and each migration would be told.
        ((Logger) LoggerFactory.getLogger(Logger.ROOT_LOGGER_NAME)).setLevel(Level.WARN);
        if (RunningServer.find(settings).isPresent()) {
            throw new CannotStart("Tychon is running on the data folder " + settings.data() + "; stop it first.");
        }
        OwnDatabase own = settings.databaseUrl().isPresent() ? null : OwnDatabase.start(settings.data());
        try {
            DatabaseAddress address = own != null
                    ? own.address()
                    : settings.databaseOwner()
                            .orElseGet(() -> new DatabaseAddress(
                                    settings.databaseUrl().orElseThrow(),
                                    settings.databaseUser(),
                                    settings.databasePassword()));
            long rows = Restore.into(address.url(), address.user(), address.password(), file);
            System.out.println("Restored: " + rows + " rows of " + file + ".");
        } catch (Restore.NotRestored e) {
            throw new CannotStart(e.getMessage());
        } finally {
            if (own != null) {
                own.close();
            }
        }
    }

    private static Path file(String command, List<String> words) {
        if (words.size() != 1) {
            throw new CannotStart("Say which file: ./tychon " + command + " FILE.zip");
        }
        return Path.of(words.get(0)).toAbsolutePath();
    }
}
