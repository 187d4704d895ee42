package mardun.app.batch;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import mardun.app.id.MaterialId;
import mardun.app.log.BenchLog;
import mardun.app.log.LogEntry;
import mardun.app.log.LoggedSlip.UsedUp;
import mardun.app.log.SlipOutcome;
import mardun.app.material.ReservationService;
import mardun.app.material.ReservationService.Want;
import mardun.app.plan.BatchPlans;
import mardun.app.plan.Planned;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.core.material.MovementKind;
import org.springframework.stereotype.Component;

/**
 * What follows for a batch when something went wrong at the bench: a bag that is scrapped isn't made any further, and what went with a slip
 * leaves the shelf. Where a slip was none, both are taken back.
 */
@Component
class BenchSlips {

    private final BatchRepository repository;
    private final Batches batches;
    private final BatchPlans plans;
    private final ReservationService reservations;
    private final Closing closing;
    private final BenchLog log;
    private final SettingsService settings;

    BenchSlips(
            BatchRepository repository,
            Batches batches,
            BatchPlans plans,
            ReservationService reservations,
            Closing closing,
            BenchLog log,
            SettingsService settings) {
        this.repository = repository;
        this.batches = batches;
        this.plans = plans;
        this.reservations = reservations;
        this.closing = closing;
        this.log = log;
        this.settings = settings;
    }

    /** Books what follows from slips of one batch, one after another, in the caller's transaction. */
    Booking of(Batch batch) {
        return new Booking(batch);
    }

    /** A batch with its slips as they come in. */
    class Booking {

        private final Batch batch;
        private final Settings current = settings.current();
        private final boolean held;
        private final Map<UUID, List<Long>> took = new HashMap<>();
        private final Map<UUID, LogEntry> slips = new HashMap<>();
        private final Set<UUID> withdrawn = new HashSet<>();
        private boolean isChanged;

        Booking(Batch batch) {
            this.batch = batch;
            this.held = reservations.holdsAnything(batch.id());
        }

        /** Why a slip can't be kept; empty where it was booked. */
        Optional<String> slip(LogEntry entry) {
            if (entry.slip() == null || entry.bags() < 1) {
                return Optional.of("A slip says of how many bags it is and how it ended; this one doesn't.");
            }
            boolean isScrap = entry.slip().outcome() == SlipOutcome.SCRAP;
            if (isScrap && batch.stage().isToCut()) {
                return Optional.of("The cloth of batch " + batch.id()
                        + " isn't all cut yet, so no bag is lost. Cut the piece once more on the cutting page.");
            }
            int open = batch.line(entry.line()).orElseThrow().chosen().open();
            if (isScrap && entry.bags() > open) {
                return Optional.of((open == 0 ? "None of the bags is" : open + " of the bags are")
                        + " still to be made, and " + entry.bags() + " can't be scrapped.");
            }
            slips.put(entry.id(), entry);
            use(entry);
            if (isScrap) {
                batch.done(entry.line(), 0, 0, entry.bags());
                isChanged = true;
            }
            return Optional.empty();
        }

        private void use(LogEntry entry) {
            Set<UsedUp> used = new HashSet<>(entry.slip().usedUp());
            if (used.isEmpty()) {
                return;
            }
            Planned planned = plans.of(batches.chosen(batch), current);
            List<Want> wants = BatchHolds.wants(plans.besideCloth(planned, Map.of(entry.line(), entry.bags()))).stream()
                    .filter(want -> used.contains(new UsedUp(want.materialId(), want.part())))
                    .toList();
            String reason = entry.reason().isBlank() ? entry.stepName() : entry.stepName() + ": " + entry.reason();
            reservations.lock(wants.stream().map(Want::materialId).toList());
            Map<MaterialId, List<Long>> movements = reservations.take(batch.id(), MovementKind.SPOILED, wants, reason);
            took.put(
                    entry.id(),
                    movements.values().stream().flatMap(List::stream).toList());
            isChanged = true;
        }

        /** Why a slip can't be withdrawn; empty where it was. */
        Optional<String> withdraw(LogEntry entry) {
            Optional<BenchLog.Slip> stored = log.slips(batch.id()).stream()
                    .filter(slip -> slip.id().equals(entry.ofEvent()))
                    .findFirst();
            LogEntry now = entry.ofEvent() == null ? null : slips.get(entry.ofEvent());
            boolean isThere = (stored.isPresent() || now != null) && withdrawn.add(entry.ofEvent());
            if (!isThere) {
                return Optional.of("There is no such slip in batch " + batch.id() + ", or it was withdrawn already.");
            }
            if (!batch.stage().isOpen()) {
                return Optional.of("Batch " + batch.id() + " is finished; its slips stay as they are.");
            }
            boolean isScrap = stored.map(slip -> slip.outcome() == SlipOutcome.SCRAP)
                    .orElseGet(() -> now.slip().outcome() == SlipOutcome.SCRAP);
            if (isScrap) {
                int line = stored.map(BenchLog.Slip::line).orElseGet(() -> now.line());
                int bags = stored.map(BenchLog.Slip::bags).orElseGet(() -> now.bags());
                batch.done(line, 0, 0, -bags);
                isChanged = true;
            }
            List<Long> movements = new ArrayList<>(log.movements(entry.ofEvent()));
            movements.addAll(Optional.ofNullable(took.remove(entry.ofEvent())).orElse(List.of()));
            if (!movements.isEmpty()) {
                reservations.putBack(movements, "the slip was none");
                isChanged = true;
            }
            return Optional.empty();
        }

        /** When all entries are kept: what the batch holds follows, and one of which nothing is to come any more is finished. */
        void settle() {
            log.keepMovements(took);
            if (isChanged && batch.stage().isOpen()) {
                repository.saveAndFlush(batch);
                closing.settle(batch, plans.of(batches.chosen(batch), current), List.of(), held, current);
            }
        }
    }
}
