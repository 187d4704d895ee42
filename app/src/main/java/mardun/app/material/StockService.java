package mardun.app.material;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.regex.Pattern;
import mardun.app.id.BatchId;
import mardun.app.id.LotId;
import mardun.app.id.MaterialId;
import mardun.app.material.Arrival.KeptOf;
import mardun.app.material.StockLedger.Leaving;
import mardun.app.material.StockViews.CountLine;
import mardun.app.material.StockViews.CountedLine;
import mardun.app.material.StockViews.LotForm;
import mardun.app.material.StockViews.LotView;
import mardun.app.material.StockViews.PieceForm;
import mardun.app.material.StockViews.ReservedView;
import mardun.app.material.StockViews.ScrapForm;
import mardun.app.material.StockViews.ScrapLine;
import mardun.app.material.StockViews.ShelfView;
import mardun.app.material.StockViews.SizeToScale;
import mardun.app.material.StockViews.StockTakeDone;
import mardun.app.material.StockViews.StockTakeForm;
import mardun.app.material.StockViews.StockTakeView;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.problem.Days;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.request.OnceOnly;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.PageView;
import mardun.app.show.SearchWords;
import mardun.app.show.ViewWriter;
import mardun.app.stored.Changes;
import mardun.app.stored.Remembered;
import mardun.core.cutting.Offcuts;
import mardun.core.material.Amount;
import mardun.core.material.KeptOffcuts;
import mardun.core.material.MaterialKind;
import mardun.core.material.MovementKind;
import mardun.core.material.Part;
import mardun.core.measure.Area;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.measure.ShownRounding;
import mardun.core.working.Value;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is on the shelf: movements, lots, offcuts, stock-takes, and what it is all worth. */
@Service
public class StockService {

    private static final int LONGEST_REASON = 300;
    private static final int LONGEST_DYE_LOT = 60;

    private final StockLedger ledger;
    private final ShelfReader reader;
    private final LotRepository lots;
    private final MaterialService materials;
    private final SettingsService settings;
    private final OnceOnly onceOnly;
    private final Clock clock;
    private final Remembered<Boolean, List<CountLine>> allToCount;
    private final Remembered<LocalDate, List<ScrapLine>> toScrap;

    StockService(
            StockLedger ledger,
            ShelfReader reader,
            LotRepository lots,
            MaterialService materials,
            SettingsService settings,
            OnceOnly onceOnly,
            Clock clock,
            Changes changes) {
        this.ledger = ledger;
        this.reader = reader;
        this.lots = lots;
        this.materials = materials;
        this.settings = settings;
        this.onceOnly = onceOnly;
        this.clock = clock;
        this.allToCount = new Remembered<>(changes, ShelfReader.TABLES);
        this.toScrap = new Remembered<>(changes, ShelfReader.TABLES);
    }

    /** Moves stock as a person enters it: always a positive amount, its direction given by the kind. */
    public MaterialView move(MaterialId id, MovementForm form) {
        onceOnly.make(form.requestId(), "movement of " + id, form, () -> {
            MaterialShelf shelf = ledger.held(id);
            MaterialKind kind = shelf.material().kind();
            FieldReader fields = new FieldReader();
            Settings current = settings.current();
            boolean ofPieces =
                    form.lotId() != null && ledger.lot(id, form.lotId()).isOfPieces();
            Amount typed = ofPieces
                    ? Amount.pieces(fields.count("amount", form.amount(), 0, 10_000))
                    : MaterialReader.amount(fields, "amount", form.amount(), kind, current);
            new MaterialReader(fields, current).atMost("reason", form.reason(), LONGEST_REASON);
            new MaterialReader(fields, current).atMost("dyeLot", text(form.dyeLot()), LONGEST_DYE_LOT);
            new MaterialReader(fields, current).atMost("place", text(form.place()), MaterialReader.LONGEST_PLACE);
            Optional<Long> paid = text(form.paid()).isBlank()
                    ? Optional.empty()
                    : Optional.of(fields.money("paid", text(form.paid()), current.currency()));
            fields.check();
            String reason = form.reason().strip();
            return switch (form.kind().direction()) {
                case IN -> ledger.arrive(id, arrival(form, typed, paid, shelf.material()));
                case OUT -> leave(shelf, form, typed, reason);
                case EITHER -> count(shelf, form, typed, reason);
            };
        });
        return materials.get(id);
    }

