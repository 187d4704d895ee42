package mardun.app.stored;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import org.h2.store.fs.FileBaseDefault;

/** A file of the database. What can't be written to it is tried once more with the spare room given up. */
final class DurableFile extends FileBaseDefault {

    private final FileChannel channel;
    private final SpareRoom spare;

    DurableFile(FileChannel channel, SpareRoom spare) {
        this.channel = channel;
        this.spare = spare;
    }

    @Override
    public int write(ByteBuffer source, long position) throws IOException {
        int begin = source.position();
        try {
            return channel.write(source, position);
        } catch (IOException failed) {
            source.position(begin);
            if (!spare.giveUp()) {
                throw failed;
            }
            return channel.write(source, position);
        }
    }

    @Override
    public int read(ByteBuffer target, long position) throws IOException {
        return channel.read(target, position);
    }

    @Override
    public long size() throws IOException {
        return channel.size();
    }

    @Override
    protected void implTruncate(long size) throws IOException {
        channel.truncate(size);
    }

    @Override
    public void force(boolean metaData) throws IOException {
        channel.force(metaData);
    }

    @Override
    public FileLock tryLock(long position, long size, boolean shared) throws IOException {
        return channel.tryLock(position, size, shared);
    }

    @Override
    protected void implCloseChannel() throws IOException {
        channel.close();
    }
}
