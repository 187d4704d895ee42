package mardun.app.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.mock;

import jakarta.persistence.EntityManager;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import mardun.app.files.ImportViews.ImportState;
import mardun.app.files.ImportViews.ImportView;
import mardun.app.files.ListSheet.Verdict;
import mardun.app.problem.RefusedException;
import mardun.app.settings.SettingsService;
import mardun.app.show.CsvSheet;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.PlatformTransactionManager;

/** What becomes of files on their way in, whatever is in them. */
class ImportServiceTest {

    private final CountDownLatch go = new CountDownLatch(1);
    private final List<String> entered = new ArrayList<>();

    /** A list of names, whose lines are looked at only when the test says so. */
    private final ListSheet names = new ListSheet() {
        @Override
        public String key() {
            return "names";
        }

        @Override
        public List<Column> columns() {
            return List.of(new Column("name", true, ""));
        }

        @Override
        public void write(CsvSheet sheet) {
            throw new UnsupportedOperationException();
        }

        @Override
        public LineReader reader() {
            return line -> {
                waitForIt();
                String name = line.get("name");
                return Verdict.add(name, () -> entered.add(name));
            };
        }
    };

    private final ImportService imports = new ImportService(
            List.of(names),
            mock(PlatformTransactionManager.class),
            mock(EntityManager.class),
            mock(SettingsService.class));

    @AfterEach
    void stop() {
        go.countDown();
        imports.stop();
    }

    private void waitForIt() {
        try {
            go.await();
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    private static byte[] file(int lines) {
        return IntStream.rangeClosed(1, lines)
                .mapToObj(i -> "name " + i)
                .collect(Collectors.joining("\n", "name\n", "\n"))
                .getBytes(StandardCharsets.UTF_8);
    }

    private static void until(BooleanSupplier done) throws InterruptedException {
        for (int i = 0; i < 500 && !done.getAsBoolean(); i++) {
            Thread.sleep(10);
        }
        assertThat(done.getAsBoolean()).isTrue();
    }

    @Test
    void aFileThatIsBeingReadIsNeverLetGoForANewOne() throws InterruptedException {
        List<String> ids = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            ids.add(imports.open("names", file(3)).id());
        }
        assertThatThrownBy(() -> imports.open("names", file(3)))
                .isInstanceOf(RefusedException.class)
                .hasMessageContaining("8 files are being read");
        go.countDown();
        until(() -> ids.stream().allMatch(id -> imports.get(id).state() == ImportState.READ));
        ImportView ninth = imports.open("names", file(3));
        assertThat(imports.get(ninth.id()).total()).isLessThanOrEqualTo(3);
        assertThatThrownBy(() -> imports.get(ids.get(0))).hasMessageContaining("Bring it once more");
        assertThat(imports.get(ids.get(1)).adds()).isEqualTo(3);
    }

    @Test
    void whatWasEnteredKeepsItsCountsAndNotItsLines() throws InterruptedException {
        go.countDown();
        String id = imports.open("names", file(1_000)).id();
        until(() -> imports.get(id).state() == ImportState.READ);
        imports.enter(id);
        until(() -> imports.get(id).state() == ImportState.ENTERED);
        ImportView over = imports.get(id);
        assertThat(entered).hasSize(1_000).startsWith("name 1");
        assertThat(over.total()).isEqualTo(1_000);
        assertThat(over.adds()).isEqualTo(1_000);
        assertThat(over.lines()).hasSize(200);
        assertThat(over.separator()).isEqualTo("comma");
        assertThatThrownBy(() -> imports.enter(id)).hasMessageContaining("was entered already");
    }
}
