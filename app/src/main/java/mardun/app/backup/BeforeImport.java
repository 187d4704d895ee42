package mardun.app.backup;

import mardun.app.problem.RefusedException;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Before something comes in from a file, all that is there is kept as it is. */
@Component
public class BeforeImport {

    private final BackupService backups;
    private final boolean automatic;

    BeforeImport(BackupService backups, @Value("${mardun.backups.automatic}") boolean automatic) {
        this.backups = backups;
        this.automatic = automatic;
    }

    /**
     * Keeps it, unless backups aren't made by themselves here.
     *
     * @throws RefusedException if it can't be kept
     */
    public void keep() {
        if (automatic) {
            backups.make();
        }
    }
}
