package mardun.app.goods;

import java.time.Clock;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.BiConsumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.app.goods.GoodsPlaceRepository.AtPlace;
import mardun.app.goods.GoodsViews.FinishedGoodsLine;
import mardun.app.goods.GoodsViews.GoodsForm;
import mardun.app.goods.GoodsViews.GoodsMovementView;
import mardun.app.goods.GoodsViews.GoodsView;
import mardun.app.goods.GoodsViews.Made;
import mardun.app.goods.GoodsViews.NewGoods;
import mardun.app.goods.GoodsViews.PlaceView;
import mardun.app.id.BatchId;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.request.OnceOnly;
import mardun.app.settings.SettingsService;
import mardun.app.show.PageView;
import mardun.app.show.SearchWords;
import mardun.app.show.ViewWriter;
import mardun.core.money.Apportionment;
import org.apache.commons.numbers.fraction.BigFraction;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.PageRequest;
import org.springframework.data.domain.Pageable;
import org.springframework.data.domain.Sort;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Finished bags: where they are, what each cost, and where they go. */
@Service
public class GoodsService {

    /** Where bags are when they are done. */
    public static final String HOME = "home";

    private static final int LONGEST_PLACE = 80;
    private static final int LONGEST_REASON = 300;
    private static final int MOST_UNITS = 100_000;

    private final FinishedGoodsRepository goods;
    private final GoodsMovementRepository movements;
    private final GoodsPlaceRepository places;
    private final GoodsBook book;
    private final SettingsService settings;
    private final OnceOnly onceOnly;
    private final Clock clock;

    GoodsService(
            FinishedGoodsRepository goods,
            GoodsMovementRepository movements,
            GoodsPlaceRepository places,
            GoodsBook book,
            SettingsService settings,
            OnceOnly onceOnly,
            Clock clock) {
        this.goods = goods;
        this.movements = movements;
        this.places = places;
        this.book = book;
        this.settings = settings;
        this.onceOnly = onceOnly;
        this.clock = clock;
    }

    /** Puts bags of a batch that are done among the finished goods, at home; inside the caller's transaction. */
    @Transactional
    public void receive(NewGoods made) {
        FinishedGoods stored = goods.save(new FinishedGoods(made, LocalDate.now(clock)));
        book.write(
                stored.id(), new GoodsMovement(stored.id(), HOME, GoodsKind.MADE, made.units(), "", clock.instant()));
    }

    /**
     * The bags that a batch gave last bear what is left of its cost, because others aren't made; inside the caller's transaction. Where it
     * gave none, nobody bears it.
     */
    @Transactional
    public void bear(BatchId batchId, long minor) {
        goods.findByBatchId(batchId).stream()
                .max(Comparator.comparing(FinishedGoods::id))
                .ifPresent(one -> one.bear(minor));
    }

    /**
     * All bags that a line of a batch gave cost the same, whenever they were done; what lines cost that gave none is borne by the last of
     * them. Inside the caller's transaction.
     *
     * @param minorByLine what each line cost
     */
    @Transactional
    public void share(BatchId batchId, Map<Integer, Long> minorByLine) {
        Map<Integer, List<FinishedGoods>> byLine = goods.findByBatchId(batchId).stream()
                .sorted(Comparator.comparing(FinishedGoods::id))
                .collect(Collectors.groupingBy(one -> one.lineNumber().orElse(1), TreeMap::new, Collectors.toList()));
        byLine.forEach((line, lots) -> {
            long minor = minorByLine.getOrDefault(line, 0L);
            List<Long> shares = Apportionment.of(
                    lots.stream()
                            .map(lot -> BigFraction.of(minor)
                                    .multiply(BigFraction.of(
                                            lot.units(),
                                            lots.stream()
                                                    .mapToInt(FinishedGoods::units)
                                                    .sum())))
                            .toList(),
                    minor);
            for (int i = 0; i < lots.size(); i++) {
                lots.get(i).bear(shares.get(i) - lots.get(i).totalCostMinor());
            }
        });
        long borneByNone = minorByLine.entrySet().stream()
                .filter(line -> !byLine.containsKey(line.getKey()))
                .mapToLong(Map.Entry::getValue)
                .sum();
        bear(batchId, borneByNone);
    }

