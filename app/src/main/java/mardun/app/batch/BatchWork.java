package mardun.app.batch;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import mardun.app.id.BatchId;
import mardun.app.log.BenchLog;
import mardun.app.log.BenchLog.LoggedLine;
import mardun.app.log.LogEntry;
import mardun.app.plan.BatchPlans;
import mardun.app.plan.Planned;
import mardun.app.settings.SettingsService;
import mardun.core.making.Operation;
import mardun.core.making.WorkOrder.Turn;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A batch while it is worked on: what comes next in its order, and what was counted. */
@Service
public class BatchWork {

    private final BatchRepository repository;
    private final Batches batches;
    private final BatchPlans plans;
    private final WorkOrders orders;
    private final BatchReading reading;
    private final BenchLog log;
    private final SettingsService settings;

    BatchWork(
            BatchRepository repository,
            Batches batches,
            BatchPlans plans,
            WorkOrders orders,
            BatchReading reading,
            BenchLog log,
            SettingsService settings) {
        this.repository = repository;
        this.batches = batches;
        this.plans = plans;
        this.orders = orders;
        this.reading = reading;
        this.log = log;
        this.settings = settings;
    }

    /**
     * A batch at work.
     *
     * @param turns what is still to be done, in its order
     * @param done the operations that are done for all bags
     */
    public record AtWork(OpenWork work, boolean isOpen, Planned planned, List<Turn> turns, List<Operation> done) {}

    /** How a batch stands. */
    @Transactional(readOnly = true)
    public AtWork of(BatchId id) {
        Batch batch = batches.find(id);
        Planned planned = plans.of(batches.chosen(batch), settings.current());
        OpenWork work = reading.work(batch, planned);
        List<Turn> turns = batch.stage().isOpen()
                ? orders.soon(work, orders.workshop(settings.current()))
                        .map(order -> order.turns())
                        .orElse(List.of())
                : List.of();
        List<Operation> done = planned.plan().operations().stream()
                .filter(operation -> turns.stream().noneMatch(turn -> isOf(turn, operation)))
                .toList();
        return new AtWork(work, batch.stage().isOpen(), planned, turns, done);
    }

    private static boolean isOf(Turn turn, Operation operation) {
        return operation.parts().stream()
                .anyMatch(part -> turn.parts().stream()
                        .anyMatch(its -> its.line() == part.line()
                                && its.step().key().equals(part.step().key())));
    }

    /**
     * Keeps what happened to a batch.
     *
     * @return why what can't be kept can't, by the ids of the entries; empty where all is kept
     */
    @Transactional
    public Map<UUID, String> keep(BatchId id, List<LogEntry> entries) {
        Optional<Batch> batch = repository.findForChange(id.value());
        if (batch.isEmpty()) {
            return entries.stream()
                    .collect(Collectors.toMap(
                            LogEntry::id, entry -> "There is no batch " + id + ", or no longer.", (one, other) -> one));
        }
        Map<Integer, LoggedLine> lines = batch.get().lines().stream()
                .map(StoredLine::chosen)
                .collect(Collectors.toMap(line -> line.number(), line -> new LoggedLine(line.designId(), line.done())));
        log.keep(
                entries.stream()
                        .filter(entry -> lines.containsKey(entry.line()))
                        .toList(),
                lines);
        return entries.stream()
                .filter(entry -> !lines.containsKey(entry.line()))
                .collect(Collectors.toMap(
                        LogEntry::id,
                        entry -> "Batch " + id + " has no line " + entry.line() + " any more.",
                        (one, other) -> one));
    }
}
