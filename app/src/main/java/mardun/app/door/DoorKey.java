package mardun.app.door;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;

/** The passphrase that lets a device in as something. */
@Entity
class DoorKey {

    @Id
    @Enumerated(EnumType.STRING)
    private DoorRole role;

    private String passphraseHash;

    protected DoorKey() {}

    DoorKey(DoorRole role, String passphraseHash) {
        this.role = role;
        this.passphraseHash = passphraseHash;
    }

    DoorRole role() {
        return role;
    }

    boolean opensTo(String typed) {
        return Passphrase.matches(typed, passphraseHash);
    }
}
