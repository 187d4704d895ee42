package mardun.app.batch;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import mardun.app.batch.CutAgainViews.CutAgainView;
import mardun.app.id.BatchId;
import mardun.app.log.BenchLog;
import mardun.app.log.BenchLog.LoggedLine;
import mardun.app.log.LogEntry;
import mardun.app.log.LoggedTouch;
import mardun.app.note.NoteService;
import mardun.app.plan.BatchPlans;
import mardun.app.plan.ChosenBatch;
import mardun.app.plan.Planned;
import mardun.app.plan.Planned.PlannedLine;
import mardun.app.plan.StepTook;
import mardun.app.problem.RefusedException;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.core.batch.Need;
import mardun.core.design.Design;
import mardun.core.making.Counted;
import mardun.core.making.Operation;
import mardun.core.making.OrderWishes.Habit;
import mardun.core.making.Prompt;
import mardun.core.making.Stage;
import mardun.core.making.WorkOrder.Turn;
import org.jspecify.annotations.Nullable;
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
    private final BenchSlips slips;
    private final CuttingAgain again;
    private final NoteService notes;
    private final TrueTimes times;
    private final SettingsService settings;

    BatchWork(
            BatchRepository repository,
            Batches batches,
            BatchPlans plans,
            WorkOrders orders,
            BatchReading reading,
            BenchLog log,
            BenchSlips slips,
            CuttingAgain again,
            NoteService notes,
            TrueTimes times,
            SettingsService settings) {
        this.repository = repository;
        this.batches = batches;
        this.plans = plans;
        this.orders = orders;
        this.reading = reading;
        this.log = log;
        this.slips = slips;
        this.again = again;
        this.notes = notes;
        this.times = times;
        this.settings = settings;
    }

    /**
     * A batch at work.
     *
     * @param turns what is still to be done, in its order
     * @param done the operations that are done for all bags
     * @param slips what went wrong, and wasn't withdrawn
     * @param recuts what was cut once more because of it, by its id
     * @param takes what one bag takes beside cloth, of each line of which some are to be made
     * @param isOneFirst one bag is sewn to the end before the others are begun
     */
    public record AtWork(
            OpenWork work,
            boolean isOpen,
            Planned planned,
            List<Turn> turns,
            List<Operation> done,
            List<BenchLog.Slip> slips,
            Map<UUID, List<BenchLog.Recut>> recuts,
            Map<Integer, List<Need>> takes,
            boolean isOneFirst) {

        /** Whether all steps of a line are done for one bag or more. */
        public boolean firstIsSewn() {
            return planned.lines().stream()
                    .anyMatch(line -> line.chosen().done() > planned.counted().scrapped(line.number())
                            || line.design().steps().stream()
                                    .filter(step -> step.stage() != Stage.CUT)
                                    .allMatch(step -> planned.counted().of(line.number(), step.key()) > 0));
        }
    }

    /** Refuses what is asked of a batch that there isn't, before anything of it is kept. */
    @Transactional(readOnly = true)
    public void checkThere(BatchId id) {
        batches.find(id);
    }

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
        Map<Integer, List<Need>> takes = planned.lines().stream()
                .filter(line -> line.chosen().open() > 0)
                .collect(Collectors.toMap(
                        PlannedLine::number, line -> plans.besideCloth(planned, Map.of(line.number(), 1))));
        List<BenchLog.Slip> slipped = log.slips(id);
        return new AtWork(
                work,
                batch.stage().isOpen(),
                planned,
                turns,
                done,
                slipped,
                log.recuts(slipped.stream().map(BenchLog.Slip::id).toList()),
                takes,
                work.wishes().habits().contains(Habit.ONE_FIRST));
    }

    /**
     * What became of a batch, done or not yet.
     *
     * @param asPlanned the designs of its lines with the times that it was planned with
     * @param took how long its steps took as far as they were timed; empty where nothing was
     * @param touches what was logged, in its order
     */
    public record Outcome(
            BatchId id,
            boolean isOpen,
            Planned planned,
            Map<Integer, Design> asPlanned,
            Map<Integer, List<StepTook>> took,
            List<LoggedTouch> touches) {}

    /** What became of a batch so far. */
    @Transactional(readOnly = true)
    public Outcome outcome(BatchId id) {
        Batch batch = batches.find(id);
        ChosenBatch chosen = batches.chosen(batch);
        Planned planned = plans.of(chosen, settings.current());
        return new Outcome(
                id,
                batch.stage().isOpen(),
                planned,
                plans.designsAsPlanned(chosen),
                times.of(id, planned),
                log.touches(id));
    }

    /**
     * From what pieces of a line can be cut once more now that its cloth is cut.
     *
     * @param pieces their letters, each as often as a bag needs another; none for no more than which pieces there are
     * @param whole all pieces instead
     * @param bags for how many bags, 1 to 1000
     */
    @Transactional(readOnly = true)
    public CutAgainView cutAgain(BatchId id, int line, List<String> pieces, boolean whole, int bags) {
        Batch batch = batches.find(id);
        batch.line(line)
                .orElseThrow(() -> RefusedException.missing("Batch " + id + " has no line " + line + " any more."));
        Settings current = settings.current();
        Planned planned = plans.of(batches.chosen(batch), current);
        CuttingAgain.Asked asked =
                whole ? CuttingAgain.wholeBags(planned.line(line), bags) : new CuttingAgain.Asked(line, pieces, bags);
        return again.view(planned, asked, current);
    }

    private static boolean isOf(Turn turn, Operation operation) {
        return operation.parts().stream()
                .anyMatch(part -> turn.parts().stream()
                        .anyMatch(its -> its.line() == part.line()
                                && its.step().key().equals(part.step().key())));
    }

    /**
     * Keeps what happened to a batch, and books what follows from it.
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
        List<LogEntry> unknown = log.unknown(entries);
        if (unknown.isEmpty()) {
            return Map.of();
        }
        Map<Integer, LoggedLine> lines = batch.get().lines().stream()
                .map(StoredLine::chosen)
                .collect(Collectors.toMap(line -> line.number(), line -> new LoggedLine(line.designId(), line.done())));
        BenchSlips.Booking slipping = slips.of(batch.get());
        Gates gates = new Gates(batch.get());
        Map<UUID, String> refused = new LinkedHashMap<>();
        List<LogEntry> kept = new ArrayList<>();
        for (LogEntry entry : unknown) {
            Optional<String> refusal = !lines.containsKey(entry.line())
                    ? Optional.of("Batch " + id + " has no line " + entry.line() + " any more.")
                    : switch (entry.kind()) {
                        case SLIPPED -> slipping.slip(entry);
                        case WITHDRAWN -> slipping.withdraw(entry);
                        case WORKED -> gates.refusal(entry);
                        case LEFT_OUT, PUT_RIGHT -> correction(id, entry);
                        case NOTED -> note(entry);
                        case SET_UP, FINISHED -> Optional.empty();
                    };
            refusal.ifPresentOrElse(reason -> refused.put(entry.id(), reason), () -> kept.add(entry));
        }
        log.keep(kept, lines);
        slipping.settle();
        return refused;
    }

    private Optional<String> note(LogEntry entry) {
        if (entry.pin() == null || entry.reason().isBlank()) {
            return Optional.of("A note says something, and what it is about; this one doesn't.");
        }
        notes.pin(entry.id(), entry.pin(), entry.batchId(), entry.reason());
        return Optional.empty();
    }

    private Optional<String> correction(BatchId id, LogEntry entry) {
        if (entry.reason().isBlank()) {
            return Optional.of("Say why the time isn't right, so that the book can be understood later.");
        }
        return entry.ofEvent() != null && log.isTimeOf(id, entry.ofEvent())
                ? Optional.empty()
                : Optional.of("There is no such time in batch " + id + ".");
    }

    /** What must be confirmed before bags are counted at a batch's steps. */
    private final class Gates {

        private final Batch batch;
        private @Nullable Map<Counted.Place, List<String>> known;

        Gates(Batch batch) {
            this.batch = batch;
        }

        Optional<String> refusal(LogEntry entry) {
            if (entry.bags() <= 0) {
                return Optional.empty();
            }
            List<String> asked = of(new Counted.Place(entry.line(), entry.step()));
            List<String> confirmed = entry.confirmed() == null ? List.of() : entry.confirmed();
            List<String> missing =
                    asked.stream().filter(check -> !confirmed.contains(check)).toList();
            return missing.isEmpty()
                    ? Optional.empty()
                    : Optional.of("“" + entry.stepName() + "” is counted when this was looked at and confirmed: "
                            + String.join("; ", missing) + ". Count it again.");
        }

        private List<String> of(Counted.Place place) {
            if (known == null) {
                known = new HashMap<>();
                plans.designs(batches.chosen(batch))
                        .forEach((line, design) -> design.steps().stream()
                                .filter(step -> !step.gates().isEmpty())
                                .forEach(step -> known.put(
                                        new Counted.Place(line, step.key()),
                                        step.gates().stream().map(Prompt::text).toList())));
            }
            return known.getOrDefault(place, List.of());
        }
    }
}
