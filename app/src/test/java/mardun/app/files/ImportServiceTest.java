package mardun.app.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyString;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import jakarta.persistence.EntityManager;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CountDownLatch;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import mardun.app.backup.BeforeImport;
import mardun.app.files.ImportViews.ImportState;
import mardun.app.files.ImportViews.ImportView;
import mardun.app.files.ListSheet.Verdict;
import mardun.app.problem.RefusedException;
import mardun.app.settings.SettingsService;
import mardun.app.show.CsvSheet;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.PlatformTransactionManager;

/** What becomes of files on their way in, whatever is in them. */
class ImportServiceTest {

    private final CountDownLatch go = new CountDownLatch(1);
    private final List<String> entered = new ArrayList<>();
    private final Map<String, TakenFile> kept = new HashMap<>();
    private final TakenFileRepository files = mock(TakenFileRepository.class);
    private int readers;
    private String refused = "";

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
        public LineReader reader(List<SheetLine> lines) {
            readers++;
            return line -> {
                waitForIt();
                String name = line.get("name");
                return name.equals(refused)
                        ? Verdict.refuse(name, List.of("It is in the book already."))
                        : Verdict.add(name, () -> entered.add(name));
            };
        }
    };

    private final BeforeImport before = mock(BeforeImport.class);

    private final ImportService imports = new ImportService(
            List.of(names),
            mock(PlatformTransactionManager.class),
            mock(EntityManager.class),
            mock(SettingsService.class),
            files,
            before,
            Clock.systemUTC());

    @BeforeEach
    void keepFiles() {
        when(files.findById(anyString()))
                .thenAnswer(asked -> Optional.ofNullable(kept.get(asked.<String>getArgument(0))));
        when(files.save(any())).thenAnswer(asked -> {
            TakenFile file = asked.getArgument(0);
            kept.put(file.mark(), file);
            return file;
        });
        when(files.findBrokenOff())
                .thenAnswer(asked ->
                        kept.values().stream().filter(file -> !file.isWhole()).toList());
    }

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

    @Test
    void aLongFileGoesInByPartsThatEachKnowWhatIsThereNow() throws InterruptedException {
        go.countDown();
        String id = imports.open("names", file(1_200)).id();
        until(() -> imports.get(id).state() == ImportState.READ);
        readers = 0;
        imports.enter(id);
        until(() -> imports.get(id).state() == ImportState.ENTERED);
        assertThat(readers).isEqualTo(3);
        assertThat(entered).hasSize(1_200).endsWith("name 1200");
        assertThat(imports.brokenOff()).isEmpty();
        String again = imports.open("names", file(1_200)).id();
        until(() -> imports.get(again).state() == ImportState.READ);
        assertThat(imports.get(again).note()).contains("This very file was entered on", "a second time");
    }

    @Test
    void noLineIsSaidToBeInBeforeItIs() throws InterruptedException {
        go.countDown();
        String id = imports.open("names", file(1_200)).id();
        until(() -> imports.get(id).state() == ImportState.READ);
        CountDownLatch asked = new CountDownLatch(1);
        when(files.findById(anyString())).thenAnswer(waits -> {
            asked.await();
            return Optional.empty();
        });
        ImportView begun = imports.enter(id);
        assertThat(begun.state()).isEqualTo(ImportState.ENTERING);
        assertThat(begun.done()).isZero();
        asked.countDown();
        until(() -> imports.get(id).state() == ImportState.ENTERED);
        assertThat(imports.get(id).done()).isEqualTo(1_200);
    }

    @Test
    void withoutABackupNothingComesIn() throws InterruptedException {
        go.countDown();
        doThrow(RefusedException.conflict("The backup couldn't be written."))
                .when(before)
                .keep();
        String id = imports.open("names", file(3)).id();
        until(() -> imports.get(id).state() == ImportState.READ);
        imports.enter(id);
        until(() -> imports.get(id).state() == ImportState.REFUSED);
        assertThat(imports.get(id).refusal()).contains("couldn't be written", "Nothing was entered");
        assertThat(entered).isEmpty();
    }

    @Test
    void aFileThatIsRefusedOnItsWayGoesOnWhereItStopped() throws InterruptedException {
        go.countDown();
        String id = imports.open("names", file(1_200)).id();
        until(() -> imports.get(id).state() == ImportState.READ);
        refused = "name 703";
        imports.enter(id);
        until(() -> imports.get(id).state() == ImportState.REFUSED);
        assertThat(imports.get(id).refusal())
                .isEqualTo("Something changed since the file was looked at, and now row 704 is refused:"
                        + " It is in the book already. Of its 1200 lines the first 702 are entered."
                        + " Bring the same file again, and it goes on from there.");
        assertThat(entered).hasSize(702).endsWith("name 702");
        assertThat(imports.brokenOff()).singleElement().satisfies(file -> {
            assertThat(file.linesIn()).isEqualTo(702);
            assertThat(file.total()).isEqualTo(1_200);
        });

        refused = "";
        String again = imports.open("names", file(1_200)).id();
        until(() -> imports.get(again).state() == ImportState.READ);
        assertThat(imports.get(again).note()).contains("the first 702 are entered; it goes on from there");
        assertThat(imports.get(again).same()).isEqualTo(702);
        assertThat(imports.get(again).adds()).isEqualTo(498);
        imports.enter(again);
        until(() -> imports.get(again).state() == ImportState.ENTERED);
        assertThat(entered).hasSize(1_200).doesNotHaveDuplicates();
        assertThat(imports.brokenOff()).isEmpty();
    }

    @Test
    void aFileThatIsOpenTwiceIsEnteredOnce() throws InterruptedException {
        go.countDown();
        String one = imports.open("names", file(20)).id();
        String other = imports.open("names", file(20)).id();
        until(() -> imports.get(other).state() == ImportState.READ);
        imports.enter(one);
        imports.enter(other);
        until(() -> imports.get(other).state() == ImportState.REFUSED);
        assertThat(imports.get(one).state()).isEqualTo(ImportState.ENTERED);
        assertThat(imports.get(other).refusal()).contains("was entered meanwhile", "Bring it once more");
        assertThat(entered).hasSize(20);
    }
}
