package mardun.app.material;

import java.time.ZoneId;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import mardun.app.files.ListSheet;
import mardun.app.files.SheetLine;
import mardun.app.files.SheetWords;
import mardun.app.id.MaterialId;
import mardun.app.material.StockLedger.Leaving;
import mardun.app.problem.FieldProblem;
import mardun.app.problem.FieldReader;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.CsvSheet;
import mardun.app.show.ViewWriter;
import mardun.core.material.Amount;
import mardun.core.material.Ledger;
import mardun.core.material.Ledger.Movement;
import mardun.core.material.MovementKind;
import mardun.core.material.Part;
import org.springframework.core.annotation.Order;
import org.springframework.data.domain.Sort;
import org.springframework.stereotype.Component;

/**
 * The ledger as a CSV sheet. Going out it has every movement; coming in each line is a new one, taken in the order of the
 * lines, so a sheet that went out is refused where it would be entered a second time: its lines carry their numbers.
 */
@Component
@Order(3)
class MovementsSheet implements ListSheet {

    private static final String NUMBER = "number";
    private static final String MATERIAL = "material";
    private static final String KIND = "kind";
    private static final String AMOUNT = "amount";
    private static final String REASON = "reason";

    private final StockMovementRepository movements;
    private final MaterialService materials;
    private final StockLedger ledger;
    private final SettingsService settings;

    MovementsSheet(
            StockMovementRepository movements,
            MaterialService materials,
            StockLedger ledger,
            SettingsService settings) {
        this.movements = movements;
        this.materials = materials;
        this.ledger = ledger;
        this.settings = settings;
    }

    @Override
    public String key() {
        return "movements";
    }

    @Override
    public List<Column> columns() {
        return List.of(
                new Column(NUMBER, false, "of a movement that is in the book already; empty for a new one"),
                new Column("day", false, "on which it went out; a new one is entered today"),
                new Column(MATERIAL, true, "by its name"),
                new Column(KIND, true, "bought, given, returned, cut, used, spoiled, sold on or counted"),
                new Column(AMOUNT, true, "what came or left; for counted what is there"),
                new Column(REASON, false, "why; needed for what was spoiled or counted"));
    }

    @Override
    public void write(CsvSheet sheet) {
        Map<MaterialId, ShelfMaterial> byId = new HashMap<>();
        materials.onShelf().forEach(one -> byId.put(one.id(), one));
        ViewWriter writer = settings.current().writer();
        for (StockMovement movement : movements.findAll(Sort.by("id"))) {
            ShelfMaterial material = byId.get(movement.materialId());
            Amount change = movement.isOfPieces()
                    ? Amount.pieces(movement.changeValue())
                    : new Amount(material.kind().counting(), movement.changeValue());
            String sign = change.isNegative() ? "-" : "";
            sheet.line(
                    Long.toString(movement.id()),
                    movement.movedAt()
                            .atZone(ZoneId.systemDefault())
                            .toLocalDate()
                            .toString(),
                    material.name(),
                    movement.kind().words(),
                    sign
                            + writer.amount(change.isNegative() ? change.negated() : change)
                                    .exact(),
                    movement.reason());
        }
    }

    @Override
    public LineReader reader(List<SheetLine> lines) {
        Map<String, ShelfMaterial> known = materials.byName();
        Map<MaterialId, Amount> onHand = new HashMap<>();
        known.values().forEach(one -> onHand.put(one.id(), one.onHand()));
        Settings current = settings.current();
        BulkLedger bulk = new BulkLedger(ledger, lines, MATERIAL, known);
        return line -> read(line, known, onHand, bulk, current);
    }

    private Verdict read(
            SheetLine line,
            Map<String, ShelfMaterial> known,
            Map<MaterialId, Amount> onHand,
            BulkLedger bulk,
            Settings current) {
        String name = line.get(MATERIAL);
        if (!line.get(NUMBER).isBlank()) {
            return Verdict.same("movement " + line.get(NUMBER));
        }
        FieldReader fields = new FieldReader();
        ShelfMaterial material = known.get(name.toLowerCase(Locale.ROOT));
        if (material == null) {
            return Verdict.refuse(
                    name.isEmpty() ? "a movement" : name,
                    List.of("There is no material called “" + name + "”. Write the name as it stands in the list."));
        }
        Optional<MovementKind> kind = kind(fields, line.get(KIND));
        Amount typed = MaterialReader.amount(fields, AMOUNT, line.get(AMOUNT), material.kind(), current);
        String reason = line.get(REASON);
        if (reason.length() > 300) {
            fields.refuse(REASON, reason, "Use at most 300 characters.");
        }
        if (material.twoPart()) {
            fields.refuse(MATERIAL, name, "The halves of “" + name + "” are counted apart; move it on its own page.");
        }
        Amount before = onHand.get(material.id());
        kind.ifPresent(one -> check(fields, one, typed, before, reason, material, current));
        if (!fields.problems().isEmpty()) {
            return Verdict.refuse(
                    name, fields.problems().stream().map(FieldProblem::sentence).toList());
        }
        MovementKind moved = kind.orElseThrow();
        onHand.put(material.id(), before.plus(change(moved, typed, before)));
        return Verdict.add(
                name + ", " + moved.words() + " " + line.get(AMOUNT),
                () -> apply(bulk.ledger(), material, moved, typed, reason));
    }

    private static void check(
            FieldReader fields,
            MovementKind kind,
            Amount typed,
            Amount before,
            String reason,
            ShelfMaterial material,
            Settings current) {
        try {
            Ledger.after(before, new Movement(kind, change(kind, typed, before), reason));
        } catch (Ledger.RefusedException refused) {
            String there = current.writer().text(before.shown());
            fields.refuse(
                    AMOUNT,
                    "",
                    switch (refused.refusal()) {
                        case NOTHING_MOVED ->
                            "On the shelf are " + there + " of “" + material.name() + "” already; nothing is moved.";
                        case WRONG_DIRECTION -> "This kind of movement doesn't go that way.";
                        case REASON_MISSING -> "What was " + kind.words() + " needs a reason.";
                        case BELOW_ZERO ->
                            "At this line only " + there + " of “" + material.name()
                                    + "” are on the shelf. Enter what came first, or give a reason.";
                    });
        }
    }

    private static Amount change(MovementKind kind, Amount typed, Amount before) {
        return switch (kind.direction()) {
            case IN -> typed;
            case OUT -> typed.negated();
            case EITHER -> typed.minus(before);
        };
    }

    private static void apply(
            StockLedger ledger, ShelfMaterial material, MovementKind kind, Amount typed, String reason) {
        switch (kind.direction()) {
            case IN -> ledger.arrive(material.id(), Arrival.of(kind, typed, reason));
            case OUT -> ledger.leave(material.id(), new Leaving(kind, null, Part.WHOLE, typed, reason), Map.of());
            case EITHER -> ledger.count(material.id(), Part.WHOLE, typed, reason);
        }
    }

    private static Optional<MovementKind> kind(FieldReader fields, String cell) {
        Optional<MovementKind> found = SheetWords.choice(fields, KIND, cell, MovementKind.class);
        if (found.filter(kind -> kind == MovementKind.OFFCUT_KEPT || kind == MovementKind.SCRAPPED)
                .isPresent()) {
            fields.refuse(KIND, cell, "Offcuts have a size; enter them on the material's page.");
        }
        return found;
    }
}
