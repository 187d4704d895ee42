package mardun.app.buying;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import mardun.app.files.ListSheet;
import mardun.app.files.SheetLine;
import mardun.app.id.MaterialId;
import mardun.app.material.MaterialService;
import mardun.app.material.ShelfMaterial;
import mardun.app.problem.FieldProblem;
import mardun.app.problem.FieldReader;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.CsvSheet;
import mardun.app.show.ViewWriter;
import mardun.core.material.Amount;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** What shops sell, as a CSV sheet. A pack is known by its material, its shop and what is in it. */
@Component
@Order(5)
class PacksSheet implements ListSheet {

    private static final String MATERIAL = "material";
    private static final String SHOP = "shop";
    private static final String CONTENT = "one pack holds";
    private static final String PRICE = "price";

    private final SupplierService suppliers;
    private final MaterialService materials;
    private final SettingsService settings;

    PacksSheet(SupplierService suppliers, MaterialService materials, SettingsService settings) {
        this.suppliers = suppliers;
        this.materials = materials;
        this.settings = settings;
    }

    @Override
    public String key() {
        return "packs";
    }

    @Override
    public List<Column> columns() {
        return List.of(
                new Column(MATERIAL, true, "by its name"),
                new Column(SHOP, true, "by its name"),
                new Column(CONTENT, true, "10, 0.5 m, 1 yd, 250 g"),
                new Column(PRICE, true, "of one pack"));
    }

    /** A pack's place among all packs. */
    private record Pack(MaterialId materialId, long supplierId, long content) {}

    @Override
    public void write(CsvSheet sheet) {
        ViewWriter writer = settings.current().writer();
        Map<MaterialId, ShelfMaterial> byId = new HashMap<>();
        materials.onShelf().forEach(one -> byId.put(one.id(), one));
        Settings current = settings.current();
        for (SupplierOffer offer : suppliers.allOffers()) {
            ShelfMaterial material = byId.get(offer.materialId());
            sheet.line(
                    material.name(),
                    offer.supplier().name(),
                    writer.amount(new Amount(material.kind().counting(), offer.contentValue()))
                            .exact(),
                    current.money(offer.priceMinor()).getAmount().toPlainString());
        }
    }

    @Override
    public LineReader reader(List<SheetLine> lines) {
        Map<String, ShelfMaterial> known = materials.byName();
        Map<String, Supplier> shops = new HashMap<>();
        suppliers.all().forEach(shop -> shops.put(shop.name().toLowerCase(Locale.ROOT), shop));
        Map<Pack, Long> prices = new HashMap<>();
        suppliers
                .allOffers()
                .forEach(offer -> prices.put(
                        new Pack(offer.materialId(), offer.supplier().id(), offer.contentValue()), offer.priceMinor()));
        Set<Pack> seen = new HashSet<>();
        Settings current = settings.current();
        return line -> read(line, known, shops, prices, seen, current);
    }

    private Verdict read(
            SheetLine line,
            Map<String, ShelfMaterial> known,
            Map<String, Supplier> shops,
            Map<Pack, Long> prices,
            Set<Pack> seen,
            Settings current) {
        String what = line.get(MATERIAL) + " from " + line.get(SHOP);
        ShelfMaterial material = known.get(line.get(MATERIAL).toLowerCase(Locale.ROOT));
        Supplier shop = shops.get(line.get(SHOP).toLowerCase(Locale.ROOT));
        if (material == null) {
            return Verdict.refuse(what, List.of("There is no material called “" + line.get(MATERIAL) + "”."));
        }
        if (shop == null) {
            return Verdict.refuse(what, List.of("There is no shop called “" + line.get(SHOP) + "”."));
        }
        FieldReader fields = new FieldReader();
        Amount content = SupplierService.content(fields, CONTENT, line.get(CONTENT), material.kind(), current);
        long price = fields.money(PRICE, line.get(PRICE), current.currency());
        Pack pack = new Pack(material.id(), shop.id(), content.value());
        if (fields.problems().isEmpty() && !seen.add(pack)) {
            fields.refuse(CONTENT, line.get(CONTENT), "This pack stands in the file twice. Keep one of the lines.");
        }
        if (!fields.problems().isEmpty()) {
            return Verdict.refuse(
                    what, fields.problems().stream().map(FieldProblem::sentence).toList());
        }
        Long before = prices.get(pack);
        Runnable store = () -> suppliers.store(material.id(), shop.id(), content, price);
        if (before == null) {
            return Verdict.add(what, store);
        }
        return before == price
                ? Verdict.same(what)
                : Verdict.change(
                        what,
                        List.of("price: " + current.money(before).getAmount().toPlainString() + " becomes "
                                + line.get(PRICE)),
                        store);
    }
}