    /**
     * How long the bags of a batch took is known now, and what that costs; inside the caller's transaction.
     *
     * @param ofLines the work in all bags of each line
     */
    @Transactional
    public void timed(BatchId batchId, Map<Integer, Made> ofLines) {
        Map<Integer, List<FinishedGoods>> byLine = goods.findByBatchId(batchId).stream()
                .collect(Collectors.groupingBy(one -> one.lineNumber().orElse(1)));
        byLine.forEach((line, lots) -> {
            Made made = ofLines.getOrDefault(line, new Made(0, 0, 0));
            int all = lots.stream().mapToInt(FinishedGoods::units).sum();
            lots.forEach(lot -> lot.took(
                    Apportionment.share(made.labourMinor(), lot.units(), all),
                    Apportionment.share(made.overheadMinor(), lot.units(), all),
                    Apportionment.share(made.seconds(), lot.units(), all)));
        });
    }

    /** What the bags that a batch gave so far cost, by its lines, in minor units. */
    @Transactional(readOnly = true)
    public Map<Integer, Long> costOfLines(BatchId batchId) {
        Map<Integer, Long> byLine = new HashMap<>();
        goods.findByBatchId(batchId)
                .forEach(one -> byLine.merge(one.lineNumber().orElse(1), one.totalCostMinor(), Long::sum));
        return byLine;
    }

    /** A page of finished bags, the latest first; {@code all} also those of which none are left. */
    @Transactional(readOnly = true)
    public GoodsView list(String query, boolean all, int page, int size) {
        Page<FinishedGoods> found =
                goods.search(SearchWords.like(query), all, PageRequest.of(page, Math.min(size, PageView.LARGEST)));
        Map<Long, List<PlaceView>> places =
                places(found.getContent().stream().map(FinishedGoods::id).toList());
        ViewWriter writer = settings.current().writer();
        return new GoodsView(
                PageView.of(found, one -> line(one, places.getOrDefault(one.id(), List.of()), writer)),
                this.places.allPlaces());
    }

    private Map<Long, List<PlaceView>> places(List<Long> ids) {
        Map<Long, List<PlaceView>> places = new HashMap<>();
        if (!ids.isEmpty()) {
            for (AtPlace at : this.places.places(ids)) {
                places.merge(
                        at.getGoodsId(),
                        List.of(new PlaceView(at.getPlace(), at.getUnits())),
                        (some, one) ->
                                Stream.concat(some.stream(), one.stream()).toList());
            }
        }
        return places;
    }

    /** All bags that are left somewhere, the latest first, as other areas reckon with them. */
    @Transactional(readOnly = true)
    public List<GoodsThere> there() {
        List<FinishedGoods> some =
                goods.search(SearchWords.like(""), false, Pageable.unpaged()).getContent();
        Map<Long, List<PlaceView>> places =
                places(some.stream().map(FinishedGoods::id).toList());
        return some.stream()
                .map(one -> new GoodsThere(
                        one.id(),
                        one.batchId(),
                        one.lineNumber(),
                        one.designId(),
                        one.designName(),
                        one.sizeKey(),
                        one.sizeName(),
                        one.clothId(),
                        one.clothName(),
                        one.quality(),
                        places.getOrDefault(one.id(), List.of()).stream()
                                .mapToInt(PlaceView::units)
                                .sum(),
                        one.priceMinor()))
                .filter(one -> one.units() > 0)
                .toList();
    }

    /** Walks all bags that are left, place by place. */
    void forEachPlace(BiConsumer<FinishedGoods, PlaceView> visitor) {
        List<FinishedGoods> all = goods.findAll(Sort.by("id"));
        Map<Long, List<PlaceView>> places =
                places(all.stream().map(FinishedGoods::id).toList());
        all.forEach(one -> places.getOrDefault(one.id(), List.of()).forEach(place -> visitor.accept(one, place)));
    }

    /**
     * Bags that were made before Mardun knew of them.
     *
     * @param unitCostMinor what one cost
     * @param priceMinor for which one is sold
     */
    public record BagsFromBefore(
            String design,
            String size,
            String cloth,
            int units,
            long unitCostMinor,
            long priceMinor,
            LocalDate finishedOn,
            String place) {}

