package mardun.app.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import mardun.app.problem.RefusedException;

/** A file as it was sent, on the disk until it is taken in: one with photos is too large for the memory. */
record SentFile(Path path) implements AutoCloseable {

    private static final long MOST_BYTES = 500_000_000;

    /**
     * Writes what comes to the disk.
     *
     * @throws RefusedException if it is too large
     */
    static SentFile of(InputStream in) throws IOException {
        SentFile file = new SentFile(Files.createTempFile("designs-", ".sent"));
        try (OutputStream out = Files.newOutputStream(file.path())) {
            byte[] part = new byte[1 << 16];
            long bytes = 0;
            for (int read = in.read(part); read >= 0; read = in.read(part)) {
                bytes += read;
                if (bytes > MOST_BYTES) {
                    throw RefusedException.conflict("The file is larger than " + MOST_BYTES / 1_000_000 + " MB.");
                }
                out.write(part, 0, read);
            }
            return file;
        } catch (IOException | RuntimeException failed) {
            file.close();
            throw failed;
        }
    }

    /** All of it, one byte more than is wanted at most. */
    byte[] bytes(int most) throws IOException {
        try (InputStream in = Files.newInputStream(path)) {
            return in.readNBytes(most + 1);
        }
    }

    @Override
    public void close() throws IOException {
        Files.deleteIfExists(path);
    }
}
