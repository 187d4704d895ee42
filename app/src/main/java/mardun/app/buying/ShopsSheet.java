package mardun.app.buying;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import mardun.app.files.ListSheet;
import mardun.app.files.SheetLine;
import mardun.app.problem.FieldProblem;
import mardun.app.problem.FieldReader;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.CsvSheet;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** The shops as a CSV sheet. A shop is known by its name. */
@Component
@Order(4)
class ShopsSheet implements ListSheet {

    private static final String NAME = "name";
    private static final String POSTAGE = "postage";

    private final SupplierService suppliers;
    private final SettingsService settings;

    ShopsSheet(SupplierService suppliers, SettingsService settings) {
        this.suppliers = suppliers;
        this.settings = settings;
    }

    @Override
    public String key() {
        return "shops";
    }

    @Override
    public List<Column> columns() {
        return List.of(
                new Column(NAME, true, "by which the shop is known"),
                new Column(POSTAGE, true, "of one order; 0 for a shop that you walk to"));
    }

    @Override
    public void write(CsvSheet sheet) {
        suppliers.all().forEach(shop -> sheet.line(shop.name(), amount(shop, settings.current())));
    }

    @Override
    public LineReader reader(List<SheetLine> lines) {
        Map<String, Supplier> known = new HashMap<>();
        suppliers.all().forEach(shop -> known.put(shop.name().toLowerCase(Locale.ROOT), shop));
        Set<String> seen = new HashSet<>();
        Settings current = settings.current();
        return line -> read(line, known, seen, current);
    }

    private static String amount(Supplier shop, Settings current) {
        return current.money(shop.postageMinor()).getAmount().toPlainString();
    }

    private Verdict read(SheetLine line, Map<String, Supplier> known, Set<String> seen, Settings current) {
        FieldReader fields = new FieldReader();
        String name = fields.text(NAME, line.get(NAME), 120);
        long postage = fields.money(POSTAGE, line.get(POSTAGE), current.currency());
        if (!seen.add(name.toLowerCase(Locale.ROOT))) {
            fields.refuse(NAME, name, "“" + name + "” stands in the file twice. Keep one of the lines.");
        }
        if (!fields.problems().isEmpty()) {
            return Verdict.refuse(
                    name.isEmpty() ? "a shop" : name,
                    fields.problems().stream().map(FieldProblem::sentence).toList());
        }
        Supplier before = known.get(name.toLowerCase(Locale.ROOT));
        if (before == null) {
            return Verdict.add(name, () -> suppliers.store(0, name, postage));
        }
        if (before.postageMinor() == postage && before.name().equals(name)) {
            return Verdict.same(name);
        }
        return Verdict.change(
                name,
                List.of("postage: " + amount(before, current) + " becomes " + line.get(POSTAGE)),
                () -> suppliers.store(before.id(), name, postage));
    }
}