    private static Arrival arrival(MovementForm form, Amount typed, Optional<Long> paid, Material material) {
        return new Arrival(
                form.kind(),
                typed,
                paid,
                0,
                form.kind() == MovementKind.BOUGHT || form.kind() == MovementKind.GIVEN
                        ? form.reason().strip()
                        : "",
                null,
                "",
                text(form.dyeLot()).strip(),
                text(form.place()).isBlank()
                        ? material.facts().place()
                        : text(form.place()).strip(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                form.reason().strip(),
                Optional.empty());
    }

    private long leave(MaterialShelf shelf, MovementForm form, Amount typed, String reason) {
        long first = 0;
        if (form.lotId() != null) {
            Part part = ledger.lot(form.lotId()).part();
            return ledger.leaveLot(form.lotId(), new Leaving(form.kind(), null, part, typed, reason));
        }
        for (Part part : parts(shelf, form)) {
            List<Long> made =
                    ledger.leave(shelf.material().id(), new Leaving(form.kind(), null, part, typed, reason), Map.of());
            first = first == 0 ? made.get(0) : first;
        }
        return first;
    }

    private long count(MaterialShelf shelf, MovementForm form, Amount typed, String reason) {
        List<Long> made = new ArrayList<>();
        if (form.lotId() != null) {
            ledger.countLot(form.lotId(), typed, reason).ifPresent(made::add);
        } else {
            for (Part part : parts(shelf, form)) {
                ledger.count(shelf.material().id(), part, typed, reason).ifPresent(made::add);
            }
        }
        if (made.isEmpty()) {
            throw RefusedException.conflict("On the shelf are "
                    + settings.current().writer().text(typed.shown()) + " of “"
                    + shelf.material().name() + "” already; there is nothing to move.");
        }
        return made.get(0);
    }

    private static List<Part> parts(MaterialShelf shelf, MovementForm form) {
        List<Part> all = shelf.material().parts();
        return form.part() != null && all.contains(form.part()) ? List.of(form.part()) : all;
    }

    private static String text(@Nullable String typed) {
        return typed == null ? "" : typed;
    }

    /** Puts something on the shelf inside the caller's transaction; answers its movement. */
    @Transactional
    public long receive(MaterialId materialId, Arrival arrival) {
        return ledger.arrive(materialId, arrival);
    }

    /** Holds the materials that the caller's transaction is going to move. */
    @Transactional
    public void hold(Collection<MaterialId> materialIds) {
        ledger.hold(materialIds);
    }

    /** The shelf of a material at the end of a day; that of today is the shelf as it is. */
    @Transactional(readOnly = true)
    public ShelfView shelf(MaterialId id, Optional<LocalDate> on) {
        LocalDate today = LocalDate.now(clock);
        LocalDate day = on.map(Days::possible).orElse(today);
        MaterialShelf shelf = day.isBefore(today)
                ? reader.readAll(Days.endOf(day, clock.getZone())).get(id)
                : reader.read(List.of(id)).get(id);
        if (shelf == null) {
            throw RefusedException.missing("There is no such material, or no longer.");
        }
        Settings current = settings.current();
        ViewWriter writer = current.writer();
        Map<LotId, Long> left = shelf.left();
        long inLots = shelf.lots().stream()
                .filter(lot -> !lot.isOfPieces())
                .mapToLong(lot -> left.get(lot.id()))
                .sum();
        long onHandOfParts = shelf.material().parts().stream()
                .mapToLong(part -> shelf.onHand(part).value())
                .sum();
        Amount onHand = shelf.onHand();
        return new ShelfView(
                day,
                writer.amount(onHand),
                writer.money(shelf.worth()),
                current.valuing().school(),
                shelf.lots().stream()
                        .filter(lot -> left.get(lot.id()) != 0)
                        .map(lot -> view(lot, shelf, left.get(lot.id()), current))
                        .toList(),
                shelf.reservations().stream()
                        .map(r -> new ReservedView(
                                r.batchId(),
                                r.part(),
                                r.lotId().orElse(null),
                                writer.amount(
                                        r.isOfPieces()
                                                ? Amount.pieces(r.heldValue())
                                                : new Amount(onHand.counting(), r.heldValue()))))
                        .toList(),
                onHandOfParts < inLots ? writer.amount(new Amount(onHand.counting(), onHandOfParts - inLots)) : null);
    }

    private LotView view(Lot lot, MaterialShelf shelf, long left, Settings current) {
        ViewWriter writer = current.writer();
        long held = shelf.reservations().stream()
                .filter(r -> r.lotId().filter(lot.id()::equals).isPresent())
                .mapToLong(Reservation::heldValue)
                .sum();
        return new LotView(
                lot.id(),
                lot.version(),
                lot.part(),
                lot.origin(),
                lot.cameAt(),
                lot.cameFrom(),
                lot.soldAs(),
                writer.amount(amount(lot, shelf, lot.quantityValue())),
                writer.amount(amount(lot, shelf, left)),
                writer.amount(amount(lot, shelf, held)),
                writer.money(lot.worthMinor()),
                writer.money(lot.extraMinor()),
                lot.dyeLot(),
                lot.place(),
                lot.measuredWidth()
                        .filter(width -> !lot.isOfPieces())
                        .map(width -> writer.length(width, ShownRounding.NEAREST))
                        .orElse(null),
                lot.pieceSize()
                        .map(size -> writer.length(size.width(), ShownRounding.NEAREST))
                        .orElse(null),
                lot.pieceSize()
                        .map(size -> writer.length(size.height(), ShownRounding.NEAREST))
                        .orElse(null),
                lot.pieceSize()
                        .map(size -> new SizeToScale(
                                size.width().nanometres(), size.height().nanometres()))
                        .orElse(null),
                isForTheScrapBag(lot, current));
    }

    private static Amount amount(Lot lot, MaterialShelf shelf, long value) {
        return lot.isOfPieces()
                ? Amount.pieces(value)
                : new Amount(shelf.material().kind().counting(), value);
    }

    /** An offcut that has lain long, and is no larger than twice the smallest that the maker keeps. */
    private boolean isForTheScrapBag(Lot lot, Settings current) {
        boolean old = Duration.between(lot.cameAt(), clock.instant()).toDays() >= current.offcutDays();
        return lot.origin() == MovementKind.OFFCUT_KEPT
                && old
                && lot.pieceSize()
                        .map(size -> !Offcuts.isWorthKeeping(
                                size,
                                current.offcutShort().times(2),
                                current.offcutLong().times(2)))
                        .orElse(false);
    }

    /** Says more about a lot: its dye lot, its place, the width that was measured. */
    @Transactional
    public ShelfView describeLot(LotId lotId, LotForm form) {
        Lot lot = ledger.lot(lotId);
        ChangedMeanwhileException.check("This lot", form.version(), lot.version());
        FieldReader fields = new FieldReader();
        Settings current = settings.current();
        MaterialReader typed = new MaterialReader(fields, current);
        typed.atMost("dyeLot", form.dyeLot(), LONGEST_DYE_LOT);
        typed.atMost("place", form.place(), MaterialReader.LONGEST_PLACE);
        Optional<Length> width = form.measuredWidth().isBlank()
                ? Optional.empty()
                : Optional.of(fields.positiveLength(
                        "measuredWidth",
                        form.measuredWidth(),
                        current.unitSystem().smallUnit(),
                        MaterialReader.WIDEST_CLOTH));
        fields.check();
        lot.describe(form.dyeLot().strip(), form.place().strip(), width.orElse(null));
        lots.saveAndFlush(lot);
        return shelf(lot.materialId(), Optional.empty());
    }

    /** Enters offcuts or precuts that were found or given. */
    public ShelfView enterPieces(MaterialId materialId, PieceForm form) {
        onceOnly.make(form.requestId(), "pieces of " + materialId, form, () -> {
            MaterialShelf shelf = ledger.held(materialId);
            if (shelf.material().kind() != MaterialKind.CLOTH) {
                throw RefusedException.conflict("Only cloth has offcuts and precuts.");
            }
            FieldReader fields = new FieldReader();
            Settings current = settings.current();
            Extent size = pieceSize(fields, form.width(), form.height(), current);
            int count = fields.count("count", form.count(), 1, 10_000);
            new MaterialReader(fields, current).atMost("place", form.place(), MaterialReader.LONGEST_PLACE);
            fields.check();
            return ledger.arrive(
                    materialId,
                    new Arrival(
                            form.given() ? MovementKind.GIVEN : MovementKind.COUNTED,
                            Amount.pieces(count),
                            Optional.empty(),
                            0,
                            "",
                            null,
                            "",
                            "",
                            form.place().strip(),
                            Optional.empty(),
                            Optional.of(size),
                            Optional.empty(),
                            form.given() ? "given" : "found on the shelf",
                            Optional.empty()));
        });
        return shelf(materialId, Optional.empty());
    }

    /** Reads a piece's size. */
    public static Extent pieceSize(FieldReader fields, String width, String height, Settings current) {
        return new Extent(
                fields.positiveLength("width", width, current.unitSystem().smallUnit(), MaterialReader.WIDEST_CLOTH),
                fields.positiveLength("height", height, current.unitSystem().smallUnit(), MaterialReader.WIDEST_CLOTH));
    }

    /** An offcut that was left when a batch was cut; inside the caller's transaction. */
    public record KeptOffcut(MaterialId materialId, Extent size, int count, String place) {}

    /**
     * Cloth that has just been cut for a batch.
     *
     * @param movements those with which it left the shelf, by material
     * @param covered the area of the pieces that were cut, by material
     */
    public record CutCloth(Map<MaterialId, List<Long>> movements, Map<MaterialId, Area> covered) {}

    /** Keeps offcuts of what a batch has just been cut from: each of them a part of the cloth that it was left of. */
    @Transactional
    public void keep(BatchId batchId, List<KeptOffcut> offcuts, CutCloth cut) {
        Map<MaterialId, List<KeptOffcut>> byMaterial = new TreeMap<>();
        offcuts.forEach(offcut -> byMaterial
                .computeIfAbsent(offcut.materialId(), id -> new ArrayList<>())
                .add(offcut));
        byMaterial.forEach((id, its) -> keep(
                batchId,
                its,
                ledger.held(id),
                cut.movements().getOrDefault(id, List.of()),
                cut.covered().getOrDefault(id, Area.ZERO)));
    }

    private void keep(BatchId batchId, List<KeptOffcut> kept, MaterialShelf shelf, List<Long> movements, Area covered) {
        try {
            List<KeptOffcuts.Source> sources = KeptOffcuts.of(
                    kept.stream()
                            .map(one -> new KeptOffcuts.Kept(one.size(), one.count()))
                            .toList(),
                    movements.stream().map(shelf::cutBy).toList(),
                    covered);
            sources.forEach(source -> keep(batchId, kept.get(source.kept()), source, shelf));
        } catch (KeptOffcuts.TooMuchException tooMuch) {
            KeptOffcut one = kept.get(tooMuch.kept());
            throw RefusedException.conflict("There can't be " + one.count() + " of "
                    + size(one.size(), settings.current().writer()) + " left of “"
                    + shelf.material().name()
                    + "”: with the pieces that is more than what was cut. Keep fewer, or set the size right.");
        }
    }

    private void keep(BatchId batchId, KeptOffcut kept, KeptOffcuts.Source source, MaterialShelf shelf) {
        long movement = Long.parseLong(source.from());
        ledger.arrive(
                kept.materialId(),
                new Arrival(
                        MovementKind.OFFCUT_KEPT,
                        Amount.pieces(source.count()),
                        Optional.of(0L),
                        0,
                        "batch " + batchId,
                        null,
                        "",
                        shelf.dyeLotOf(movement),
                        kept.place(),
                        shelf.widthOf(movement),
                        Optional.of(kept.size()),
                        Optional.of(new KeptOf(
                                movement,
                                new BigDecimal(source.share().getNumerator())
                                        .divide(
                                                new BigDecimal(source.share().getDenominator()),
                                                18,
                                                RoundingMode.DOWN))),
                        "left of batch " + batchId,
                        Optional.empty()));
    }

    /**
     * What lies on the shelf to be counted, place by place.
     *
     * @param place where it lies; an empty one for what has no place, none for all
     * @param query words of its name
     */
    @Transactional(readOnly = true)
    public StockTakeView stockTake(Optional<String> place, String query, int page, int size) {
        List<CountLine> all = allToCount.get(true, every -> allToCount());
        Pattern words = SearchWords.pattern(query);
        List<CountLine> asked = all.stream()
                .filter(line -> place.map(line.place()::equals).orElse(true))
                .filter(line -> words.matcher(line.name()).find())
                .toList();
        return new StockTakeView(
                PageView.ofAll(asked, page, size, Function.identity()),
                all.stream().map(CountLine::place).distinct().toList());
    }

    private List<CountLine> allToCount() {
        ViewWriter writer = settings.current().writer();
        List<CountLine> lines = new ArrayList<>();
        for (MaterialShelf shelf : reader.readAll().values()) {
            Material material = shelf.material();
            for (Part part : material.parts()) {
                if (material.isPutAway() && shelf.onHand(part).value() == 0) {
                    continue;
                }
                lines.add(new CountLine(
                        material.id(),
                        null,
                        part,
                        material.name() + (part == Part.WHOLE ? "" : ", " + part.words()),
                        material.kind(),
                        material.colour(),
                        material.facts().place(),
                        null,
                        writer.amount(shelf.onHand(part))));
            }
            Map<LotId, Long> left = shelf.left();
            for (Lot lot : shelf.lots()) {
                if (lot.isOfPieces() && left.get(lot.id()) > 0) {
                    lines.add(new CountLine(
                            material.id(),
                            lot.id(),
                            lot.part(),
                            material.name(),
                            material.kind(),
                            material.colour(),
                            lot.place().isEmpty() ? material.facts().place() : lot.place(),
                            lot.pieceSize().map(size -> size(size, writer)).orElse(null),
                            writer.amount(Amount.pieces(left.get(lot.id())))));
                }
            }
        }
        return lines.stream().sorted(Comparator.comparing(CountLine::place)).toList();
    }

    private static String size(Extent size, ViewWriter writer) {
        return writer.text(Value.of(size.width())) + " × " + writer.text(Value.of(size.height()));
    }

    /**
     * Enters what a walk along the shelf found: each difference becomes a movement with its reason. All or nothing; what
     * moved since it was counted is refused, so that nothing is counted away.
     */
    public StockTakeDone takeStock(StockTakeForm form) {
        long differences = onceOnly.make(form.requestId(), "stock-take", form, () -> {
            FieldReader fields = new FieldReader();
            Settings current = settings.current();
            ledger.hold(form.lines().stream().map(CountedLine::materialId).toList());
            Map<Integer, Amount> there = new LinkedHashMap<>();
            for (int i = 0; i < form.lines().size(); i++) {
                there.put(i, counted(form.lines().get(i), "lines." + i + ".there", fields, current));
            }
            fields.check();
            long found = 0;
            for (int i = 0; i < form.lines().size(); i++) {
                CountedLine line = form.lines().get(i);
                String reason = line.reason().isBlank()
                        ? form.reason().strip()
                        : line.reason().strip();
                Optional<Long> moved = line.lotId() == null
                        ? ledger.count(line.materialId(), line.part(), there.get(i), reason)
                        : ledger.countLot(line.lotId(), there.get(i), reason);
                found += moved.isPresent() ? 1 : 0;
            }
            return found;
        });
        return new StockTakeDone(form.lines().size(), (int) differences);
    }

    private Amount counted(CountedLine line, String field, FieldReader fields, Settings current) {
        MaterialShelf shelf = ledger.held(line.materialId());
        Amount book = line.lotId() == null
                ? shelf.onHand(line.part())
                : Amount.pieces(shelf.left()
                        .getOrDefault(
                                ledger.lot(line.materialId(), line.lotId()).id(), 0L));
        if (book.value() != line.bookValue()) {
            fields.refuse(
                    field,
                    line.there(),
                    "“" + shelf.material().name() + "” has moved since you counted it; in the book there are now "
                            + current.writer().text(book.shown()) + ". Count it again.");
        }
        return line.lotId() == null
                ? MaterialReader.amount(
                        fields, field, line.there(), shelf.material().kind(), current)
                : Amount.pieces(fields.count(field, line.there(), 0, 10_000));
    }

    /** Old small offcuts, the oldest first, that may go into the scrap bag. */
    @Transactional(readOnly = true)
    public List<ScrapLine> scrap() {
        return toScrap.get(LocalDate.now(clock), today -> scrapNow());
    }

    private List<ScrapLine> scrapNow() {
        Settings current = settings.current();
        ViewWriter writer = current.writer();
        List<ScrapLine> lines = new ArrayList<>();
        for (MaterialShelf shelf : reader.readAll().values()) {
            Map<LotId, Long> left = shelf.left();
            shelf.lots().stream()
                    .filter(lot -> left.get(lot.id()) > 0 && isForTheScrapBag(lot, current))
                    .forEach(lot -> lines.add(new ScrapLine(
                            lot.id(),
                            shelf.material().id(),
                            shelf.material().name(),
                            shelf.material().colour(),
                            writer.length(lot.pieceSize().orElseThrow().width(), ShownRounding.NEAREST),
                            writer.length(lot.pieceSize().orElseThrow().height(), ShownRounding.NEAREST),
                            left.get(lot.id()),
                            lot.cameAt())));
        }
        lines.sort(Comparator.comparing(ScrapLine::keptAt));
        return lines;
    }

    /** Puts offcuts into the scrap bag; answers what else may go. */
    public List<ScrapLine> scrap(ScrapForm form) {
        onceOnly.make(form.requestId(), "scrap bag", form, () -> {
            long last = 0;
            ledger.hold(form.lotIds().stream()
                    .map(lotId -> ledger.lot(lotId).materialId())
                    .toList());
            for (LotId lotId : form.lotIds()) {
                Lot lot = ledger.lot(lotId);
                long left = ledger.held(lot.materialId()).left().get(lotId);
                last = ledger.leaveLot(
                        lotId, new Leaving(MovementKind.SCRAPPED, null, lot.part(), Amount.pieces(left), ""));
            }
            return last;
        });
        return scrap();
    }
}
