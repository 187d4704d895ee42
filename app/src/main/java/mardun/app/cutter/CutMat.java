package mardun.app.cutter;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.Instant;
import mardun.app.cutter.CuttingMachine.State;

/** A mat that the simulated machine has cut. */
@Entity
class CutMat {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    private String jobKey;
    private String title;
    private int pieces;
    private Instant cutAt;

    protected CutMat() {}

    CutMat(State done, Instant cutAt) {
        this.jobKey = done.key();
        this.title = done.title();
        this.pieces = done.pieces();
        this.cutAt = cutAt;
    }

    String jobKey() {
        return jobKey;
    }
}
