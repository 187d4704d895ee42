package mardun.app.files;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;

/** A file of which lines were entered; the same file brought again goes on where it stopped. */
@Entity
class TakenFile {

    /** Of its bytes and its list; the same file has the same. */
    @Id
    private String mark;

    private String list;
    private int linesIn;
    private int linesTotal;
    private Instant touchedAt;

    protected TakenFile() {}

    TakenFile(String mark, String list, int linesTotal) {
        this.mark = mark;
        this.list = list;
        this.linesTotal = linesTotal;
    }

    String mark() {
        return mark;
    }

    String list() {
        return list;
    }

    int linesIn() {
        return linesIn;
    }

    int linesTotal() {
        return linesTotal;
    }

    Instant touchedAt() {
        return touchedAt;
    }

    boolean isWhole() {
        return linesIn == linesTotal;
    }

    /** So many of its lines are in, from the first. */
    void entered(int lines, Instant now) {
        linesIn = lines;
        touchedAt = now;
    }
}
