package mardun.app.material;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import mardun.app.files.ListSheet;
import mardun.app.files.SheetLine;
import mardun.app.files.SheetWords;
import mardun.app.problem.FieldProblem;
import mardun.app.problem.FieldReader;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.CsvSheet;
import mardun.core.material.Amount;
import mardun.core.material.ClothKind;
import mardun.core.material.MaterialKind;
import mardun.core.material.Part;
import mardun.core.material.Ware;
import org.jspecify.annotations.Nullable;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** The materials as a CSV sheet: what they are, their prices, and what is on the shelf. A material is known by its name. */
@Component
@Order(1)
class MaterialsSheet implements ListSheet {

    private static final String NAME = "name";
    private static final String KIND = "kind";
    private static final String ON_HAND = "on hand";
    private static final String WARE = "trim or notion";
    private static final List<Column> COLUMNS = List.of(
            new Column(NAME, true, "by which the material is known"),
            new Column(
                    KIND, true, "cloth, sheet, trim, notion, filling by weight, filling by volume, thread or packing"),
            new Column("what it is", false, "in your own words"),
            new Column("price", true, "as you pay it"),
            new Column("price for", true, "1 yd, 1 m, 10, 1 kg"),
            new Column(ON_HAND, false, "what is on the shelf; a difference is entered as counted"),
            new Column("low below", false, "the reorder point"),
            new Column("target", false, "up to where the shelf is filled"),
            new Column("place", false, "where it lies"),
            new Column("colour", false, "like #3f6b5c"),
            new Column("cloth", false, "quilting cotton, canvas, laminate …"),
            new Column("usable width", false, "of cloth, without the selvages"),
            new Column("sheet height", false, "of cloth bought by the sheet; its width is the usable width"),
            new Column("full width", false, "of cloth"),
            new Column("selvage", false, "on each side"),
            new Column("one way up", false, "yes or no"),
            new Column("nap", false, "yes or no"),
            new Column("print", false, "plain, dots, stripes, checks, floral or texture"),
            new Column("repeat", false, "the height after which the print comes again"),
            new Column("shrinkage", false, "in per cent"),
            new Column("shrinks after cutting", false, "yes if it isn't washed before it is cut"),
            new Column("fibre", false, ""),
            new Column("weight class", false, "light, medium or heavy"),
            new Column("ironable", false, "yes, no, or empty for as usual"),
            new Column("frays", false, "yes, no, or empty for as usual"),
            new Column("layers at once", false, "how many may be cut together"),
            new Column("needle", false, ""),
            new Column("care", false, "words for labels"),
            new Column("one dye lot", false, "yes if a batch must not mix dyes"),
            new Column("two-part", false, "yes if halves are counted apart"),
            new Column(WARE, false, "what a trim or a notion is: zip tape, cord, snap, ring"),
            new Column("zip length", false, "of a closed-end zip"),
            new Column("metal zip", false, "yes or no"),
            new Column("use per hour", false, "of thread"));
    private static final String COUNTED = "counted, from a list";

    private final MaterialService materials;
    private final MaterialRepository repository;
    private final StockLedger ledger;
    private final SettingsService settings;

    MaterialsSheet(
            MaterialService materials, MaterialRepository repository, StockLedger ledger, SettingsService settings) {
        this.materials = materials;
        this.repository = repository;
        this.ledger = ledger;
        this.settings = settings;
    }

    @Override
    public String key() {
        return "materials";
    }

    @Override
    public List<Column> columns() {
        return COLUMNS;
    }

    @Override
    public void write(CsvSheet sheet) {
        for (MaterialView one : materials.all()) {
            sheet.line(cells(one).toArray(String[]::new));
        }
    }

