package mardun.app.stored;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** A month is read anew when something of it was written, and no other one; nobody sees what somebody else hasn't committed. */
class MonthsTest {

    private static final LocalDate YEAR = LocalDate.of(2026, 1, 1);

    private record Sold(LocalDate day, String what) {}

    private final Months<Sold> months = new Months<>(Sold::day);
    private final List<Sold> stored = new ArrayList<>(List.of(
            new Sold(LocalDate.of(2026, 1, 31), "pouch"),
            new Sold(LocalDate.of(2026, 2, 1), "tote"),
            new Sold(LocalDate.of(2026, 4, 9), "wallet")));
    private final List<String> read = new ArrayList<>();

    @BeforeEach
    void begin() {
        TransactionSynchronizationManager.initSynchronization();
    }

    @AfterEach
    void end() {
        TransactionSynchronizationManager.clearSynchronization();
    }

    private List<String> sold(LocalDate from, LocalDate until) {
        return months
                .between(from, until, (first, end) -> {
                    read.add(first + " " + end);
                    return stored.stream()
                            .filter(one ->
                                    !one.day().isBefore(first) && one.day().isBefore(end))
                            .toList();
                })
                .stream()
                .map(Sold::what)
                .toList();
    }

    private List<String> halfAYear() {
        return sold(YEAR, YEAR.plusMonths(6));
    }

    private void write(Sold sold) {
        months.writes(sold.day());
        stored.add(sold);
    }

    private static void complete(int status) {
        List<TransactionSynchronization> its = TransactionSynchronizationManager.getSynchronizations();
        TransactionSynchronizationManager.clearSynchronization();
        TransactionSynchronizationManager.initSynchronization();
        its.forEach(one -> one.afterCompletion(status));
    }

    @Test
    void allIsReadAtOnceAndThenOnlyWhatWasWritten() {
        assertThat(halfAYear()).containsExactly("pouch", "tote", "wallet");
        assertThat(read).containsExactly("2026-01-01 2026-07-01");
        halfAYear();
        assertThat(read).hasSize(1);
        write(new Sold(LocalDate.of(2026, 2, 28), "purse"));
        complete(TransactionSynchronization.STATUS_COMMITTED);
        assertThat(halfAYear()).containsExactly("pouch", "tote", "purse", "wallet");
        assertThat(read).containsExactly("2026-01-01 2026-07-01", "2026-02-01 2026-03-01");
    }

    @Test
    void daysWithinAMonthAreToldApart() {
        assertThat(sold(LocalDate.of(2026, 1, 31), LocalDate.of(2026, 2, 1))).containsExactly("pouch");
        assertThat(sold(LocalDate.of(2026, 2, 1), LocalDate.of(2026, 4, 9))).containsExactly("tote");
        assertThat(sold(LocalDate.of(2026, 4, 9), LocalDate.of(2026, 4, 10))).containsExactly("wallet");
        assertThat(sold(LocalDate.of(2026, 4, 10), LocalDate.of(2026, 4, 10))).isEmpty();
    }

    @Test
    void whatWasReadWhileSomebodyWroteIsReadAgain() {
        Sold purse = new Sold(LocalDate.of(2026, 2, 28), "purse");
        months.writes(purse.day());
        assertThat(halfAYear()).doesNotContain("purse");
        stored.add(purse);
        complete(TransactionSynchronization.STATUS_COMMITTED);
        assertThat(halfAYear()).contains("purse");
        assertThat(read).endsWith("2026-02-01 2026-03-01");
    }

    @Test
    void whatIsTakenBackBeforeItWasCommittedIsForgotten() {
        halfAYear();
        write(new Sold(LocalDate.of(2026, 2, 28), "purse"));
        assertThat(halfAYear()).contains("purse");
        stored.remove(stored.size() - 1);
        complete(TransactionSynchronization.STATUS_ROLLED_BACK);
        assertThat(halfAYear()).doesNotContain("purse");
    }

    @Test
    void whatWasWrittenWhileAMonthWasReadIsReadTheNextTime() {
        Sold purse = new Sold(LocalDate.of(2026, 1, 2), "purse");
        List<Sold> old = List.copyOf(stored);
        months.between(YEAR, YEAR.plusMonths(1), (first, end) -> {
            // Somebody begins and ends between the reading and the remembering.
            write(purse);
            complete(TransactionSynchronization.STATUS_COMMITTED);
            return old;
        });
        assertThat(sold(YEAR, YEAR.plusMonths(1))).contains("purse");
    }

    @Test
    void whatIsWrittenOfNobodyKnowsWhichDayIsReadAnewEverywhere() {
        halfAYear();
        months.writesAny();
        stored.set(0, new Sold(LocalDate.of(2026, 1, 31), "clutch"));
        complete(TransactionSynchronization.STATUS_COMMITTED);
        assertThat(halfAYear()).containsExactly("clutch", "tote", "wallet");
        assertThat(read).hasSize(2);
    }
}
