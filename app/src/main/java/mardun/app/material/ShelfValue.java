package mardun.app.material;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import mardun.app.id.LotId;
import mardun.app.material.StockViews.CutPiecesValue;
import mardun.app.material.StockViews.KindValue;
import mardun.app.material.StockViews.StockValueView;
import mardun.app.material.StockViews.ValueLine;
import mardun.app.problem.Days;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.CsvSheet;
import mardun.app.show.ViewWriter;
import mardun.app.stored.Changes;
import mardun.app.stored.Remembered;
import mardun.core.material.MaterialKind;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What all that lies on the shelf is worth: materials by the maker's school, cut pieces at what their cloth cost. */
@Service
public class ShelfValue {

    private final ShelfReader reader;
    private final CutPieces cutPieces;
    private final SettingsService settings;
    private final Clock clock;
    private final Remembered<LocalDate, StockValueView> today;
    private final Remembered<LocalDate, Worth> worth;

    ShelfValue(ShelfReader reader, CutPieces cutPieces, SettingsService settings, Clock clock, Changes changes) {
        this.reader = reader;
        this.cutPieces = cutPieces;
        this.settings = settings;
        this.clock = clock;
        this.today = new Remembered<>(changes, ShelfReader.TABLES);
        this.worth = new Remembered<>(changes, ShelfReader.TABLES);
    }

    /**
     * What the shelf was worth, in minor units.
     *
     * @param kinds materials by their kinds
     * @param cut pieces that were cut and not sewn
     */
    public record Worth(Map<MaterialKind, Long> kinds, long cut) {}

    /** What the shelf was worth at the end of a day, by the maker's school: the sums alone, for whoever doesn't show what lay there. */
    @Transactional(readOnly = true)
    public Worth worthOn(LocalDate day) {
        LocalDate now = LocalDate.now(clock);
        return worth.get(Days.possible(day), its -> {
            Instant end = endOf(its, now);
            Map<MaterialKind, Long> kinds = new EnumMap<>(MaterialKind.class);
            reader.readAll(end)
                    .values()
                    .forEach(shelf -> kinds.merge(shelf.material().kind(), shelf.worth(), Long::sum));
            return new Worth(kinds, cutPieces.at(end).minor());
        });
    }

    private Instant endOf(LocalDate day, LocalDate now) {
        return day.isBefore(now) ? Days.endOf(day, clock.getZone()) : ShelfReader.EVER;
    }

    /** What the shelf was worth at the end of a day, by the maker's school. */
    @Transactional(readOnly = true)
    public StockValueView on(Optional<LocalDate> on) {
        LocalDate now = LocalDate.now(clock);
        LocalDate day = on.map(Days::possible).orElse(now);
        // Days of the past are asked for once; all of them would be much to remember.
        return day.equals(now) ? today.get(now, its -> workedOut(its, its)) : workedOut(day, now);
    }

    private StockValueView workedOut(LocalDate day, LocalDate now) {
        Settings current = settings.current();
        ViewWriter writer = current.writer();
        List<ValueLine> lines = new ArrayList<>();
        Map<MaterialKind, Long> worth = new EnumMap<>(MaterialKind.class);
        Map<MaterialKind, Integer> counts = new EnumMap<>(MaterialKind.class);
        Instant end = endOf(day, now);
        for (MaterialShelf shelf : reader.readAll(end).values()) {
            Map<LotId, Long> left = shelf.left();
            long pieces = shelf.lots().stream()
                    .filter(Lot::isOfPieces)
                    .mapToLong(lot -> left.get(lot.id()))
                    .sum();
            if (shelf.worth() == 0 && shelf.onHand().value() == 0 && pieces == 0) {
                continue;
            }
            Material material = shelf.material();
            worth.merge(material.kind(), shelf.worth(), Long::sum);
            counts.merge(material.kind(), 1, Integer::sum);
            lines.add(new ValueLine(
                    material.id(),
                    material.name(),
                    material.kind(),
                    writer.amount(shelf.onHand()),
                    pieces,
                    writer.money(shelf.worthOfRolls()),
                    writer.money(shelf.worth() - shelf.worthOfRolls())));
        }
        CutPieces.Worth cut = cutPieces.at(end);
        return new StockValueView(
                day,
                current.valuing().school(),
                worth.entrySet().stream()
                        .map(kind ->
                                new KindValue(kind.getKey(), counts.get(kind.getKey()), writer.money(kind.getValue())))
                        .toList(),
                new CutPiecesValue(cut.pieces(), writer.money(cut.minor())),
                writer.money(worth.values().stream().mapToLong(Long::longValue).sum() + cut.minor()),
                lines);
    }

    /** The same as a CSV sheet: a line for each material, then one for each kind and the total. */
    @Transactional(readOnly = true)
    public String csv(Optional<LocalDate> on) {
        StockValueView value = on(on);
        String currency = settings.current().currency().getCode();
        String school = value.school().words();
        CsvSheet sheet = new CsvSheet(
                settings.current().decimalMark(),
                "on",
                "kind",
                "material",
                "on hand",
                "offcuts and precuts",
                "worth",
                "currency",
                "valued by");
        String day = value.on().toString();
        for (ValueLine line : value.lines()) {
            sheet.line(
                    day,
                    words(line.kind()),
                    line.name(),
                    line.onHand().exact(),
                    Long.toString(line.pieces()),
                    settings.current()
                            .money(line.worth().minor() + line.worthOfPieces().minor())
                            .getAmount()
                            .toPlainString(),
                    currency,
                    school);
        }
        for (KindValue kind : value.kinds()) {
            sheet.line(
                    day,
                    words(kind.kind()),
                    "all together",
                    "",
                    "",
                    plain(kind.worth().minor()),
                    currency,
                    school);
        }
        sheet.line(
                day,
                "cut, not sewn",
                "all together",
                "",
                Long.toString(value.cutPieces().pieces()),
                plain(value.cutPieces().worth().minor()),
                currency,
                "what their cloth cost");
        sheet.line(
                day, "everything", "all together", "", "", plain(value.total().minor()), currency, school);
        return sheet.text();
    }

    private String plain(long minor) {
        return settings.current().money(minor).getAmount().toPlainString();
    }

    private static String words(MaterialKind kind) {
        return kind.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
