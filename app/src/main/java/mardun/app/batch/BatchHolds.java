package mardun.app.batch;

import java.util.List;
import java.util.stream.Collectors;
import mardun.app.id.LotId;
import mardun.app.id.MaterialId;
import mardun.app.material.ReservationService;
import mardun.app.material.ReservationService.Want;
import mardun.app.plan.BatchPlans;
import mardun.app.settings.SettingsService;
import mardun.app.unsewn.UnsewnShelf;
import mardun.core.batch.Need;
import mardun.core.cutting.Offcuts;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What batches hold on the shelf: it follows their plan, and ends with it. */
@Component
class BatchHolds {

    private final BatchRepository repository;
    private final Batches batches;
    private final BatchPlans plans;
    private final ReservationService reservations;
    private final UnsewnShelf unsewn;
    private final SettingsService settings;

    BatchHolds(
            BatchRepository repository,
            Batches batches,
            BatchPlans plans,
            ReservationService reservations,
            UnsewnShelf unsewn,
            SettingsService settings) {
        this.repository = repository;
        this.batches = batches;
        this.plans = plans;
        this.reservations = reservations;
        this.unsewn = unsewn;
        this.settings = settings;
    }

    /** Holds what the batch still takes, as far as it is free, in the place of all that it held. Answers what is missing. */
    @Transactional
    public List<String> hold(Batch batch) {
        return reservations.reserve(
                batch.id(),
                wants(plans.of(batches.chosen(batch), settings.current()).toCome()));
    }

    /** After its plan has changed: a batch that held anything holds what it takes now. */
    @Transactional
    public void follow(Batch batch) {
        if (batch.stage().isOpen() && reservations.holdsAnything(batch.id())) {
            hold(batch);
        }
    }

    /** After its plan has changed: of what lies there cut and not sewn, a planned batch holds what it takes now. */
    @Transactional
    public void followPieces(Batch batch) {
        boolean takesAny =
                batch.lines().stream().anyMatch(line -> !line.chosen().brought().isEmpty());
        if (batch.stage() == BatchStage.PLANNED && (takesAny || unsewn.holdsAnything(batch.id()))) {
            unsewn.hold(
                    batch.id(),
                    plans.of(batches.chosen(batch), settings.current()).unsewn().taken());
        }
    }

    static List<Want> wants(List<Need> needs) {
        return needs.stream()
                .map(need -> new Want(
                        MaterialId.valueOf(need.supply().key()),
                        need.part(),
                        need.amount(),
                        need.offcuts().stream()
                                .collect(Collectors.toMap(
                                        use -> LotId.valueOf(use.key()), Offcuts.Use::count, Long::sum)),
                        need.takenOfRolls().entrySet().stream()
                                .collect(Collectors.toMap(
                                        roll -> LotId.valueOf(roll.getKey()),
                                        roll -> roll.getValue().nanometres()))))
                .toList();
    }
}
