package mardun.app.backup;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDateTime;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Backups of the workroom, and what restoring one would change. */
public final class BackupViews {

    private BackupViews() {}

    /**
     * The backups.
     *
     * @param kept the last one first
     * @param place where each is copied to
     * @param restore what was opened to be restored; absent for nothing
     */
    public record BackupsView(
            List<BackupView> kept,
            BackupPlaceView place,
            @Nullable RestoreView restore) {}

    /** A backup with the time at which it was made, by the machine's clock, and how large it is, as it is read. */
    public record BackupView(String name, LocalDateTime madeAt, String size) {}

    /**
     * A second place for backups.
     *
     * @param folder empty for none
     * @param lastAt when a backup was last copied there, by the machine's clock; absent for never
     * @param trouble why the last one couldn't be; empty where it could
     * @param late the last one is older than it should be
     */
    public record BackupPlaceView(
            long version, String folder, @Nullable LocalDateTime lastAt, String trouble, boolean late) {}

    /** Where backups are copied to, as it was typed; empty for nowhere. */
    public record BackupPlaceForm(
            long version, @NotNull @Size(max = 500) String folder) {}

    /**
     * An archive that was read, and what would be otherwise with it.
     *
     * @param id names it, when it is accepted
     * @param madeAt when it was saved, by this machine's clock
     * @param pictures how many photos it holds
     */
    public record RestoreView(String id, LocalDateTime madeAt, int pictures, List<RestoreLine> lines) {}

    /** How many there are now, and how many with the archive. */
    public record RestoreLine(String what, long now, long then) {}

    /** The archive that was read takes the place of all that is there. */
    public record RestoreAccepted(@NotNull @Size(max = 60) String id) {}
}