    private static List<String> cells(MaterialView one) {
        FactsForm facts = one.facts();
        return List.of(
                one.name(),
                SheetWords.words(one.kind()),
                one.note(),
                one.price().amount(),
                one.pricePer().exact(),
                one.onHand().exact(),
                one.lowAt() == null ? "" : one.lowAt().exact(),
                facts.target(),
                facts.place(),
                one.colour(),
                one.cloth() == null ? "" : SheetWords.words(one.cloth()),
                one.usableWidth() == null ? "" : one.usableWidth().exact(),
                one.sheetHeight() == null ? "" : one.sheetHeight().exact(),
                facts.fullWidth(),
                facts.selvage(),
                SheetWords.yesNo(one.directional()),
                SheetWords.yesNo(facts.nap()),
                SheetWords.words(facts.print()),
                facts.repeat(),
                facts.shrinkage(),
                SheetWords.yesNo(facts.shrinksAfterCutting()),
                facts.fibre(),
                facts.weightClass() == null ? "" : SheetWords.words(facts.weightClass()),
                asUsual(facts.ironable()),
                asUsual(facts.frays()),
                facts.layersAtOnce(),
                facts.needle(),
                facts.care(),
                SheetWords.yesNo(facts.oneDyeLot()),
                SheetWords.yesNo(facts.twoPart()),
                facts.ware() == null ? "" : facts.ware().words(),
                facts.zipLength(),
                SheetWords.yesNo(facts.zipMetal()),
                facts.usePerHour());
    }

    private static String asUsual(@Nullable Boolean said) {
        return said == null ? "" : SheetWords.yesNo(said);
    }

    @Override
    public LineReader reader(List<SheetLine> lines) {
        Map<String, MaterialView> known = new HashMap<>();
        materials.all().forEach(one -> known.put(one.name().toLowerCase(Locale.ROOT), one));
        Set<String> seen = new HashSet<>();
        Settings current = settings.current();
        return line -> read(line, known, seen, current);
    }

    private Verdict read(SheetLine line, Map<String, MaterialView> known, Set<String> seen, Settings current) {
        FieldReader fields = new FieldReader();
        String name = line.get(NAME).strip();
        MaterialView before = known.get(name.toLowerCase(Locale.ROOT));
        if (!seen.add(name.toLowerCase(Locale.ROOT))) {
            fields.refuse(NAME, name, "“" + name + "” stands in the file twice. Keep one of the lines.");
        }
        MaterialKind kind = SheetWords.choice(fields, KIND, line.get(KIND), MaterialKind.class)
                .orElse(MaterialKind.NOTION);
        if (before != null && before.kind() != kind && fields.problems().isEmpty()) {
            fields.refuse(
                    KIND,
                    line.get(KIND),
                    "“" + name + "” is " + SheetWords.words(before.kind()) + ", and that can't change. Write "
                            + SheetWords.words(before.kind()) + ", or use another name.");
        }
        MaterialForm form = form(line, kind, before, fields);
        Material.Entered entered = new MaterialReader(fields, current).read(form, kind, Facts.NONE);
        Optional<Amount> onHand = line.get(ON_HAND).isBlank()
                ? Optional.empty()
                : Optional.of(MaterialReader.amount(fields, ON_HAND, line.get(ON_HAND), kind, current));
        if (before != null && before.facts().twoPart() != entered.facts().twoPart()) {
            fields.refuse("two-part", "", "How “" + name + "” is counted can't change once it is entered.");
        }
        if (!fields.problems().isEmpty()) {
            return Verdict.refuse(
                    name.isEmpty() ? "a material" : name,
                    fields.problems().stream().map(FieldProblem::sentence).toList());
        }
        if (before == null) {
            return Verdict.add(name, () -> materials.enter(kind, entered, onHand, false));
        }
        return changed(line, before, entered, onHand, current);
    }

    private Verdict changed(
            SheetLine line, MaterialView before, Material.Entered entered, Optional<Amount> onHand, Settings current) {
        List<String> old = cells(before);
        List<String> changes = new ArrayList<>();
        Material.Entered stored = readAgain(before, current);
        for (int i = 0; i < COLUMNS.size(); i++) {
            String column = COLUMNS.get(i).name();
            boolean says = line.has(column) && !line.get(column).equals(old.get(i));
            if (says && !column.equals(ON_HAND)) {
                changes.add(column + ": “" + old.get(i) + "” becomes “" + line.get(column) + "”");
            }
        }
        boolean same = entered.equals(stored);
        boolean counts = !before.facts().twoPart()
                && onHand.map(there -> there.value() != before.onHand().value()).orElse(false);
        if (same && !counts) {
            return Verdict.same(before.name());
        }
        List<String> told = new ArrayList<>(same ? List.of() : changes);
        if (counts) {
            told.add("counted: " + line.get(ON_HAND) + " instead of "
                    + before.onHand().text());
        }
        return Verdict.change(before.name(), told, () -> {
            if (!same) {
                materials.enter(repository.findById(before.id().value()).orElseThrow(), entered);
            }
            if (counts) {
                ledger.count(before.id(), Part.WHOLE, onHand.orElseThrow(), COUNTED);
            }
        });
    }

