package app.tychon.server.backup;

import java.util.Set;

/**
 * What a backup is: a ZIP of {@code backup.json}, which says of which version of the database it is and how many rows each table
 * has, and a {@code <table>.jsonl} for each, a row a line: a JSON object of what is not null, bytes in base 64 under a name that
 * ends in {@code :bytes}. Who is signed in just now, and what was tried in vain, are not part of it.
 */
final class BackupFile {
    static final String FORMAT = "tychon-backup";
    static final int VERSION = 1;
    static final String MANIFEST = "backup.json";
    static final String ROWS = ".jsonl";
    static final String BYTES = ":bytes";
    static final Set<String> LEFT_OUT =
            Set.of("WEB_SESSION", "WEB_SESSION_ATTRIBUTES", "failed_try", "flyway_schema_history");

    private BackupFile() {}
}
