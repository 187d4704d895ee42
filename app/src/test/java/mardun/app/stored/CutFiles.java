package mardun.app.stored;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Path;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.h2.store.fs.FileBaseDefault;
import org.h2.store.fs.FilePath;
import org.h2.store.fs.FilePathWrapper;

/** Files of a database, named with {@code cut:}, that take nothing more once they are cut off. */
public final class CutFiles extends FilePathWrapper {

    private static final Set<Path> CUT = ConcurrentHashMap.newKeySet();

    /** Makes the database know of such files. */
    public static void register() {
        FilePath.register(new CutFiles());
    }

    /** From now on a file takes nothing more. */
    public static void cut(Path file) throws IOException {
        CUT.add(file.toRealPath());
    }

    @Override
    public String getScheme() {
        return "cut";
    }

    @Override
    public FileChannel open(String mode) throws IOException {
        return new CutFile(super.open(mode), Path.of(getBase().toRealPath().toString()));
    }

    private static final class CutFile extends FileBaseDefault {

        private final FileChannel file;
        private final Path path;

        private CutFile(FileChannel file, Path path) {
            this.file = file;
            this.path = path;
        }

        private void check() throws IOException {
            if (CUT.contains(path)) {
                throw new IOException("there is no power");
            }
        }

        @Override
        public int read(ByteBuffer into, long position) throws IOException {
            return file.read(into, position);
        }

        @Override
        public int write(ByteBuffer from, long position) throws IOException {
            check();
            pause();
            check();
            return file.write(from, position);
        }

        /** As long as a disk takes, more or less: others go on meanwhile. */
        private static void pause() {
            try {
                Thread.sleep(0, 200_000);
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
            }
        }

        @Override
        public long size() throws IOException {
            return file.size();
        }

        @Override
        protected void implTruncate(long size) throws IOException {
            check();
            file.truncate(size);
        }

        @Override
        public void force(boolean metaData) throws IOException {
            file.force(metaData);
        }

        @Override
        public FileLock tryLock(long position, long size, boolean shared) throws IOException {
            return file.tryLock(position, size, shared);
        }

        @Override
        protected void implCloseChannel() throws IOException {
            file.close();
        }
    }
}
