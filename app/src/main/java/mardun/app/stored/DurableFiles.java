package mardun.app.stored;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Set;
import org.h2.store.fs.FilePath;
import org.h2.store.fs.FilePathWrapper;

/**
 * Files of the database of which every write is on the disk before it is said to be done, so that a power cut takes nothing that was
 * acknowledged. The database names them with {@code durable:} in front of the path. A full disk doesn't fail a write as long as there is
 * {@link SpareRoom}.
 */
public final class DurableFiles extends FilePathWrapper {

    private static final String SCHEME = "durable";

    private static final Set<StandardOpenOption> AS_IT_IS =
            Set.of(StandardOpenOption.READ, StandardOpenOption.WRITE, StandardOpenOption.DSYNC);

    private static final Set<StandardOpenOption> MADE_IF_MISSING = Set.of(
            StandardOpenOption.READ, StandardOpenOption.WRITE, StandardOpenOption.DSYNC, StandardOpenOption.CREATE);

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
                isFirst -> FileChannel.open(file, isFirst ? MADE_IF_MISSING : AS_IT_IS),
                new SpareRoom(file.getParent()));
    }
}
