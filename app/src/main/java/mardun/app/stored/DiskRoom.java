package mardun.app.stored;

import java.nio.file.Path;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Whether there is room on the workroom's disk for something new. */
@Component
public class DiskRoom {

    private final SpareRoom spare;

    DiskRoom(@Value("${mardun.data}") Path data) {
        this.spare = new SpareRoom(data);
    }

    /** Whether the disk is full: the spare room had to be given up, and there is too little to take it anew. */
    public boolean isFull() {
        return !spare.take();
    }

    /** What can still be written, in bytes. */
    public long left() {
        return spare.left();
    }
}
