package mardun.app.buying;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mardun.app.batch.BatchReading;
import mardun.app.buying.BuyingViews.BuyLine;
import mardun.app.buying.BuyingViews.BuyingView;
import mardun.app.buying.BuyingViews.ShopView;
import mardun.app.buying.BuyingViews.WantLine;
import mardun.app.id.MaterialId;
import mardun.app.material.MaterialService;
import mardun.app.material.ShelfMaterial;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.CsvSheet;
import mardun.app.show.ViewWriter;
import mardun.core.material.Amount;
import mardun.core.material.Buying;
import mardun.core.material.ClosedZip;
import mardun.core.material.Offer;
import mardun.core.material.Purchase;
import mardun.core.material.Restock;
import mardun.core.working.Figure;
import org.joda.money.Money;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What to buy for the open batches and the low stock, in the packs that shops sell, as cheaply as can be. */
@Service
public class BuyingService {

    private final BatchReading batches;
    private final MaterialService materials;
    private final SupplierService suppliers;
    private final SettingsService settings;

    BuyingService(
            BatchReading batches, MaterialService materials, SupplierService suppliers, SettingsService settings) {
        this.batches = batches;
        this.materials = materials;
        this.suppliers = suppliers;
        this.settings = settings;
    }

    @Transactional(readOnly = true)
    public BuyingView list() {
        Settings current = settings.current();
        ViewWriter writer = current.writer();
        Map<MaterialId, Amount> needed = batches.stillNeeded();
        Map<String, Amount> amounts = new LinkedHashMap<>();
        Map<String, WantLine> wants = new LinkedHashMap<>();
        List<ShelfMaterial> wanted = new ArrayList<>();
        List<ShelfMaterial> all = materials.onShelf();
        for (ShelfMaterial material : all) {
            Amount forBatches = Optional.ofNullable(needed.get(material.id()))
                    .orElse(Amount.none(material.kind().counting()));
            Figure<Amount> toBuy = Restock.toBuy(forBatches, material.keep(), material.target(), material.onHand());
            if (toBuy.value().isPositive()) {
                String key = material.id().key();
                wanted.add(material);
                amounts.put(key, toBuy.value());
                wants.put(
                        key,
                        new WantLine(
                                material.id(),
                                material.name(),
                                material.kind(),
                                material.colour(),
                                writer.amount(forBatches),
                                writer.amount(material.keep()),
                                writer.amount(material.onHand()),
                                writer.amount(toBuy.value()),
                                writer.working(toBuy.working())));
            }
        }
        Map<String, Supplier> shops = new LinkedHashMap<>();
        Map<String, Money> postage = new LinkedHashMap<>();
        suppliers.all().forEach(supplier -> {
            shops.put(Long.toString(supplier.id()), supplier);
            postage.put(Long.toString(supplier.id()), current.money(supplier.postageMinor()));
        });
        Sold sold = sold(wanted, all);
        Purchase purchase = Buying.cheapest(amounts, sold.offers(), postage, current.currency());
        return new BuyingView(
                shops.entrySet().stream()
                        .filter(shop -> purchase.postage().containsKey(shop.getKey()))
                        .map(shop -> shop(shop.getKey(), shop.getValue(), purchase, wants, sold, writer))
                        .toList(),
                wants.entrySet().stream()
                        .filter(want -> purchase.nowhere().containsKey(want.getKey()))
                        .map(Map.Entry::getValue)
                        .toList(),
                writer.money(purchase.total()));
    }

    /**
     * The packs that serve what is wanted.
     *
     * @param instead packs that hold a longer zip than the one wanted, by their keys, with that zip
     */
    private record Sold(List<Offer> offers, Map<String, ShelfMaterial> instead) {}

