package mardun.app.stored;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
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
        try (DurableFile file = new DurableFile(full(), spare)) {
            assertThat(file.write(ByteBuffer.wrap(new byte[100]), 0)).isEqualTo(100);
        }
        assertThat(spare.isKept()).isFalse();
    }

    @Test
    void withoutSpareRoomTheWriteFails() throws IOException {
        FileChannel broken = mock(FileChannel.class);
        when(broken.write(any(ByteBuffer.class), anyLong())).thenThrow(new IOException("No space left on device"));
        try (DurableFile file = new DurableFile(broken, new SpareRoom(folder))) {
            assertThatThrownBy(() -> file.write(ByteBuffer.wrap(new byte[100]), 0))
                    .isInstanceOf(IOException.class);
        }
    }
}
