package app.tychon.server.database;

import java.util.Set;
import java.util.stream.Collectors;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.CoreErrorCode;
import org.flywaydb.core.api.ErrorCode;
import org.springframework.boot.autoconfigure.flyway.FlywayMigrationStrategy;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * Brings the tables up to the version of the program, also where that was cut off before: MariaDB keeps every change of a table
 * as it is made, so each statement of a migration changes nothing where it has been through already, and a migration that was
 * cut off is done once more.
 */
@Configuration
public class Migrating {
    /** What is behind a migration that was cut off, or was written so that it can be done once more after it was done. */
    private static final Set<ErrorCode> HARMLESS =
            Set.of(CoreErrorCode.FAILED_VERSIONED_MIGRATION, CoreErrorCode.CHECKSUM_MISMATCH);

    @Bean
    FlywayMigrationStrategy strategy() {
        return Migrating::migrate;
    }

    /** @throws org.flywaydb.core.api.FlywayException where the database is of a newer program, or a statement fails */
    public static void migrate(Flyway flyway) {
        Set<ErrorCode> faults = flyway.validateWithResult().invalidMigrations.stream()
                .map(fault -> fault.errorDetails.errorCode)
                .filter(code -> code != CoreErrorCode.RESOLVED_VERSIONED_MIGRATION_NOT_APPLIED)
                .collect(Collectors.toSet());
        if (!faults.isEmpty() && HARMLESS.containsAll(faults)) {
            flyway.repair();
        }
        flyway.migrate();
    }
}
