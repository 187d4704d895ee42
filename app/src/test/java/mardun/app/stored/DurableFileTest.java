package mardun.app.stored;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.ClosedByInterruptException;
import java.nio.channels.ClosedChannelException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A full disk takes the spare room before it fails a write. */
class DurableFileTest {

    @TempDir
    private Path folder;

    /** A channel on a disk that is full as long as the spare room is kept. */
    private FileChannel full() throws IOException {
        FileChannel channel = mock(FileChannel.class);
        when(channel.write(any(ByteBuffer.class), anyLong())).thenAnswer(call -> {
            ByteBuffer source = call.getArgument(0);
            if (new SpareRoom(folder).isKept()) {
                source.get();
                throw new IOException("No space left on device");
            }
            int written = source.remaining();
            source.position(source.limit());
            return written;
        });
        return channel;
    }

    @Test
    void whatWasBegunIsWrittenWhole() throws IOException {
        SpareRoom spare = new SpareRoom(folder);
        assertThat(spare.take()).isTrue();
        assertThat(Files.size(folder.resolve(SpareRoom.NAME))).isEqualTo(SpareRoom.BYTES);
        try (DurableFile file = new DurableFile(isFirst -> full(), spare)) {
            assertThat(file.write(ByteBuffer.wrap(new byte[100]), 0)).isEqualTo(100);
        }
        assertThat(spare.isKept()).isFalse();
    }

    @Test
    void withoutSpareRoomTheWriteFails() throws IOException {
        FileChannel broken = mock(FileChannel.class);
        when(broken.write(any(ByteBuffer.class), anyLong())).thenThrow(new IOException("No space left on device"));
        try (DurableFile file = new DurableFile(isFirst -> broken, new SpareRoom(folder))) {
            assertThatThrownBy(() -> file.write(ByteBuffer.wrap(new byte[100]), 0))
                    .isInstanceOf(IOException.class);
        }
    }

    /** Who is interrupted while the database writes would close it for everybody. */
    @Test
    void whoIsInterruptedWritesToTheEnd() throws IOException {
        Path there = folder.resolve("there");
        FileChannel stopped = mock(FileChannel.class);
        when(stopped.write(any(ByteBuffer.class), anyLong())).thenAnswer(call -> {
            ByteBuffer source = call.getArgument(0);
            source.get();
            Thread.currentThread().interrupt();
            throw new ClosedByInterruptException();
        });
        Iterator<FileChannel> channels = List.of(
                        stopped, FileChannel.open(there, StandardOpenOption.CREATE, StandardOpenOption.WRITE))
                .iterator();
        try (DurableFile file = new DurableFile(isFirst -> channels.next(), new SpareRoom(folder))) {
            assertThat(file.write(ByteBuffer.wrap(new byte[] {1, 2, 3}), 0)).isEqualTo(3);
            assertThat(Thread.interrupted()).as("it is told all the same").isTrue();
            Thread.currentThread().interrupt();
            assertThat(file.write(ByteBuffer.wrap(new byte[] {4}), 3)).isEqualTo(1);
            assertThat(Thread.interrupted()).isTrue();
        }
        assertThat(Files.readAllBytes(there)).containsExactly(1, 2, 3, 4);
    }

    @Test
    void whatIsClosedStaysClosed() throws IOException {
        Path there = folder.resolve("there");
        DurableFile file = new DurableFile(
                isFirst -> FileChannel.open(there, StandardOpenOption.CREATE, StandardOpenOption.WRITE),
                new SpareRoom(folder));
        file.close();
        assertThatThrownBy(() -> file.write(ByteBuffer.wrap(new byte[1]), 0)).isInstanceOf(IOException.class);
        assertThatThrownBy(file::size).isInstanceOf(ClosedChannelException.class);
    }

    /** Written to the same places of an empty file, all that was there before would be missing. */
    @Test
    void whatIsGoneIsntMadeAnew() throws IOException {
        List<Boolean> opened = new ArrayList<>();
        FileChannel stopped = mock(FileChannel.class);
        when(stopped.write(any(ByteBuffer.class), anyLong())).thenThrow(new ClosedByInterruptException());
        DurableFile file = new DurableFile(
                isFirst -> {
                    opened.add(isFirst);
                    if (!isFirst) {
                        throw new NoSuchFileException("gone");
                    }
                    return stopped;
                },
                new SpareRoom(folder));
        assertThatThrownBy(() -> file.write(ByteBuffer.wrap(new byte[1]), 0)).isInstanceOf(NoSuchFileException.class);
        assertThat(opened).containsExactly(true, false);
    }

    @Test
    void theDatabaseStaysOpenForThoseWhoArentInterrupted() throws Exception {
        DurableFiles.register();
        String url = "jdbc:h2:durable:" + folder.resolve("kept") + ";WRITE_DELAY=0";
        try (Connection stopped = DriverManager.getConnection(url);
                Connection other = DriverManager.getConnection(url)) {
            stopped.createStatement().execute("create table kept(number int primary key, words varchar)");
            for (int i = 0; i < 200; i++) {
                stopped.setAutoCommit(false);
                stopped.createStatement().execute("insert into kept values (" + i + ", repeat('x', 2000))");
                Thread.currentThread().interrupt();
                stopped.commit();
                assertThat(Thread.interrupted()).isTrue();
                other.createStatement().execute("update kept set words = '' where number = " + i);
            }
        }
        try (Connection later = DriverManager.getConnection(url);
                ResultSet count = later.createStatement().executeQuery("select count(*) from kept where words = ''")) {
            count.next();
            assertThat(count.getInt(1)).isEqualTo(200);
        }
    }
}
