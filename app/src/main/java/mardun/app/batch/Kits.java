package mardun.app.batch;

import java.math.BigDecimal;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import mardun.app.batch.BatchViews.KitForm;
import mardun.app.design.DesignService;
import mardun.app.goods.GoodsService;
import mardun.app.goods.GoodsViews.Made;
import mardun.app.goods.Quality;
import mardun.app.id.BatchId;
import mardun.app.id.MaterialId;
import mardun.app.material.ReservationService;
import mardun.app.material.ReservationService.Want;
import mardun.app.material.StockShelves;
import mardun.app.material.StockShelves.Shelves;
import mardun.app.plan.BatchPlans;
import mardun.app.plan.Planned;
import mardun.app.plan.Planned.PlannedLine;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.request.OnceOnly;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.unsewn.UnsewnShelf;
import mardun.core.batch.KitCost;
import mardun.core.design.Licences;
import mardun.core.design.SizedPiece;
import org.springframework.stereotype.Service;

/**
 * A batch that ends cut: the pieces of bags that aren't sewn are bundled to kits, with the notions that go along, and are goods like others.
 */
@Service
public class Kits {

    private static final BigDecimal MOST_MINUTES = BigDecimal.valueOf(600);
    private static final int SECONDS_PER_MINUTE = 60;

    private final Batches batches;
    private final BatchPlans plans;
    private final DesignService designs;
    private final ReservationService reservations;
    private final StockShelves shelves;
    private final UnsewnShelf unsewn;
    private final GoodsService goods;
    private final SettingsService settings;
    private final OnceOnly onceOnly;

    Kits(
            Batches batches,
            BatchPlans plans,
            DesignService designs,
            ReservationService reservations,
            StockShelves shelves,
            UnsewnShelf unsewn,
            GoodsService goods,
            SettingsService settings,
            OnceOnly onceOnly) {
        this.batches = batches;
        this.plans = plans;
        this.designs = designs;
        this.reservations = reservations;
        this.shelves = shelves;
        this.unsewn = unsewn;
        this.goods = goods;
        this.settings = settings;
        this.onceOnly = onceOnly;
    }

    /** What was typed of kits. */
    private record Read(int units, Duration each, long priceMinor) {}

    /**
     * Bundles cut pieces of a batch that were put by; sent twice, once.
     *
     * @throws RefusedException if fewer are there, the licence of the pattern lets only finished bags be sold, or a cloth isn't cut yet
     */
    public void bundle(BatchId id, KitForm form) {
        onceOnly.make(form.requestId(), "kits of batch " + id, form, () -> {
            Batch batch = batches.forChange(id);
            Settings current = settings.current();
            StoredLine stored = batch.line(form.line()).orElseThrow(() -> OpenBags.noSuchLine(form.line()));
            Licences.againstKits(designs.source(stored.chosen().designId())).ifPresent(why -> {
                throw RefusedException.conflict(current.writer().sentence(why));
            });
            int most = unsewn.bagsOf(id).getOrDefault(form.line(), 0);
            if (most == 0) {
                throw RefusedException.conflict(
                        "No cut pieces for a whole bag of this line are put by. Put some by first: bags that aren’t made.");
            }
            Read read = read(form, most, current);
            Planned planned = plans.of(batches.chosen(batch), current);
            PlannedLine line = planned.line(form.line());
            refuseUnlessAllIsCut(planned, line);
            String reason = "cut pieces of batch " + id;
            long pieces = unsewn.bundle(id, form.line(), read.units()).values().stream()
                    .mapToLong(Long::longValue)
                    .sum();
            long notions = form.withNotions() ? takeNotions(planned, line, read.units(), reason) : 0;
            KitCost cost = KitCost.of(
                    current.money(pieces),
                    current.money(notions),
                    read.units(),
                    read.each(),
                    current.workroom().rates());
            return goods.receive(
                    LineGoods.of(
                            planned,
                            line,
                            Quality.KIT,
                            read.units(),
                            cost.total().getAmountMinorLong(),
                            read.priceMinor(),
                            new Made(
                                    cost.labour().getAmountMinorLong(),
                                    0,
                                    cost.work().toSeconds())),
                    reason);
        });
    }

    private static Read read(KitForm form, int most, Settings current) {
        FieldReader fields = new FieldReader();
        int units = fields.count("units", form.units(), 1, most);
        BigDecimal minutes = form.minutes().isBlank()
                ? BigDecimal.ZERO
                : fields.decimal("minutes", form.minutes(), BigDecimal.ZERO, MOST_MINUTES);
        long price = fields.money("price", form.price(), current.currency());
        fields.check();
        return new Read(
                units,
                Duration.ofSeconds(
                        minutes.multiply(BigDecimal.valueOf(SECONDS_PER_MINUTE)).longValue()),
                price);
    }

    /** A kit without one of its cloths is none. */
    private static void refuseUnlessAllIsCut(Planned planned, PlannedLine line) {
        int cut = CutCloths.of(planned, line).values().stream()
                .mapToInt(List<SizedPiece>::size)
                .sum();
        if (cut < line.plan().sized().pieces().size()) {
            throw RefusedException.conflict("A cloth of “" + line.design().name()
                    + "” isn’t cut yet, and a kit without it isn’t one. Cut all of it first.");
        }
    }

    /** The trims and notions of some bags leave the shelf. Answers what they cost, in minor units. */
    private long takeNotions(Planned planned, PlannedLine line, int kits, String reason) {
        List<Want> wants = BatchHolds.wants(plans.besideCloth(planned, Map.of(line.number(), kits)));
        List<MaterialId> ids = wants.stream().map(Want::materialId).distinct().toList();
        reservations.lock(ids);
        Map<MaterialId, List<Long>> took = reservations.takeForNone(wants, reason);
        Shelves now = shelves.read(ids);
        return took.entrySet().stream()
                .mapToLong(one -> now.used(one.getKey(), one.getValue()))
                .sum();
    }
}
