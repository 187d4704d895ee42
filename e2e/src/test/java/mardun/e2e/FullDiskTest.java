package mardun.e2e;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.UUID;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/**
 * The application on a small disk that another program fills up to the last byte: what it acknowledged is there, nothing fails but with
 * the reason, and it goes on once there is room. Only who may mount a disk can try it.
 */
class FullDiskTest {

    private static final int MEGABYTES = 80;
    private static final int STORED = 201;
    private static final int FULL = 507;

    private static Path disk;

    @BeforeAll
    static void aSmallDisk() throws Exception {
        disk = Files.createTempDirectory("mardun-small-disk");
        assumeTrue(
                did("mount", "-t", "tmpfs", "-o", "size=" + MEGABYTES + "m", "tmpfs", disk.toString()),
                "a small disk can be mounted");
    }

    @AfterAll
    static void away() throws Exception {
        did("umount", disk.toString());
        Files.delete(disk);
    }

    private static boolean did(String... command) throws Exception {
        try {
            return new ProcessBuilder(command)
                            .redirectErrorStream(true)
                            .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                            .start()
                            .waitFor()
                    == 0;
        } catch (IOException notThere) {
            return false;
        }
    }

    private static int newFair(PackagedApp app) {
        return app.tryPost(
                "/api/fairs",
                "{\"requestId\":\"%s\",\"name\":\"Fair\",\"heldOn\":\"%s\"}"
                        .formatted(UUID.randomUUID(), LocalDate.now().plusDays(40)));
    }

    private static long there(PackagedApp app) throws IOException {
        return app.get("/api/fairs").split("\"name\":\"Fair\"", -1).length - 1L;
    }

    @Test
    void itSaysThatTheDiskIsFullReadsOnAndWritesOnceThereIsRoom() throws IOException {
        try (PackagedApp app = PackagedApp.on(Files.createDirectory(disk.resolve("workroom")))) {
            assertThat(newFair(app)).isEqualTo(STORED);
            int stored = 1;
            Path other = disk.resolve("other");
            for (int i = 0; i < 3; i++) {
                fill(other);
                int status = STORED;
                while (status == STORED) {
                    status = newFair(app);
                    stored += status == STORED ? 1 : 0;
                }
                assertThat(status).isEqualTo(FULL);
                assertThat(newFair(app)).isEqualTo(FULL);
                assertThat(there(app)).isEqualTo(stored);
                Files.delete(other);
                assertThat(newFair(app)).isEqualTo(STORED);
                stored++;
                assertThat(there(app)).isEqualTo(stored);
            }
            app.kill();
            app.start();
            assertThat(there(app)).isEqualTo(stored);
        }
    }

    private static void fill(Path file) throws IOException {
        byte[] some = new byte[4096];
        try (OutputStream out = Files.newOutputStream(file)) {
            for (; ; ) {
                out.write(some);
            }
        } catch (IOException full) {
            assertThat(full).hasMessageContaining("No space left");
        }
    }
}
