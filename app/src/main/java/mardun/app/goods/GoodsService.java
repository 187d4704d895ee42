package mardun.app.goods;

import java.time.Clock;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.BiConsumer;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.app.goods.GoodsPlaceRepository.AtPlace;
import mardun.app.goods.GoodsViews.FinishedGoodsLine;
import mardun.app.goods.GoodsViews.GoodsMovementView;
import mardun.app.goods.GoodsViews.GoodsOnDay;
import mardun.app.goods.GoodsViews.GoodsOnDayLine;
import mardun.app.goods.GoodsViews.GoodsView;
import mardun.app.goods.GoodsViews.Made;
import mardun.app.goods.GoodsViews.NewGoods;
import mardun.app.goods.GoodsViews.PlaceView;
import mardun.app.id.BatchId;
import mardun.app.problem.Days;
import mardun.app.problem.RefusedException;
import mardun.app.settings.SettingsService;
import mardun.app.show.PageView;
import mardun.app.show.ViewWriter;
import mardun.core.money.Apportionment;
import org.apache.commons.numbers.fraction.BigFraction;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.PageImpl;
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

    private final FinishedGoodsRepository goods;
    private final GoodsMovementRepository movements;
    private final GoodsPlaceRepository places;
    private final GoodsBook book;
    private final GoodsFinder finder;
    private final SettingsService settings;
    private final Clock clock;

    GoodsService(
            FinishedGoodsRepository goods,
            GoodsMovementRepository movements,
            GoodsPlaceRepository places,
            GoodsBook book,
            GoodsFinder finder,
            SettingsService settings,
            Clock clock) {
        this.goods = goods;
        this.movements = movements;
        this.places = places;
        this.book = book;
        this.finder = finder;
        this.settings = settings;
        this.clock = clock;
    }

    /**
     * Puts bags that are done, or kits, among the finished goods, at home; inside the caller's transaction.
     *
     * @param reason of what they were made, where that needs saying; empty otherwise
     * @return the number of their lot
     */
    @Transactional
    public long receive(NewGoods made, String reason) {
        FinishedGoods stored = goods.save(new FinishedGoods(made, LocalDate.now(clock)));
        book.write(
                stored.id(),
                new GoodsMovement(stored.id(), HOME, GoodsKind.MADE, made.units(), reason, clock.instant()));
        return stored.id();
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

    /**
     * A page of finished bags, the latest first.
     *
     * @param place where some of them are; empty for anywhere
     * @param quality absent for either
     * @param all also those of which none are left
     */
    @Transactional(readOnly = true)
    public GoodsView list(String query, String place, @Nullable Quality quality, boolean all, int page, int size) {
        PageRequest part = PageRequest.of(page, Math.min(size, PageView.LARGEST));
        Page<FinishedGoods> found = inOrder(finder.find(query, place, quality, all), part);
        Map<Long, List<PlaceView>> places =
                places(found.getContent().stream().map(FinishedGoods::id).toList());
        ViewWriter writer = settings.current().writer();
        return new GoodsView(
                PageView.of(found, one -> line(one, places.getOrDefault(one.id(), List.of()), writer)),
                finder.places());
    }

    private Page<FinishedGoods> inOrder(List<Long> ids, Pageable page) {
        int from = (int) Math.min(page.getOffset(), ids.size());
        List<Long> some = ids.subList(from, Math.min(from + page.getPageSize(), ids.size()));
        Map<Long, FinishedGoods> byId =
                goods.findAllById(some).stream().collect(Collectors.toMap(FinishedGoods::id, one -> one));
        return new PageImpl<>(some.stream().map(byId::get).toList(), page, ids.size());
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
        List<FinishedGoods> some = goods.findLeftLatestFirst();
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
                        one.isUsual(),
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

    /** One lot. */
    @Transactional(readOnly = true)
    public FinishedGoodsLine get(long id) {
        FinishedGoods one =
                goods.findById(id).orElseThrow(() -> RefusedException.missing("There are no such bags, or no longer."));
        return line(
                one,
                places(List.of(id)).getOrDefault(id, List.of()),
                settings.current().writer());
    }

    /** What was there at the end of a day, lot by lot and place by place, with what it had cost. */
    @Transactional(readOnly = true)
    public GoodsOnDay on(LocalDate day) {
        if (day.isAfter(LocalDate.now(clock))) {
            throw RefusedException.conflict("This day is still to come. Choose today or a day before.");
        }
        Map<Long, List<GoodsMovementRepository.AtPlace>> byLot =
                movements.placesAt(Days.endOf(day, clock.getZone())).stream()
                        .collect(Collectors.groupingBy(GoodsMovementRepository.AtPlace::goodsId));
        ViewWriter writer = settings.current().writer();
        int all = 0;
        long worth = 0;
        List<GoodsOnDayLine> lines = new ArrayList<>();
        for (FinishedGoods one : goods.findAllById(byLot.keySet())) {
            List<PlaceView> places = byLot.get(one.id()).stream()
                    .map(at -> new PlaceView(at.place(), Math.toIntExact(at.units())))
                    .toList();
            int there = places.stream().mapToInt(PlaceView::units).sum();
            long minor = Apportionment.share(one.totalCostMinor(), there, one.units());
            all += there;
            worth += minor;
            lines.add(new GoodsOnDayLine(one.id(), BagKind.of(one).words(), places, there, writer.money(minor)));
        }
        lines.sort(Comparator.comparing(GoodsOnDayLine::words).thenComparing(GoodsOnDayLine::id));
        return new GoodsOnDay(day, lines, all, writer.money(worth));
    }

    private FinishedGoodsLine line(FinishedGoods one, List<PlaceView> places, ViewWriter writer) {
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
                one.finishedOn(),
                Math.toIntExact(ChronoUnit.DAYS.between(one.finishedOn(), LocalDate.now(clock))));
    }

    @Transactional(readOnly = true)
    public List<GoodsMovementView> movements(long id) {
        return movements.findByGoodsIdOrderByMovedAtDescIdDesc(id).stream()
                .map(m -> new GoodsMovementView(m.id(), m.kind(), m.place(), m.changeUnits(), m.reason(), m.movedAt()))
                .toList();
    }
}
