package mardun.app.year;

import java.time.Clock;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import mardun.app.design.DesignService;
import mardun.app.design.DesignViews.DesignName;
import mardun.app.goods.BagKind;
import mardun.app.goods.GoodsLedger;
import mardun.app.goods.GoodsLedger.KnownKind;
import mardun.app.goods.GoodsLot;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.material.ColouredMaterial;
import mardun.app.material.MaterialService;
import mardun.app.sale.SalesBook;
import mardun.app.sale.SalesBook.SoldLine;
import mardun.core.money.Apportionment;
import mardun.core.year.ShelfWeeks;
import mardun.core.year.SoldBags;
import org.springframework.stereotype.Component;

/** What was sold, with what it is called now, and what lies there. */
@Component
class YearReading {

    private static final int DAYS_OF_WEEK = 7;

    private final SalesBook sales;
    private final GoodsLedger ledger;
    private final DesignService designs;
    private final MaterialService materials;
    private final Clock clock;

    YearReading(SalesBook sales, GoodsLedger ledger, DesignService designs, MaterialService materials, Clock clock) {
        this.sales = sales;
        this.ledger = ledger;
        this.designs = designs;
        this.materials = materials;
        this.clock = clock;
    }

    /**
     * Bags that were sold, as they are called now. Those that were entered from a list are of the design, size and cloth whose names they have.
     *
     * @param design the design's name
     * @param size the design and the size
     * @param cloth the outer cloth
     */
    record Sold(SoldLine line, String design, String size, String cloth) {

        SoldBags bags() {
            return line.bags();
        }
    }

    /** What designs and materials are called now. */
    private record Names(Map<DesignId, String> designs, Map<MaterialId, String> materials) {

        Sold named(SoldLine line, BagKind kind) {
            String design = kind.designId().map(designs::get).orElse(kind.designName());
            String cloth = kind.clothId().map(materials::get).orElse(kind.clothName());
            return new Sold(
                    line,
                    design,
                    design + (kind.sizeName().isBlank() ? "" : ", " + kind.sizeName()),
                    cloth.isBlank() ? "no cloth of their own" : cloth);
        }
    }

    /** What was sold from a day until before another, in the order in which it was booked. */
    List<Sold> sold(LocalDate from, LocalDate until) {
        List<SoldLine> lines = sales.lines(from, until);
        Names names = new Names(
                designs.names().stream().collect(Collectors.toMap(DesignName::id, DesignName::name)),
                materials.coloured().stream().collect(Collectors.toMap(ColouredMaterial::id, ColouredMaterial::name)));
        Map<String, KnownKind> kinds = ledger.kinds();
        return lines.stream()
                .map(line -> names.named(line, kinds.get(line.kind()).kind()))
                .toList();
    }

    /**
     * Bags of a kind that lie there.
     *
     * @param worth what they cost, in minor units
     */
    record Lying(BagKind kind, ShelfWeeks weeks, long worth) {}

    /** All that lies there: what is dying first, then what lasts longest; last what is new. */
    List<Lying> lying() {
        LocalDate today = LocalDate.now(clock);
        Map<BagKind, List<GoodsLot>> there = ledger.there();
        Map<String, KnownKind> kinds = ledger.kinds();
        Map<String, Integer> sold = new LinkedHashMap<>();
        sales.lines(today.minusWeeks(ShelfWeeks.LOOKED_AT), today.plusDays(1))
                .forEach(line -> sold.merge(line.kind(), line.bags().bags(), Integer::sum));
        List<Lying> lying = new ArrayList<>();
        there.forEach((kind, lots) -> {
            LocalDate first = kinds.get(kind.key()).since();
            long weeks = Math.max(1, ChronoUnit.DAYS.between(first, today) / DAYS_OF_WEEK);
            lying.add(new Lying(
                    kind,
                    new ShelfWeeks(
                            lots.stream().mapToInt(GoodsLot::together).sum(), sold.getOrDefault(kind.key(), 0), (int)
                                    Math.min(ShelfWeeks.LOOKED_AT, weeks)),
                    lots.stream()
                            .mapToLong(lot -> Apportionment.share(lot.totalCostMinor(), lot.together(), lot.made()))
                            .sum()));
        });
        lying.sort(Comparator.comparing((Lying one) -> !one.weeks().isDying())
                .thenComparing(
                        one -> one.weeks()
                                .lasts()
                                .map(Number::doubleValue)
                                .orElse(one.weeks().isDying() ? Double.MAX_VALUE : -1),
                        Comparator.reverseOrder())
                .thenComparing(one -> one.kind().words()));
        return lying;
    }

    /** The bags of each size of a design that were sold last, as many as are looked at, by what they are called; the last one first. */
    Map<String, List<Sold>> lastSold(LocalDate from, LocalDate until, int most) {
        List<Sold> all = sold(from, until);
        Map<String, List<Sold>> last = new LinkedHashMap<>();
        Map<String, Integer> counted = new HashMap<>();
        for (int i = all.size() - 1; i >= 0; i--) {
            Sold one = all.get(i);
            if (counted.getOrDefault(one.size(), 0) < most) {
                counted.merge(one.size(), one.bags().bags(), Integer::sum);
                last.computeIfAbsent(one.size(), size -> new ArrayList<>()).add(one);
            }
        }
        return last;
    }
}
