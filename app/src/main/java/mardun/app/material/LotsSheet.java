package mardun.app.material;

import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import mardun.app.files.ListSheet;
import mardun.app.files.SheetLine;
import mardun.app.files.SheetWords;
import mardun.app.id.LotId;
import mardun.app.problem.FieldProblem;
import mardun.app.problem.FieldReader;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.CsvSheet;
import mardun.app.show.ViewWriter;
import mardun.core.material.Amount;
import mardun.core.material.MaterialKind;
import mardun.core.material.MovementKind;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.measure.LengthWriter;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * The lots as a CSV sheet. A line with a number is a lot that is there, of which dye lot, place and measured width may
 * change; one without is a new lot.
 */
@Component
@Order(2)
class LotsSheet implements ListSheet {

    private static final String NUMBER = "number";
    private static final String MATERIAL = "material";
    private static final String HOW = "how";
    private static final String CAME_ON = "came on";
    private static final String QUANTITY = "quantity";
    private static final String PAID = "paid";
    private static final String DYE_LOT = "dye lot";
    private static final String PLACE = "place";
    private static final String MEASURED = "measured width";
    private static final String WIDTH = "piece width";
    private static final String HEIGHT = "piece height";

    private final ShelfReader reader;
    private final LotRepository lots;
    private final MaterialService materials;
    private final StockLedger ledger;
    private final SettingsService settings;
    private final Clock clock;

    LotsSheet(
            ShelfReader reader,
            LotRepository lots,
            MaterialService materials,
            StockLedger ledger,
            SettingsService settings,
            Clock clock) {
        this.reader = reader;
        this.lots = lots;
        this.materials = materials;
        this.ledger = ledger;
        this.settings = settings;
        this.clock = clock;
    }

    @Override
    public String key() {
        return "lots";
    }

    @Override
    public List<Column> columns() {
        return List.of(
                new Column(NUMBER, false, "of a lot that is there; empty for a new one"),
                new Column(MATERIAL, true, "by its name"),
                new Column(HOW, true, "bought, given, returned or counted"),
                new Column(CAME_ON, false, "a day like 2026-03-14; empty for today"),
                new Column(QUANTITY, true, "what came: 3 yd, 50, 2 kg; of precuts how many pieces"),
                new Column("left", false, "what is left of it; only going out"),
                new Column(PAID, false, "with its share of postage; empty for what it would have cost"),
                new Column(DYE_LOT, false, ""),
                new Column(PLACE, false, ""),
                new Column(MEASURED, false, "the usable width as you measured it"),
                new Column(WIDTH, false, "of offcuts and precuts"),
                new Column(HEIGHT, false, "of offcuts and precuts"));
    }

    @Override
    public void write(CsvSheet sheet) {
        Settings current = settings.current();
        ViewWriter writer = current.writer();
        for (MaterialShelf shelf : reader.readAll().values()) {
            Map<LotId, Long> left = shelf.left();
            for (Lot lot : shelf.lots()) {
                sheet.line(
                        lot.id().key(),
                        shelf.material().name(),
                        SheetWords.words(lot.origin()),
                        lot.cameAt()
                                .atZone(ZoneId.systemDefault())
                                .toLocalDate()
                                .toString(),
                        exact(lot, shelf, lot.quantityValue(), writer),
                        exact(lot, shelf, left.get(lot.id()), writer),
                        current.money(lot.worthMinor()).getAmount().toPlainString(),
                        lot.dyeLot(),
                        lot.place(),
                        lot.measuredWidth().map(width -> small(width, current)).orElse(""),
                        lot.pieceSize()
                                .map(size -> small(size.width(), current))
                                .orElse(""),
                        lot.pieceSize()
                                .map(size -> small(size.height(), current))
                                .orElse(""));
            }
        }
    }

    private static String exact(Lot lot, MaterialShelf shelf, long value, ViewWriter writer) {
        return writer.amount(
                        lot.isOfPieces()
                                ? Amount.pieces(value)
                                : new Amount(shelf.material().kind().counting(), value))
                .exact();
    }

    private static String small(Length length, Settings current) {
        return LengthWriter.exactly(length, current.unitSystem());
    }

    @Override
    public LineReader reader(List<SheetLine> lines) {
        Map<String, ShelfMaterial> known = materials.byName();
        Map<String, Lot> byNumber = new HashMap<>();
        lots.findAll().forEach(lot -> byNumber.put(lot.id().key(), lot));
        Settings current = settings.current();
        BulkLedger bulk = new BulkLedger(ledger, lines, MATERIAL, known);
        return line -> read(line, known, byNumber, bulk, current);
    }

    private Verdict read(
            SheetLine line,
            Map<String, ShelfMaterial> known,
            Map<String, Lot> byNumber,
            BulkLedger bulk,
            Settings current) {
        String name = line.get(MATERIAL);
        ShelfMaterial material = known.get(name.toLowerCase(Locale.ROOT));
        if (material == null) {
            return Verdict.refuse(
                    name.isEmpty() ? "a lot" : name,
                    List.of("There is no material called “" + name + "”. Write the name as it stands in the list."));
        }
        FieldReader fields = new FieldReader();
        Verdict verdict = line.get(NUMBER).isBlank()
                ? added(line, material, fields, bulk, current)
                : changed(line, byNumber, material, fields, current);
        return fields.problems().isEmpty()
                ? verdict
                : Verdict.refuse(
                        name,
                        fields.problems().stream().map(FieldProblem::sentence).toList());
    }

