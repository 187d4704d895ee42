package mardun.app.selling;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import mardun.app.id.FairId;

/** Something that has to be there, or asked, before a fair. */
@Entity
class FairCheck {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private FairId fairId;
    private String words;
    private boolean done;

    protected FairCheck() {}

    FairCheck(FairId fairId, String words) {
        this.fairId = fairId;
        this.words = words;
    }

    void tick(boolean isDone) {
        done = isDone;
    }

    long id() {
        return id;
    }

    FairId fairId() {
        return fairId;
    }

    String words() {
        return words;
    }

    boolean done() {
        return done;
    }
}
