package mardun.app.stored;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import mardun.app.stored.WordedLog.Worded;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** What is found by its words is the newest of all that is stored, in whatever order it came in. */
class WordedLogTest {

    private static final Instant EVER = Instant.parse("2100-01-01T00:00:00Z");

    private final Changes changes = new Changes();
    private final List<Worded<String>> stored = new ArrayList<>();
    private final List<Long> asked = new ArrayList<>();
    private final WordedLog<String> log = new WordedLog<>(changes, "sale", number -> {
        asked.add(number);
        return stored.stream().filter(row -> row.number() > number).toList();
    });

    @BeforeEach
    void begin() {
        TransactionSynchronizationManager.initSynchronization();
    }

    @AfterEach
    void end() {
        TransactionSynchronizationManager.clearSynchronization();
    }

    private void add(String row, long number, long at, String words) {
        changes.inspect("insert into sale values (?)");
        stored.add(new Worded<>(row, number, Instant.ofEpochSecond(at), words));
        TransactionSynchronizationManager.getSynchronizations()
                .forEach(one -> one.afterCompletion(TransactionSynchronization.STATUS_COMMITTED));
        TransactionSynchronizationManager.clearSynchronization();
        TransactionSynchronizationManager.initSynchronization();
    }

    private List<String> found(String words, int most) {
        return log.found(EVER, Pattern.compile(words), row -> false, most);
    }

    @Test
    void theNewestThatHaveTheWordsAreFoundAndNoMoreThanWanted() {
        add("first", 1, 30, "Heron pouch, zip");
        add("second", 2, 10, "Tern tote");
        add("third", 3, 20, "Heron pouch, zip");
        assertThat(found("zip", 9)).containsExactly("first", "third");
        assertThat(found("zip", 1)).containsExactly("first");
        assertThat(log.found(Instant.ofEpochSecond(30), Pattern.compile("o"), row -> false, 9))
                .containsExactly("third", "second");
        assertThat(log.found(EVER, Pattern.compile("zip"), "second"::equals, 9))
                .containsExactly("first", "third", "second");
    }

    @Test
    void onlyWhatCameSinceIsReadAndNothingTwice() {
        add("late", 5_000, 1, "zip");
        found("zip", 9);
        found("zip", 9);
        assertThat(asked).hasSize(1);
        // Numbered before it, and committed after it.
        add("early", 4_500, 2, "zip");
        assertThat(found("zip", 9)).containsExactly("early", "late");
        assertThat(asked).hasSize(2);
        assertThat(asked.get(1)).isEqualTo(4_000);
    }
}