    /** What shops sell of what is wanted; for a closed-end zip that none sells, the nearest longer one that some do. */
    private Sold sold(List<ShelfMaterial> wanted, List<ShelfMaterial> all) {
        List<Offer> offers = new ArrayList<>(suppliers.offers(wanted));
        Map<String, ShelfMaterial> instead = new HashMap<>();
        Map<MaterialId, ClosedZip> zips = materials.zips();
        List<ShelfMaterial> unsold = wanted.stream()
                .filter(material -> zips.containsKey(material.id()))
                .filter(material -> offers.stream()
                        .noneMatch(
                                offer -> offer.material().equals(material.id().key())))
                .toList();
        if (!unsold.isEmpty()) {
            List<ShelfMaterial> allZips = all.stream()
                    .filter(material -> zips.containsKey(material.id()))
                    .toList();
            Map<MaterialId, List<Offer>> bySold = suppliers.offers(allZips).stream()
                    .collect(Collectors.groupingBy(offer -> MaterialId.valueOf(offer.material())));
            for (ShelfMaterial material : unsold) {
                ClosedZip.nearest(
                                zips.get(material.id()).length(),
                                allZips.stream()
                                        .filter(zip -> bySold.containsKey(zip.id()))
                                        .toList(),
                                zip -> zips.get(zip.id()))
                        .ifPresent(zip -> bySold.get(zip.id()).forEach(offer -> {
                            String key = offer.key() + " for " + material.id();
                            instead.put(key, zip);
                            offers.add(new Offer(
                                    key, material.id().key(), offer.supplier(), offer.content(), offer.price()));
                        }));
            }
        }
        return new Sold(offers, instead);
    }

    private static ShopView shop(
            String key,
            Supplier supplier,
            Purchase purchase,
            Map<String, WantLine> wants,
            Sold sold,
            ViewWriter writer) {
        List<Purchase.Line> lines = purchase.lines().stream()
                .filter(line -> line.offer().supplier().equals(key))
                .toList();
        Money sum = lines.stream()
                .map(Purchase.Line::price)
                .reduce(purchase.postage().get(key), Money::plus);
        return new ShopView(
                SupplierService.view(supplier, writer),
                lines.stream()
                        .map(line -> new BuyLine(
                                line.offer().key(),
                                wants.get(line.offer().material()),
                                sold.instead().containsKey(line.offer().key())
                                        ? sold.instead().get(line.offer().key()).id()
                                        : MaterialId.valueOf(line.offer().material()),
                                sold.instead().containsKey(line.offer().key())
                                        ? sold.instead().get(line.offer().key()).name()
                                        : null,
                                line.packs(),
                                writer.amount(line.offer().content()),
                                writer.amount(line.amount()),
                                writer.money(line.offer().price()),
                                writer.money(line.price())))
                        .toList(),
                writer.money(sum));
    }

    /** The list as a CSV sheet: a line for each pack and each postage, then what no shop sells. */
    @Transactional(readOnly = true)
    public String csv() {
        BuyingView list = list();
        String currency = settings.current().currency().getCode();
        CsvSheet sheet = new CsvSheet(
                settings.current().decimalMark(),
                "shop",
                "material",
                "packs",
                "in one",
                "together",
                "each",
                "price",
                "currency");
        for (ShopView shop : list.shops()) {
            String name = shop.supplier().name();
            for (BuyLine line : shop.lines()) {
                sheet.line(
                        name,
                        line.insteadName() == null ? line.want().name() : line.insteadName(),
                        Long.toString(line.packs()),
                        line.content().exact(),
                        line.amount().exact(),
                        line.each().amount(),
                        line.price().amount(),
                        currency);
            }
            if (shop.supplier().postage().minor() > 0) {
                String postage = shop.supplier().postage().amount();
                sheet.line(name, "postage", "1", "", "", postage, postage, currency);
            }
        }
        list.nowhere()
                .forEach(
                        want -> sheet.line("", want.name(), "", "", want.toBuy().exact(), "", "", ""));
        return sheet.text();
    }
}
