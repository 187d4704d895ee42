package mardun.app.backup;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** The second place to which backups are copied. */
@Entity
class BackupPlace {

    /** There is one of it. */
    static final int ONE = 1;

    @Id
    private Integer id;

    @Version
    private long version;

    private String folder;
    private @Nullable Instant lastAt;
    private String trouble;

    protected BackupPlace() {}

    void moveTo(String newFolder) {
        folder = newFolder;
        lastAt = null;
        trouble = "";
    }

    void copied(Instant at) {
        lastAt = at;
        trouble = "";
    }

    void failed(String why) {
        trouble = why;
    }

    long version() {
        return version;
    }

    String folder() {
        return folder;
    }

    Optional<Instant> lastAt() {
        return Optional.ofNullable(lastAt);
    }

    String trouble() {
        return trouble;
    }
}