    private Verdict changed(
            SheetLine line, Map<String, Lot> byNumber, ShelfMaterial material, FieldReader fields, Settings current) {
        Lot lot = byNumber.get(line.get(NUMBER));
        if (lot == null || !lot.materialId().equals(material.id())) {
            fields.refuse(
                    NUMBER,
                    line.get(NUMBER),
                    "There is no lot " + line.get(NUMBER) + " of “" + material.name()
                            + "”. Leave the number empty for a new one.");
            return Verdict.same("");
        }
        String dyeLot = text(fields, line, DYE_LOT, lot.dyeLot(), 60);
        String place = text(fields, line, PLACE, lot.place(), 80);
        String before = lot.measuredWidth().map(width -> small(width, current)).orElse("");
        Optional<Length> width = small(fields, line, MEASURED, before, current);
        boolean same = dyeLot.equals(lot.dyeLot()) && place.equals(lot.place()) && width.equals(lot.measuredWidth());
        String what = material.name() + ", lot " + lot.id();
        LotId id = lot.id();
        return same
                ? Verdict.same(what)
                : Verdict.change(
                        what,
                        List.of("dye lot, place or measured width"),
                        () -> ledger.lot(id).describe(dyeLot, place, width.orElse(null)));
    }

    private Verdict added(
            SheetLine line, ShelfMaterial material, FieldReader fields, BulkLedger bulk, Settings current) {
        MovementKind how = SheetWords.choice(fields, HOW, line.get(HOW), MovementKind.class)
                .orElse(MovementKind.BOUGHT);
        if (how.direction() == MovementKind.Direction.OUT || how == MovementKind.OFFCUT_KEPT) {
            fields.refuse(HOW, line.get(HOW), "A lot comes by being bought, given, returned or counted.");
        }
        boolean pieces = !line.get(WIDTH).isBlank() || !line.get(HEIGHT).isBlank();
        if (pieces && material.kind() != MaterialKind.CLOTH) {
            fields.refuse(WIDTH, line.get(WIDTH), "Only cloth has offcuts and precuts.");
        }
        Amount quantity = pieces
                ? Amount.pieces(fields.count(QUANTITY, line.get(QUANTITY), 1, 100_000))
                : MaterialReader.amount(fields, QUANTITY, line.get(QUANTITY), material.kind(), current);
        if (!quantity.isPositive() && fields.problems().isEmpty()) {
            fields.refuse(QUANTITY, line.get(QUANTITY), "A lot of nothing is no lot. Write what came.");
        }
        Optional<Length> width = small(fields, line, WIDTH, "", current);
        Optional<Length> height = small(fields, line, HEIGHT, "", current);
        if (width.isPresent() != height.isPresent()) {
            fields.refuse(WIDTH, line.get(WIDTH), "A piece has a width and a height. Write both, or none.");
        }
        String reason = "from a list";
        Arrival arrival = new Arrival(
                how,
                quantity,
                line.get(PAID).isBlank()
                        ? Optional.empty()
                        : Optional.of(fields.money(PAID, line.get(PAID), current.currency())),
                0,
                "",
                null,
                "",
                text(fields, line, DYE_LOT, "", 60),
                text(fields, line, PLACE, material.place(), 80),
                small(fields, line, MEASURED, "", current),
                width.flatMap(w -> height.map(h -> new Extent(w, h))),
                Optional.empty(),
                reason,
                pastDay(fields, line.get(CAME_ON))
                        .map(day -> day.atTime(LocalTime.NOON)
                                .atZone(clock.getZone())
                                .toInstant()));
        return Verdict.add(
                material.name() + ", " + line.get(QUANTITY), () -> bulk.ledger().arrive(material.id(), arrival));
    }

    /** The day on which it came, if that is past. */
    private Optional<LocalDate> pastDay(FieldReader fields, String cell) {
        LocalDate today = LocalDate.now(clock);
        return Optional.of(SheetWords.day(fields, CAME_ON, cell, today)).filter(day -> day.isBefore(today));
    }

    private static String text(FieldReader fields, SheetLine line, String column, String before, int most) {
        String text = line.get(column, before);
        if (text.length() > most) {
            fields.refuse(column, text, "Use at most " + most + " characters for the " + column + ".");
        }
        return text.isEmpty() && !line.has(column) ? before : text;
    }

    private static Optional<Length> small(
            FieldReader fields, SheetLine line, String column, String before, Settings current) {
        String text = line.get(column, before);
        return text.isBlank()
                ? Optional.empty()
                : Optional.of(fields.positiveLength(
                        column, text, current.unitSystem().smallUnit(), MaterialReader.WIDEST_CLOTH));
    }
}
