package mardun.app.backup;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.Clock;
import org.flywaydb.core.Flyway;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.stereotype.Component;

/** Before a newer version changes what is stored, all of it is kept as it was. */
@Component
class BeforeMigration implements FlywayMigrationStrategy {

    private static final Logger LOG = LoggerFactory.getLogger(BeforeMigration.class);

    private final Path data;
    private final Clock clock;

    BeforeMigration(@Value("${mardun.data}") Path data, Clock clock) {
        this.data = data;
        this.clock = clock;
    }

    @Override
    public void migrate(Flyway flyway) {
        boolean isChanged = flyway.info().current() != null && flyway.info().pending().length > 0;
        if (isChanged) {
            keep(flyway);
        }
        flyway.migrate();
    }

    private void keep(Flyway flyway) {
        ArchiveWriter writer = new ArchiveWriter(flyway.getConfiguration().getDataSource(), data, clock);
        try {
            BackupFiles.Backup made = new BackupFiles(data, clock).make(writer::write);
            LOG.info("What was stored by an earlier version is kept as backups/{}", made.name());
        } catch (ArchiveRefusedException unreadable) {
            throw new IllegalStateException(
                    "Nothing was changed: a backup of what is there can't be read back. " + unreadable.getMessage(),
                    unreadable);
        } catch (IOException failed) {
            throw new UncheckedIOException("Nothing was changed: a backup of what is there can't be written.", failed);
        }
    }
}
