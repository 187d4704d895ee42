package mardun.app.stored;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import org.h2.store.fs.FilePath;
import org.h2.store.fs.FilePathWrapper;

/**
 * Files of the database of which every write is on the disk before it is said to be done, so that a power cut takes nothing that was
 * acknowledged. The database names them with {@code durable:} in front of the path. A full disk doesn't fail a write as long as there is
 * {@link SpareRoom}.
 */
public final class DurableFiles extends FilePathWrapper {

    private static final String SCHEME = "durable";

    /** Makes the database know of such files. */
    public static void register() {
        FilePath.register(new DurableFiles());
    }

    @Override
    public String getScheme() {
        return SCHEME;
    }

    @Override
    public FileChannel open(String mode) throws IOException {
        if (mode.equals("r")) {
            return super.open(mode);
        }
        Path file = Path.of(getBase().toRealPath().toString());
        return new DurableFile(
                () -> FileChannel.open(
                        file,
                        StandardOpenOption.READ,
                        StandardOpenOption.WRITE,
                        StandardOpenOption.CREATE,
                        StandardOpenOption.DSYNC),
                new SpareRoom(file.getParent()));
    }
}
