package mardun.app.material;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyCollection;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import java.lang.reflect.Field;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import mardun.app.id.MaterialId;
import mardun.core.material.MovementKind;
import mardun.core.material.Part;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.util.ReflectionUtils;

/** Whoever reads sees what is committed, no more and no less, however reading and writing meet. */
class KnownMovementsTest {

    private static final MaterialId ZIP = new MaterialId(7);

    private final List<StockMovement> stored = new ArrayList<>();
    private final StockMovementRepository repository = mock(StockMovementRepository.class);
    private final KnownMovements known = new KnownMovements(repository);
    private Runnable whileReading = () -> {};
    private long lastId;

    @BeforeEach
    void begin() {
        TransactionSynchronizationManager.initSynchronization();
        when(repository.save(any())).thenAnswer(call -> call.getArgument(0));
        when(repository.findByMaterialIdInAndMovedAtLessThanOrderByMovedAtAscIdAsc(anyCollection(), any()))
                .thenAnswer(call -> {
                    Collection<MaterialId> ids = call.getArgument(0);
                    List<StockMovement> read = stored.stream()
                            .filter(one -> ids.contains(one.materialId()))
                            .toList();
                    whileReading.run();
                    return read;
                });
        when(repository.onHand(anyCollection())).thenAnswer(call -> summed());
        when(repository.onHand()).thenAnswer(call -> summed());
    }

    private List<OnHand> summed() {
        List<OnHand> sums = stored.isEmpty()
                ? List.of()
                : List.of(new OnHand(
                        ZIP,
                        Part.WHOLE,
                        stored.stream().mapToLong(StockMovement::changeValue).sum()));
        whileReading.run();
        return sums;
    }

    private long onHand() {
        return known.sums().measured().stream().mapToLong(OnHand::value).sum();
    }

    @AfterEach
    void end() {
        TransactionSynchronizationManager.clearSynchronization();
    }

    private StockMovement movement(long change) {
        StockMovement movement = new StockMovement(
                ZIP, null, null, Part.WHOLE, false, MovementKind.COUNTED, change, 0, "", Instant.EPOCH);
        Field id = ReflectionUtils.findField(StockMovement.class, "id");
        ReflectionUtils.makeAccessible(id);
        ReflectionUtils.setField(id, movement, ++lastId);
        return movement;
    }

    private List<Long> read() {
        return known.of(List.of(ZIP)).get(ZIP).all().stream()
                .map(StockMovement::changeValue)
                .toList();
    }

    private void over(int status) {
        TransactionSynchronizationManager.getSynchronizations().forEach(one -> one.afterCompletion(status));
        TransactionSynchronizationManager.clearSynchronization();
        TransactionSynchronizationManager.initSynchronization();
    }

    private void commit(StockMovement movement) {
        stored.add(movement);
        over(TransactionSynchronization.STATUS_COMMITTED);
    }

    @Test
    void whatWasReadIsNotReadAgainAndGrowsWithEachCommit() {
        commit(known.save(movement(10)));
        assertThat(read()).containsExactly(10L);
        commit(known.save(movement(-3)));
        assertThat(read()).containsExactly(10L, -3L);
        verify(repository, times(1)).findByMaterialIdInAndMovedAtLessThanOrderByMovedAtAscIdAsc(anyCollection(), any());
    }

    @Test
    void whoReadsBetweenTheCommitAndItsTellingReadsWhatIsStored() {
        commit(known.save(movement(10)));
        read();
        stored.add(known.save(movement(-10)));
        // Committed, and nobody was told yet.
        assertThat(read()).containsExactly(10L, -10L);
        over(TransactionSynchronization.STATUS_COMMITTED);
        assertThat(read()).containsExactly(10L, -10L);
    }

    @Test
    void whatIsTakenBackWasNeverThere() {
        commit(known.save(movement(10)));
        read();
        known.save(movement(-10));
        over(TransactionSynchronization.STATUS_ROLLED_BACK);
        assertThat(read()).containsExactly(10L);
    }

    @Test
    void whatWasReadWhileSomebodyCommittedIsNotKept() {
        commit(known.save(movement(10)));
        whileReading = () -> {
            whileReading = () -> {};
            commit(known.save(movement(5)));
        };
        assertThat(read()).containsExactly(10L);
        assertThat(read()).containsExactly(10L, 5L);
    }

    @Test
    void whatIsOnHandIsAddedUpAnewForWhatWasWritten() {
        commit(known.save(movement(10)));
        assertThat(onHand()).isEqualTo(10);
        assertThat(onHand()).isEqualTo(10);
        verify(repository, times(1)).onHand();
        verify(repository, never()).onHand(anyCollection());
        stored.add(known.save(movement(-4)));
        // Committed, and nobody was told yet.
        assertThat(onHand()).isEqualTo(6);
        over(TransactionSynchronization.STATUS_COMMITTED);
        assertThat(onHand()).isEqualTo(6);
        known.save(movement(-6));
        over(TransactionSynchronization.STATUS_ROLLED_BACK);
        assertThat(onHand()).isEqualTo(6);
        known.remove(ZIP);
        stored.clear();
        over(TransactionSynchronization.STATUS_COMMITTED);
        assertThat(onHand()).isZero();
        verify(repository, times(1)).onHand();
    }

    @Test
    void whatWasAddedUpWhileSomebodyCommittedIsNotKept() {
        commit(known.save(movement(10)));
        whileReading = () -> {
            whileReading = () -> {};
            commit(known.save(movement(5)));
        };
        assertThat(onHand()).isIn(10L, 15L);
        assertThat(onHand()).isEqualTo(15);
    }

    @Test
    void whatIsRemovedIsGone() {
        commit(known.save(movement(10)));
        read();
        known.remove(ZIP);
        stored.clear();
        over(TransactionSynchronization.STATUS_COMMITTED);
        assertThat(read()).isEmpty();
    }
}
