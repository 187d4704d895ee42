package mardun.app.backup;

import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;

import org.junit.jupiter.api.Test;

class BeforeImportTest {

    private final BackupService backups = mock(BackupService.class);

    @Test
    void allIsKeptBeforeAFileComesIn() {
        new BeforeImport(backups, true).keep();
        verify(backups).make();
    }

    @Test
    void whereBackupsAreNotMadeByThemselvesNoneIsMade() {
        new BeforeImport(backups, false).keep();
        verify(backups, never()).make();
    }
}
