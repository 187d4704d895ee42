package mardun.app.stored;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Random;

/**
 * Room on the disk that is kept for the moment when there is none left: a file of no use that is given up when something can't be
 * written, so that what was begun can be finished. As long as it is gone, nothing new is begun.
 *
 * @param folder the workroom's folder
 */
record SpareRoom(Path folder) {

    static final String NAME = "spare-room";

    /** What is being written at one moment takes a few megabytes at most. */
    static final int BYTES = 16 << 20;

    /** What has to be left beside it, so that it isn't given up again at once. */
    private static final long BESIDE = 8L << 20;

    private static final int AT_ONCE = 1 << 20;

    private Path file() {
        return folder.resolve(NAME);
    }

    boolean isKept() {
        return Files.exists(file());
    }

    /** What can still be written to the disk, in bytes, without the spare room. */
    long left() {
        try {
            return Files.getFileStore(folder).getUsableSpace();
        } catch (IOException unread) {
            throw new UncheckedIOException(unread);
        }
    }

    /** Gives it up; answers whether it was there to be given up. */
    boolean giveUp() throws IOException {
        return Files.deleteIfExists(file());
    }

    /** Takes it, if there is room enough; answers whether it is kept from now on. */
    synchronized boolean take() {
        if (isKept()) {
            return true;
        }
        if (left() < BYTES + BESIDE) {
            return false;
        }
        Path half = folder.resolve(NAME + ".half");
        try (FileChannel channel = FileChannel.open(
                half, StandardOpenOption.CREATE, StandardOpenOption.TRUNCATE_EXISTING, StandardOpenOption.WRITE)) {
            // Zeros may be kept by the disk without taking any room.
            byte[] some = new byte[AT_ONCE];
            new Random().nextBytes(some);
            for (int written = 0; written < BYTES; written += AT_ONCE) {
                ByteBuffer left = ByteBuffer.wrap(some);
                while (left.hasRemaining()) {
                    channel.write(left);
                }
            }
            channel.force(true);
            Files.move(half, file());
            return true;
        } catch (IOException noRoom) {
            half.toFile().delete();
            return false;
        }
    }
}
