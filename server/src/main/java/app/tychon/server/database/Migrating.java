package app.tychon.server.database;

import java.util.List;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.CoreErrorCode;
import org.flywaydb.core.api.ErrorCode;
import org.flywaydb.core.api.output.ValidateOutput;
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
    /** Up to this version migrations were rewritten, once they were done somewhere, so that they can be done once more. */
    private static final int REWRITTEN = 18;

    @Bean
    FlywayMigrationStrategy strategy() {
        return Migrating::migrate;
    }

    /** @throws org.flywaydb.core.api.FlywayException where a migration was changed since it was done, or a statement fails */
    public static void migrate(Flyway flyway) {
        List<ValidateOutput> faults = flyway.validateWithResult().invalidMigrations.stream()
                .filter(fault -> fault.errorDetails.errorCode != CoreErrorCode.RESOLVED_VERSIONED_MIGRATION_NOT_APPLIED)
                .toList();
        if (!faults.isEmpty() && faults.stream().allMatch(Migrating::isHarmless)) {
            flyway.repair();
        }
        flyway.migrate();
    }

    private static boolean isHarmless(ValidateOutput fault) {
        ErrorCode code = fault.errorDetails.errorCode;
        return code == CoreErrorCode.FAILED_VERSIONED_MIGRATION
                || code == CoreErrorCode.CHECKSUM_MISMATCH && Integer.parseInt(fault.version) <= REWRITTEN;
    }
}
