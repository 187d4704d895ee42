package mardun.app.batch;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import mardun.app.id.MaterialId;
import mardun.app.log.BenchLog;
import mardun.app.log.BenchLog.Recut;
import mardun.app.log.LogEntry;
import mardun.app.log.LoggedSlip.CutAgain;
import mardun.app.log.LoggedSlip.OfDye;
import mardun.app.log.LoggedSlip.UsedUp;
import mardun.app.log.SlipOutcome;
import mardun.app.material.ReservationService;
import mardun.app.material.ReservationService.Want;
import mardun.app.plan.BatchPlans;
import mardun.app.plan.Planned;
import mardun.app.problem.RefusedException;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.core.batch.LineCounts;
import mardun.core.batch.PiecesMoved;
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
    private final CuttingAgain again;
    private final Closing closing;
    private final BenchLog log;
    private final SettingsService settings;

    BenchSlips(
            BatchRepository repository,
            Batches batches,
            BatchPlans plans,
            ReservationService reservations,
            CuttingAgain again,
            Closing closing,
            BenchLog log,
            SettingsService settings) {
        this.repository = repository;
        this.batches = batches;
        this.plans = plans;
        this.reservations = reservations;
        this.again = again;
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
        private final Map<UUID, List<Recut>> recuts = new HashMap<>();
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
            if (entry.slip().again() != null) {
                Optional<String> refusal = cutAgain(entry, entry.slip().again(), isScrap);
                if (refusal.isPresent()) {
                    return refusal;
                }
            }
            slips.put(entry.id(), entry);
            use(entry);
            if (isScrap) {
                batch.done(entry.line(), 0, 0, entry.bags());
                isChanged = true;
            }
            return Optional.empty();
        }

        /** Of a bag that is scrapped all is cut once more, and one is begun in its place. */
        private Optional<String> cutAgain(LogEntry entry, CutAgain asked, boolean isScrap) {
            Planned planned = plans.of(batches.chosen(batch), current);
            try {
                CuttingAgain.Cut cut = again.cut(
                        planned,
                        isScrap
                                ? CuttingAgain.wholeBags(planned.line(entry.line()), entry.bags())
                                : new CuttingAgain.Asked(entry.line(), asked.pieces(), entry.bags()),
                        asked.dyes().stream()
                                .collect(Collectors.toMap(OfDye::materialId, OfDye::dye, (one, other) -> other)),
                        isScrap ? entry.bags() : 0,
                        reason(entry),
                        current);
                took.computeIfAbsent(entry.id(), id -> new ArrayList<>()).addAll(cut.movements());
                recuts.put(entry.id(), cut.recuts());
                follow(entry.line(), cut.recuts(), 1);
                return Optional.empty();
            } catch (RefusedException refused) {
                return Optional.of(refused.getMessage());
            }
        }

        /** The line begins as many more bags, and bears what the cloth cost; or, the other way round, not after all. */
        private void follow(int number, List<Recut> cut, int way) {
            StoredLine line = batch.line(number).orElseThrow();
            PiecesMoved moved = line.chosen().moved();
            for (Recut one : cut) {
                String cloth = one.materialId().key();
                moved = moved.with(cloth, moved.of(cloth).comes(way * one.bags(), way * one.minor()));
            }
            line.move(moved);
            int more = cut.stream().mapToInt(Recut::bags).max().orElse(0);
            LineCounts counts = line.chosen().counts();
            line.count(new LineCounts(counts.wanted(), counts.started() + way * more));
            batch.linesChanged();
            isChanged = true;
        }

        private static String reason(LogEntry entry) {
            return entry.reason().isBlank() ? entry.stepName() : entry.stepName() + ": " + entry.reason();
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
            reservations.lock(wants.stream().map(Want::materialId).toList());
            Map<MaterialId, List<Long>> movements =
                    reservations.take(batch.id(), MovementKind.SPOILED, wants, reason(entry));
            took.computeIfAbsent(entry.id(), id -> new ArrayList<>())
                    .addAll(movements.values().stream().flatMap(List::stream).toList());
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
            List<Long> movements = new ArrayList<>(log.movements(entry.ofEvent()));
            movements.addAll(took.getOrDefault(entry.ofEvent(), List.of()));
            if (!reservations.canPutBack(movements)) {
                return Optional.of(
                        "An offcut that was kept when the pieces were cut once more has been used since, or is held. Log what else"
                                + " happened as it was, and set the shelf right among the materials.");
            }
            boolean isScrap = stored.map(slip -> slip.outcome() == SlipOutcome.SCRAP)
                    .orElseGet(() -> now.slip().outcome() == SlipOutcome.SCRAP);
            int line = stored.map(BenchLog.Slip::line).orElseGet(() -> now.line());
            if (isScrap) {
                int bags = stored.map(BenchLog.Slip::bags).orElseGet(() -> now.bags());
                batch.done(line, 0, 0, -bags);
                isChanged = true;
            }
            took.remove(entry.ofEvent());
            List<Recut> cut = Optional.ofNullable(recuts.remove(entry.ofEvent()))
                    .orElseGet(() -> log.recuts(List.of(entry.ofEvent())).getOrDefault(entry.ofEvent(), List.of()));
            if (!cut.isEmpty()) {
                follow(line, cut, -1);
            }
            if (!movements.isEmpty()) {
                reservations.putBack(movements, "the slip was none");
                isChanged = true;
            }
            return Optional.empty();
        }

        /** When all entries are kept: what the batch holds follows, and one of which nothing is to come any more is finished. */
        void settle() {
            log.keepMovements(took);
            log.keepRecuts(recuts);
            if (isChanged && batch.stage().isOpen()) {
                repository.saveAndFlush(batch);
                closing.settle(batch, plans.of(batches.chosen(batch), current), List.of(), held, current);
            }
        }
    }
}