    /** What is stored, read as if it had come in from a sheet. */
    private Material.Entered readAgain(MaterialView before, Settings current) {
        FieldReader fields = new FieldReader();
        MaterialForm form = form(new SheetLine(0, Map.of(NAME, before.name())), before.kind(), before, fields);
        return new MaterialReader(fields, current).read(form, before.kind(), Facts.NONE);
    }

    /** The form that a line fills; a column that the file doesn't have stays as it was. */
    private MaterialForm form(SheetLine line, MaterialKind kind, @Nullable MaterialView before, FieldReader fields) {
        Map<String, String> old = new HashMap<>();
        if (before != null) {
            List<String> cells = cells(before);
            for (int i = 0; i < cells.size(); i++) {
                old.put(COLUMNS.get(i).name(), cells.get(i));
            }
        }
        Cells cells = new Cells(line, old);
        String colour = cells.get("colour");
        return new MaterialForm(
                UUID.randomUUID(),
                0,
                kind,
                line.get(NAME),
                cells.get("what it is"),
                colour.isBlank() ? "#8d9aa0" : colour,
                cells.get("usable width"),
                cells.get("sheet height"),
                SheetWords.isYes(fields, "one way up", cells.get("one way up")),
                cells.get("cloth").isBlank()
                        ? null
                        : SheetWords.choice(fields, "cloth", cells.get("cloth"), ClothKind.class)
                                .orElse(null),
                cells.get("price"),
                cells.get("price for"),
                cells.get("low below"),
                "",
                false,
                facts(cells, fields));
    }

    private static FactsForm facts(Cells cells, FieldReader fields) {
        return new FactsForm(
                cells.get("full width"),
                cells.get("selvage"),
                cells.get("fibre"),
                cells.get("weight class").isBlank()
                        ? null
                        : SheetWords.choice(fields, "weight class", cells.get("weight class"), WeightClass.class)
                                .orElse(null),
                SheetWords.isYes(fields, "nap", cells.get("nap")),
                cells.get("repeat"),
                cells.get("shrinkage").replace("%", "").strip(),
                SheetWords.isYes(fields, "shrinks after cutting", cells.get("shrinks after cutting")),
                said(fields, "ironable", cells),
                said(fields, "frays", cells),
                cells.get("layers at once"),
                cells.get("needle"),
                cells.get("care"),
                cells.get("print").isBlank()
                        ? Print.PLAIN
                        : SheetWords.choice(fields, "print", cells.get("print"), Print.class)
                                .orElse(Print.PLAIN),
                SheetWords.isYes(fields, "one dye lot", cells.get("one dye lot")),
                SheetWords.isYes(fields, "two-part", cells.get("two-part")),
                ware(fields, cells.get(WARE)),
                cells.get("zip length"),
                SheetWords.isYes(fields, "metal zip", cells.get("metal zip")),
                cells.get("use per hour"),
                cells.get("target"),
                cells.get("place"));
    }

    private static @Nullable Ware ware(FieldReader fields, String cell) {
        String said = cell.strip();
        Optional<Ware> ware = Arrays.stream(Ware.values())
                .filter(one -> one.words().equalsIgnoreCase(said))
                .findFirst();
        if (ware.isEmpty() && !said.isEmpty()) {
            fields.refuse(
                    WARE,
                    cell,
                    "“" + cell + "” isn't a trim or a notion that is known here. Write one of "
                            + Arrays.stream(Ware.values()).map(Ware::words).collect(Collectors.joining(", ")) + ".");
        }
        return ware.orElse(null);
    }

    private static @Nullable Boolean said(FieldReader fields, String column, Cells cells) {
        return cells.get(column).isBlank() ? null : SheetWords.isYes(fields, column, cells.get(column));
    }

    /** A line's cells, and what was there before in columns that the file doesn't have. */
    private record Cells(SheetLine line, Map<String, String> before) {

        String get(String column) {
            return line.get(column, before.getOrDefault(column, ""));
        }
    }
}
