package mardun.app.stored;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** What is remembered is never older than the last change, and never what somebody else hasn't committed. */
class RememberedTest {

    private final Changes changes = new Changes();
    private final Remembered<String, String> remembered = new Remembered<>(changes);
    private final AtomicInteger worked = new AtomicInteger();
    private String stored = "first";

    private String read() {
        return remembered.get("key", key -> {
            worked.incrementAndGet();
            return stored;
        });
    }

    @BeforeEach
    void begin() {
        TransactionSynchronizationManager.initSynchronization();
    }

    @AfterEach
    void end() {
        TransactionSynchronizationManager.clearSynchronization();
    }

    private static void complete() {
        TransactionSynchronizationManager.getSynchronizations()
                .forEach(one -> one.afterCompletion(TransactionSynchronization.STATUS_COMMITTED));
        TransactionSynchronizationManager.clearSynchronization();
        TransactionSynchronizationManager.initSynchronization();
    }

    @Test
    void itIsWorkedOutOnceUntilSomethingIsWritten() {
        assertThat(read()).isEqualTo("first");
        changes.inspect("select 1 from design");
        read();
        assertThat(worked).hasValue(1);
        changes.inspect("update design set name = ?");
        complete();
        stored = "second";
        assertThat(read()).isEqualTo("second");
    }

    @Test
    void ofManyOnlyThoseAreReadThatArentKnown() {
        List<List<String>> asked = new ArrayList<>();
        Function<List<String>, Map<String, String>> work = keys -> {
            asked.add(keys);
            return keys.stream().collect(Collectors.toMap(key -> key, key -> stored + " " + key));
        };
        assertThat(remembered.get(List.of("zip", "bead"), work))
                .containsOnly(Map.entry("zip", "first zip"), Map.entry("bead", "first bead"));
        assertThat(remembered.get(List.of("bead", "snap"), work)).containsOnlyKeys("bead", "snap");
        changes.inspect("update lot set place = ?");
        complete();
        stored = "second";
        assertThat(remembered.get(List.of("zip"), work)).containsEntry("zip", "second zip");
        assertThat(asked).containsExactly(List.of("zip", "bead"), List.of("snap"), List.of("zip"));
    }

    @Test
    void whoReadsBetweenAWriteAndItsCommitRemembersItNoLongerThanThat() {
        changes.inspect("insert into design values (?)");
        var writing = TransactionSynchronizationManager.getSynchronizations();
        TransactionSynchronizationManager.clearSynchronization();
        TransactionSynchronizationManager.initSynchronization();
        assertThat(read()).isEqualTo("first");
        stored = "committed";
        writing.forEach(one -> one.afterCompletion(TransactionSynchronization.STATUS_COMMITTED));
        assertThat(read()).isEqualTo("committed");
    }

    @Test
    void aTransactionThatHasWrittenKeepsWhatItReadsToItself() {
        assertThat(read()).isEqualTo("first");
        changes.inspect("  delete from design");
        stored = "not committed";
        assertThat(read()).isEqualTo("not committed");
        stored = "first";
        complete();
        assertThat(read()).isEqualTo("first");
    }

    @Test
    void aTableIsCountedWhenItIsWrittenAndWhenThatIsOver() {
        changes.inspect("insert into material (id) values (?)");
        changes.inspect("select 1 from batch");
        assertThat(changes.countOf("material")).isEqualTo(1);
        complete();
        assertThat(changes.countOf("material")).isEqualTo(2);
        assertThat(changes.countOf("batch")).isZero();
    }

    @Test
    void whatFollowsFromSomeTablesIsKeptWhileOthersChange() {
        Remembered<String, String> ofSome = new Remembered<>(changes, "design", "material");
        assertThat(ofSome.get("key", key -> "first")).isEqualTo("first");
        changes.inspect("update sale set note = ?");
        complete();
        assertThat(ofSome.get("key", key -> "second")).isEqualTo("first");
        changes.inspect("update material set name = ?");
        complete();
        assertThat(ofSome.get("key", key -> "third")).isEqualTo("third");
    }

    @Test
    void whatDoesNotFollowFromATableIsKeptWhileThatChangesEvenInTheSameTransaction() {
        Remembered<String, String> ofOthers = Remembered.exceptOf(changes, Set.of("packing_line"));
        assertThat(ofOthers.get("key", key -> "first")).isEqualTo("first");
        changes.inspect("insert into packing_line values (?)");
        assertThat(ofOthers.get("key", key -> "second")).isEqualTo("first");
        changes.inspect("update material set name = ?");
        assertThat(ofOthers.get("key", key -> "of this transaction")).isEqualTo("of this transaction");
        complete();
        assertThat(ofOthers.get("key", key -> "third")).isEqualTo("third");
        changes.inspect("truncate table whatever");
        complete();
        assertThat(ofOthers.get("key", key -> "fourth")).isEqualTo("fourth");
    }

    /** A table that is forgotten where it is said what something follows from would be seen too late, and by a maker. */
    @Test
    void whatIsRememberedReadsNoTableButItsOwn() {
        Remembered<String, String> ofSales = new Remembered<>(changes, "sale", "sale_line");
        Remembered<String, String> notOfNotes = Remembered.exceptOf(changes, Set.of("note"));
        String reads =
                "select s1_0.id from sale s1_0 where exists(select 1 from sale_line l1_0 join fair f on f.id = 1)";
        assertThat(ofSales.get("own", key -> changes.inspect("select 1 from sale s1_0")))
                .isNotNull();
        assertThatThrownBy(() -> ofSales.get("other", key -> changes.inspect(reads)))
                .isInstanceOf(AssertionError.class)
                .hasMessageContaining("[fair]");
        assertThat(notOfNotes.get("own", key -> changes.inspect(reads))).isNotNull();
        assertThatThrownBy(() -> notOfNotes.get(
                        "within", outer -> notOfNotes.get("note", key -> changes.inspect("select 1 from note"))))
                .isInstanceOf(AssertionError.class);
        assertThat(changes.inspect("select 1 from note"))
                .as("nothing is worked out now")
                .isNotNull();
    }
}
