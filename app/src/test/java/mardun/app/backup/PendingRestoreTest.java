package mardun.app.backup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Wherever the power is cut while a restored workroom takes its place, the next start goes on from there. */
class PendingRestoreTest {

    @TempDir
    Path data;

    @BeforeEach
    void aWorkroomAndOneToRestore() throws IOException {
        Files.writeString(data.resolve("mardun.mv.db"), "old");
        Files.createDirectory(data.resolve("pictures"));
        Files.writeString(data.resolve("pictures/old.jpg"), "old");
        Files.createDirectories(data.resolve("restore/pictures"));
        Files.writeString(data.resolve("restore/mardun.mv.db"), "new");
        Files.writeString(data.resolve("restore/pictures/new.jpg"), "new");
    }

    private void isRestored() throws IOException {
        assertThat(data.resolve("mardun.mv.db")).hasContent("new");
        assertThat(data.resolve("pictures/new.jpg")).hasContent("new");
        assertThat(data.resolve("pictures/old.jpg")).doesNotExist();
        assertThat(data.resolve("restore")).doesNotExist();
    }

    @Test
    void takesTheirPlaceAndPutsWhatWasThereAside() throws IOException {
        PendingRestore.accept(data);
        Path replaced = PendingRestore.finish(data).orElseThrow();
        isRestored();
        assertThat(replaced.resolve("mardun.mv.db")).hasContent("old");
        assertThat(replaced.resolve("pictures/old.jpg")).hasContent("old");
        assertThat(PendingRestore.finish(data)).isEmpty();
    }

    @Test
    void nothingChangesUntilItIsAccepted() throws IOException {
        assertThat(PendingRestore.finish(data)).isEmpty();
        assertThat(data.resolve("mardun.mv.db")).hasContent("old");
        PendingRestore.giveUp(data);
        assertThat(data.resolve("restore")).doesNotExist();
    }

    @Test
    void goesOnAfterTheOldDatabaseWasPutAside() throws IOException {
        PendingRestore.accept(data);
        Path replaced = data.resolve("replaced-" + Files.readString(data.resolve("restore/ready.txt")));
        Files.createDirectory(replaced);
        Files.move(data.resolve("mardun.mv.db"), replaced.resolve("mardun.mv.db"));
        PendingRestore.finish(data);
        isRestored();
        assertThat(replaced.resolve("mardun.mv.db")).hasContent("old");
    }

    @Test
    void goesOnAfterTheNewDatabaseWasPutThere() throws IOException {
        PendingRestore.accept(data);
        Path replaced = data.resolve("replaced-" + Files.readString(data.resolve("restore/ready.txt")));
        Files.createDirectory(replaced);
        Files.move(data.resolve("mardun.mv.db"), replaced.resolve("mardun.mv.db"));
        Files.move(data.resolve("restore/mardun.mv.db"), data.resolve("mardun.mv.db"));
        PendingRestore.finish(data);
        isRestored();
        assertThat(replaced.resolve("mardun.mv.db")).hasContent("old");
        assertThat(replaced.resolve("pictures/old.jpg")).hasContent("old");
    }

    @Test
    void whatCanNotBeReadLeavesNothingPending() throws IOException {
        Path file = Files.writeString(data.resolve("foreign.zip"), "foreign");
        assertThatThrownBy(() -> PendingRestore.restore(file, data)).isInstanceOf(ArchiveRefusedException.class);
        assertThat(data.resolve("restore")).doesNotExist();
        assertThat(data.resolve("mardun.mv.db")).hasContent("old");
    }
}
