package mardun.app.stored;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.ClosedChannelException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import org.h2.store.fs.FileBaseDefault;

/**
 * A file of the database. What can't be written to it is tried once more with the spare room given up. A thread that is interrupted closes
 * the channel that it reads or writes, under all others: then the file is opened anew, since the database would close itself for good.
 */
final class DurableFile extends FileBaseDefault {

    private final Opening opening;
    private final SpareRoom spare;
    private volatile FileChannel channel;
    private boolean isClosed;
    private boolean isLocked;

    /** How the file is opened: made at first if it isn't there, and never again, as what the database knows of it would be gone. */
    interface Opening {
        FileChannel open(boolean isFirst) throws IOException;
    }

    /** What is done with the channel. */
    private interface Work<T> {
        T on(FileChannel channel) throws IOException;
    }

    DurableFile(Opening opening, SpareRoom spare) throws IOException {
        this.opening = opening;
        this.spare = spare;
        this.channel = opening.open(true);
    }

    private <T> T done(Work<T> work) throws IOException {
        boolean isInterrupted = Thread.interrupted();
        try {
            while (true) {
                FileChannel its = channel;
                try {
                    return work.on(its);
                } catch (ClosedChannelException closed) {
                    isInterrupted |= Thread.interrupted();
                    openAnew(its, closed);
                }
            }
        } finally {
            if (isInterrupted) {
                Thread.currentThread().interrupt();
            }
        }
    }

    /** Unless somebody did already, or it was closed on purpose. */
    private synchronized void openAnew(FileChannel before, ClosedChannelException why) throws IOException {
        if (isClosed) {
            throw why;
        }
        if (channel == before) {
            channel = opening.open(false);
            if (isLocked) {
                channel.tryLock();
            }
        }
    }

    @Override
    public int write(ByteBuffer source, long position) throws IOException {
        int begin = source.position();
        try {
            return done(its -> its.write(source.position(begin), position));
        } catch (IOException failed) {
            if (!spare.giveUp()) {
                throw failed;
            }
            return done(its -> its.write(source.position(begin), position));
        }
    }

    @Override
    public int read(ByteBuffer target, long position) throws IOException {
        int begin = target.position();
        return done(its -> its.read(target.position(begin), position));
    }

    @Override
    public long size() throws IOException {
        return done(FileChannel::size);
    }

    @Override
    protected void implTruncate(long size) throws IOException {
        done(its -> its.truncate(size));
    }

    @Override
    public void force(boolean metaData) throws IOException {
        done(its -> {
            its.force(metaData);
            return its;
        });
    }

    @Override
    public FileLock tryLock(long position, long size, boolean shared) throws IOException {
        FileLock lock = done(its -> its.tryLock(position, size, shared));
        synchronized (this) {
            isLocked = lock != null;
        }
        return lock;
    }

    @Override
    protected synchronized void implCloseChannel() throws IOException {
        isClosed = true;
        channel.close();
    }
}
