package mardun.app.batch;

import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import mardun.app.batch.BatchPlans.Planned;
import mardun.app.design.DesignChanged;
import mardun.app.material.ReservationService;
import mardun.app.material.ReservationService.Want;
import mardun.app.settings.SettingsService;
import mardun.core.batch.BatchPlan.Need;
import mardun.core.cutting.Offcuts;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What batches hold on the shelf: it follows their plan, and ends with it. */
@Component
class BatchHolds {

    private final BatchRepository batches;
    private final BatchPlans plans;
    private final ReservationService reservations;
    private final SettingsService settings;

    BatchHolds(BatchRepository batches, BatchPlans plans, ReservationService reservations, SettingsService settings) {
        this.batches = batches;
        this.plans = plans;
        this.reservations = reservations;
        this.settings = settings;
    }

    /** Holds what the batch still takes, as far as it is free, in the place of all that it held. Answers what is missing. */
    @Transactional
    public List<String> hold(Batch batch) {
        Planned planned = plans.of(batch, settings.current());
        return reservations.reserve(batch.id(), wants(planned, stillToCome(batch)));
    }

    /** After its plan has changed: a batch that held anything holds what it takes now. */
    @Transactional
    public void follow(Batch batch) {
        if (batch.stage() != BatchStage.FINISHED && reservations.holdsAnything(batch.id())) {
            hold(batch);
        }
    }

    /** A planned batch takes what its design takes now. */
    @EventListener
    @Transactional
    public void follow(DesignChanged changed) {
        batches.findByDesignIdAndStage(changed.designId(), BatchStage.PLANNED).stream()
                .map(Batch::id)
                .sorted()
                .forEach(id -> batches.findForChange(id).ifPresent(this::follow));
    }

    static Predicate<Need> stillToCome(Batch batch) {
        return need ->
                batch.stage() == BatchStage.PLANNED || !need.supply().kind().leavesWhenCut();
    }

    static List<Want> wants(Planned planned, Predicate<Need> which) {
        return planned.plan().needs().stream()
                .filter(which)
                .map(need -> new Want(
                        Long.parseLong(need.supply().key()),
                        need.part(),
                        need.amount(),
                        need.offcuts().stream()
                                .collect(Collectors.toMap(
                                        use -> Long.parseLong(use.key()), Offcuts.Use::count, Long::sum)),
                        need.takenOfRolls().entrySet().stream()
                                .collect(Collectors.toMap(
                                        roll -> Long.parseLong(roll.getKey()),
                                        roll -> roll.getValue().nanometres()))))
                .toList();
    }
}