    /** Enters bags that were made before Mardun knew of them. */
    @Transactional
    public void enter(BagsFromBefore bags) {
        enter(
                new FinishedGoods(
                        bags.design(),
                        bags.size(),
                        bags.cloth(),
                        bags.units(),
                        bags.unitCostMinor(),
                        bags.priceMinor(),
                        bags.finishedOn()),
                bags.place());
    }

    private void enter(FinishedGoods made, String place) {
        long id = goods.save(made).id();
        book.write(id, new GoodsMovement(id, place, GoodsKind.ENTERED, made.units(), "from a list", clock.instant()));
    }

    private static FinishedGoodsLine line(FinishedGoods one, List<PlaceView> places, ViewWriter writer) {
        return new FinishedGoodsLine(
                one.id(),
                one.batchId().orElse(null),
                one.designName(),
                one.sizeName(),
                one.clothName(),
                one.quality(),
                places.stream().mapToInt(PlaceView::units).sum(),
                places,
                writer.money(one.unitCostMinor()),
                writer.money(one.totalCostMinor()),
                writer.money(one.priceMinor()),
                one.finishedOn());
    }

    @Transactional(readOnly = true)
    public List<GoodsMovementView> movements(long id) {
        return movements.findByGoodsIdOrderByMovedAtDescIdDesc(id).stream()
                .map(m -> new GoodsMovementView(m.id(), m.kind(), m.place(), m.changeUnits(), m.reason(), m.movedAt()))
                .toList();
    }

    /** Moves bags to another place, or takes them out: given away, kept as samples, written off, counted. */
    public FinishedGoodsLine move(long id, GoodsForm form) {
        onceOnly.make(form.requestId(), "bags of " + id, form, () -> {
            FinishedGoods one = goods.findForMoving(id)
                    .orElseThrow(() -> RefusedException.missing("There are no such bags, or no longer."));
            FieldReader fields = new FieldReader();
            boolean counted = form.kind() == GoodsKind.COUNTED;
            int units = fields.count("units", form.units(), counted ? 0 : 1, MOST_UNITS);
            String place = fields.text("place", form.place(), LONGEST_PLACE);
            String reason = form.reason().strip();
            if (reason.length() > LONGEST_REASON) {
                fields.refuse("reason", form.reason(), "Say it in at most " + LONGEST_REASON + " characters.");
            }
            if (form.kind().needsReason() && reason.isEmpty()) {
                fields.refuse("reason", "", "Say why, so that the shelf can be understood later.");
            }
            String to = form.kind() == GoodsKind.MOVED
                    ? fields.text("toPlace", Optional.ofNullable(form.toPlace()).orElse(""), LONGEST_PLACE)
                    : "";
            if (to.equals(place)) {
                fields.refuse("toPlace", to, "They are at “" + place + "” already. Choose another place.");
            }
            if (form.kind() == GoodsKind.MADE || form.kind() == GoodsKind.ENTERED) {
                fields.refuse("kind", form.kind().name(), "Bags are made by finishing a batch.");
            }
            if (form.kind() == GoodsKind.SOLD || form.kind() == GoodsKind.TAKEN_BACK) {
                fields.refuse("kind", form.kind().name(), "A sale is entered where it was made.");
            }
            int there = book.units(id, place);
            if (!counted && units > there) {
                fields.refuse(
                        "units",
                        form.units(),
                        "At “" + place + "” are " + there + " of “" + one.designName() + ", " + one.sizeName()
                                + "”. Type at most as many.");
            }
            fields.check();
            int change = counted ? units - there : -units;
            if (change == 0) {
                throw RefusedException.conflict("At “" + place + "” are " + there + " already; nothing changes.");
            }
            if (form.kind() == GoodsKind.MOVED) {
                save(id, to, GoodsKind.MOVED, units, "from " + place);
            }
            return save(id, place, form.kind(), change, to.isEmpty() ? reason : "to " + to);
        });
        FinishedGoods one = goods.findById(id).orElseThrow();
        return line(
                one,
                places(List.of(id)).getOrDefault(id, List.of()),
                settings.current().writer());
    }

    private long save(long id, String place, GoodsKind kind, int change, String reason) {
        return book.write(id, new GoodsMovement(id, place, kind, change, reason, clock.instant()));
    }
}
