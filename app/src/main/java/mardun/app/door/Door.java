package mardun.app.door;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;

/** Whether the workroom's other devices may come in; there is one row. */
@Entity
class Door {

    static final int ONLY = 1;

    @Id
    private int id;

    private boolean open;

    protected Door() {}

    boolean isOpen() {
        return open;
    }

    void open(boolean now) {
        open = now;
    }
}
