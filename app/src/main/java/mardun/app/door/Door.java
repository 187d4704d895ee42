package mardun.app.door;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Whether the workroom's other devices may come in; there is one row. */
@Entity
class Door {

    static final int ONLY = 1;

    @Id
    private int id;

    private @Nullable String passphraseHash;
    private boolean open;

    protected Door() {}

    Optional<String> passphraseHash() {
        return Optional.ofNullable(passphraseHash);
    }

    void lockWith(String hash) {
        passphraseHash = hash;
    }

    boolean isOpen() {
        return open;
    }

    void open(boolean now) {
        open = now;
    }
}
