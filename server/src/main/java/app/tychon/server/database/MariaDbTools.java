package app.tychon.server.database;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** Finds MariaDB's programs, which Debian keeps where not everybody's path leads. */
final class MariaDbTools {
    private MariaDbTools() {}

    /** @throws OwnDatabase.Unusable where it is not installed, saying what to install */
    static String find(String name) {
        List<String> folders =
                new ArrayList<>(List.of(System.getenv().getOrDefault("PATH", "").split(":")));
        folders.addAll(List.of("/usr/sbin", "/usr/bin", "/usr/local/sbin"));
        return folders.stream()
                .map(folder -> Path.of(folder, name))
                .filter(Files::isExecutable)
                .map(Path::toString)
                .findFirst()
                .orElseThrow(
                        () -> new OwnDatabase.Unusable(
                                "MariaDB is missing (" + name
                                        + " was not found); install Debian's packages mariadb-server-core and mariadb-client-core, or set TYCHON_DB_URL."));
    }
}
