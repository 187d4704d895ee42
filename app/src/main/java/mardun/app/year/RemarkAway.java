package mardun.app.year;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;

/** A remark that the maker put away. */
@Entity
class RemarkAway {

    @Id
    private String remark;

    private Instant putAwayAt;

    protected RemarkAway() {}

    RemarkAway(String remark, Instant putAwayAt) {
        this.remark = remark;
        this.putAwayAt = putAwayAt;
    }

    String remark() {
        return remark;
    }
}
