package mardun.app.demo;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import mardun.app.WorkroomFolder;
import mardun.app.batch.BatchViews.DoneForm;
import mardun.app.buying.BuyingViews.OfferForm;
import mardun.app.buying.BuyingViews.SupplierForm;
import mardun.app.buying.DeliveryService;
import mardun.app.buying.DeliveryViews.DeliveryForm;
import mardun.app.buying.DeliveryViews.DeliveryLine;
import mardun.app.buying.SupplierService;
import mardun.app.goods.GoodsKind;
import mardun.app.goods.GoodsMoving;
import mardun.app.goods.GoodsService;
import mardun.app.goods.GoodsViews.FinishedGoodsLine;
import mardun.app.goods.GoodsViews.GoodsForm;
import mardun.app.id.BatchId;
import mardun.app.id.MaterialId;
import mardun.app.log.SlipOutcome;
import mardun.app.material.FactsForm;
import mardun.app.material.Frame;
import mardun.app.material.MaterialForm;
import mardun.app.material.MaterialService;
import mardun.app.material.MovementForm;
import mardun.app.material.Print;
import mardun.app.material.PrintService;
import mardun.app.material.PrintViews.MotifForm;
import mardun.app.material.PrintViews.PrintForm;
import mardun.app.material.StockService;
import mardun.app.material.StockViews.PieceForm;
import mardun.app.material.WeightClass;
import mardun.app.settings.SettingsForm;
import mardun.app.settings.SettingsForm.DaysForm;
import mardun.app.settings.SettingsForm.MachineForm;
import mardun.app.settings.SettingsService;
import mardun.core.making.Station;
import mardun.core.making.Upkeep;
import mardun.core.material.ClothKind;
import mardun.core.material.MaterialKind;
import mardun.core.material.MovementKind;
import mardun.core.material.Ware;
import mardun.core.measure.InchStep;
import mardun.core.measure.UnitSystem;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/**
 * An invented maker's workroom, entered through the same services as a person would, with its past dated back from
 * today: a season of batches behind, one half done, two planned, a fair coming.
 */
@Component
@ConditionalOnProperty("mardun.demo")
class DemoWorkroom implements SmartInitializingSingleton {

    private static final String GIVEN_BY_A_FRIEND = "given by a friend who cleared her cupboard";

    private final SettingsService settings;
    private final MaterialService materials;
    private final PrintService prints;
    private final StockService stock;
    private final SupplierService suppliers;
    private final DeliveryService deliveries;
    private final GoodsService goods;
    private final GoodsMoving goodsMoving;
    private final DemoDesigns designs;
    private final DemoBatches batches;
    private final DemoBench bench;
    private final DemoPrices prices;
    private final DemoQuotes quotes;
    private final DemoResellers resellers;
    private final DemoShop shop;
    private final DemoFormerYears formerYears;
    private final DemoFairs fairs;
    private final DemoSeason whatToMake;
    private final DemoYears years;
    private final TravellingClock clock;
    private final Path whole;

    private final Map<String, MaterialId> ids = new HashMap<>();
    private final Map<String, Long> shops = new HashMap<>();

    DemoWorkroom(
            SettingsService settings,
            MaterialService materials,
            PrintService prints,
            StockService stock,
            SupplierService suppliers,
            DeliveryService deliveries,
            GoodsService goods,
            GoodsMoving goodsMoving,
            DemoDesigns designs,
            DemoBatches batches,
            DemoBench bench,
            DemoPrices prices,
            DemoQuotes quotes,
            DemoResellers resellers,
            DemoShop shop,
            DemoFormerYears formerYears,
            DemoFairs fairs,
            DemoSeason whatToMake,
            DemoYears years,
            TravellingClock clock,
            @Value("${mardun.data}") Path data) {
        this.whole = data.resolve(WorkroomFolder.DEMO_IS_WHOLE);
        this.settings = settings;
        this.materials = materials;
        this.prints = prints;
        this.stock = stock;
        this.suppliers = suppliers;
        this.deliveries = deliveries;
        this.goods = goods;
        this.goodsMoving = goodsMoving;
        this.designs = designs;
        this.batches = batches;
        this.bench = bench;
        this.prices = prices;
        this.quotes = quotes;
        this.resellers = resellers;
        this.shop = shop;
        this.formerYears = formerYears;
        this.fairs = fairs;
        this.whatToMake = whatToMake;
        this.years = years;
        this.clock = clock;
    }

    @Override
    public void afterSingletonsInstantiated() {
        Optional<DemoYears.Begun> begun = years.begun();
        if (settings.current().areEntered() && begun.isEmpty()) {
            return;
        }
        clock.untilTheProcessIsStopped(() -> enter(begun));
        try {
            Files.writeString(whole, "The data of the invented workroom is whole.\n");
        } catch (IOException unwritten) {
            throw new UncheckedIOException(unwritten);
        }
    }

    private void enter(Optional<DemoYears.Begun> begun) {
        LocalDate today = clock.realToday();
        LocalDate season = today.minusDays(90);
        years.live(season, begun.map(this::recalled).orElseGet(() -> entered(today, season)));
        enterSeason(today);
    }

    private DemoYears.Begun recalled(DemoYears.Begun begun) {
        ids.putAll(begun.materials());
        shops.putAll(begun.shops());
        designs.recall(begun.designs(), ids);
        return begun;
    }

    private DemoYears.Begun entered(LocalDate today, LocalDate season) {
        clock.on(years.begin(season), () -> {
            enterSettings();
            enterMaterials();
            enterShops();
        });
        prices.enterChannels(today);
        clock.on(years.begin(season.plusDays(5)), () -> designs.enter(ids));
        return new DemoYears.Begun(0, Map.copyOf(ids), designs.ids(), Map.copyOf(shops), List.of());
    }

    private void enterSeason(LocalDate today) {
        formerYears.enter(today);
        String spring = "Wherry Lane market";
        finished(today.minusDays(70), "small", 18, "18", "Juniper Dot", "Oat cotton", "9.50", spring);
        clock.on(today.minusDays(50), () -> {
            receive(
                    today.minusDays(50),
                    "M-2204",
                    "5.90",
                    "58.90",
                    List.of(
                            line("Juniper Dot", "3", "1 yd", "33.00", "J-118", ""),
                            line("Reed Stripe", "4", "1/2 yd", "20.00", "0412", "42 3/4 in")));
            move("Slider, nickel", MovementKind.SPOILED, "3", "teeth jammed in the cold");
        });
        finished(today.minusDays(44), "medium", 12, "11", "Reed Stripe", "Straw cotton", "", "Autumn yard sale");
        clock.on(today.minusDays(20), () -> {
            receive(
                    today.minusDays(20),
                    "M-2311",
                    "5.90",
                    "37.10",
                    List.of(
                            line("Soft fusible", "3", "1 yd", "10.80", "", ""),
                            line("Reed Stripe", "2", "1 yd", "20.40", "0377", "43 in")));
            move("Straw cotton", MovementKind.COUNTED, "3 yd 9 in", "stock-take: a fold had been counted twice");
        });
        finished(today.minusDays(16), "small", 10, "10", "Kelp linen", "Oat cotton", "", "Pier Hall");
        LocalDate bigFair = today.plusDays(9);
        BatchId underWay =
                planned(today.minusDays(4), "medium", 10, "Kelp linen", "Straw cotton", "", bigFair, "Lantern Quay");
        batches.cut(today.minusDays(1), underWay);
        bench.sew(today.minusDays(1), underWay, 3, 4);
        bench.slip(today.minusDays(1), underWay, 1, "Sew end tabs", SlipOutcome.MENDED, "zip cut short", 4);
        bench.note(
                today.minusDays(1),
                underWay,
                "Sew zip",
                "Kelp linen frays: sew this seam within the hour after cutting.");
        bench.note(
                today.minusDays(1), underWay, "Box the corners", "Last time one had a hole: pull it flat, then pin.");
        clock.on(today.minusDays(12), this::moveGoods);
        BatchId order = planned(
                today.minusDays(2),
                "small",
                14,
                "Juniper Dot",
                "Oat cotton",
                "",
                today.plusDays(5),
                "Order for the sailing school");
        planned(
                today.minusDays(2),
                "medium",
                24,
                "Reed Stripe",
                "Straw cotton",
                "17.50",
                today.plusDays(12),
                "Pier Hall");
        batches.reserve(today.minusDays(1), order);
        bench.careFor(today.minusDays(30), "", Upkeep.Kind.BLADE, "45 mm");
        bench.careFor(today.minusDays(21), "Anvil", Upkeep.Kind.OIL, "");
        bench.careFor(today.minusDays(12), "Bramble", Upkeep.Kind.NEEDLE, "80 universal");
        bench.careFor(today.minusDays(12), "Anvil", Upkeep.Kind.NEEDLE, "90 topstitch");
        enterBatchesOfSeveralLines(today, bigFair);
        prices.setPrices(today);
        quotes.enter(today);
        resellers.enter(today);
        shop.enter(today);
        fairs.enter(today);
        whatToMake.enter(today);
    }

    /** Several designs, sizes and cloths made together, one such batch in each stage. */
    private void enterBatchesOfSeveralLines(LocalDate today, LocalDate bigFair) {
        BatchId gifts = batches.planned(
                today.minusDays(30),
                today.minusDays(24),
                "Advent in the boat house",
                line("Puffin key fob", "one size", 8, "outer", "Kelp linen"),
                line("Puffin key fob", "one size", 8, "outer", "Slate canvas"),
                line("Eider hand warmer", "one size", 10, "outer", "Kelp linen"));
        batches.cut(today.minusDays(29), gifts);
        bench.sew(today.minusDays(28), gifts);
        bench.slip(today.minusDays(28), gifts, 2, "Clamp on", SlipOutcome.SECOND, "hardware crooked", 0);
        bench.slip(today.minusDays(28), gifts, 2, "Clamp on", SlipOutcome.SCRAP, "ran off the edge", 0);
        batches.finish(today.minusDays(27), gifts, new DoneForm(1, "8", "", ""), new DoneForm(2, "6", "1", ""));
        batches.finish(today.minusDays(25), gifts, new DoneForm(3, "6", "", ""));
        batches.cutShort(today.minusDays(24), gifts, 3, 4, "no filling left before Advent");
        BatchId partlyDone = batches.planned(
                today.minusDays(7),
                bigFair,
                "Lantern Quay",
                line("Dipper wash bag", "small", 3, "outer", "Slate canvas"),
                line("Dipper wash bag", "large", 2, "outer", "Slate canvas"),
                line("Kittiwake clear pouch", "one size", 6, "tab", "Slate canvas"));
        batches.cut(today.minusDays(5), partlyDone);
        batches.finish(today.minusDays(2), partlyDone, new DoneForm(1, "1", "1", ""), new DoneForm(3, "4", "", ""));
        BatchId halfCut = batches.planned(
                today.minusDays(3),
                bigFair,
                "Lantern Quay",
                line("Tern tote", "small", 2, "accent", "Juniper Dot", "lining", "Oat cotton"),
                line("Tern tote", "large", 1, "accent", "Reed Stripe", "lining", "Oat cotton"),
                line("Grebe basket", "small", 2, "lining", "Oat cotton"));
        batches.cutOnly(today.minusDays(1), halfCut, ids.get("Slate canvas"));
        batches.planned(
                today.minusDays(1),
                today.plusDays(12),
                "Pier Hall",
                line("Heron pouch", "small", 4, "outer", "Reed Stripe", "lining", "Oat cotton"),
                line("Heron pouch", "small", 3, "outer", "Juniper Dot", "lining", "Oat cotton"),
                line("Swift two-zip pouch", "one size", 3, "outer", "Reed Stripe"),
                line("Avocet glasses case", "one size", 4, "outer", "Reed Stripe"),
                line("Avocet glasses case", "one size", 6, "outer", "Juniper Dot"));
        BatchId aside = batches.planned(
                today.minusDays(12),
                today.plusDays(40),
                "",
                line("Skua sleeve", "small", 2, "outer", "Natural cork"),
                line("Skua sleeve", "medium", 2, "outer", "Natural cork"));
        batches.putAside(today.minusDays(6), aside);
    }

    /** A line in the design's usual materials but for some slots: each with what fills it. */
    private DemoBatches.Line line(String design, String size, int units, String... slots) {
        Map<String, MaterialId> materials = new HashMap<>();
        for (int i = 0; i < slots.length; i += 2) {
            materials.put(slots[i], ids.get(slots[i + 1]));
        }
        return new DemoBatches.Line(design, size, units, materials, "");
    }

    /** Some bags are in the stall box, one was given away. */
    private void moveGoods() {
        FinishedGoodsLine first =
                goods.list("", "", null, false, 0, 1).page().items().get(0);
        moveGoods(first, GoodsKind.MOVED, "stall box", "6", "");
        moveGoods(first, GoodsKind.GIVEN_AWAY, null, "1", "for the raffle");
    }

    private void moveGoods(FinishedGoodsLine line, GoodsKind kind, @Nullable String to, String units, String reason) {
        goodsMoving.move(line.id(), new GoodsForm(UUID.randomUUID(), kind, "home", to, units, reason));
    }

    private void enterSettings() {
        settings.save(new SettingsForm(
                0,
                UnitSystem.INCH,
                InchStep.EIGHTH,
                null,
                "EUR",
                "19.00",
                "1.60",
                "1/4 in",
                "6 mm",
                null,
                null,
                List.of("2", "2", "2.5", "1", "3", "0", "4"),
                null,
                null,
                null,
                new DaysForm("18:00", "90", "10", "5", "5", "1"),
                null,
                List.of(
                        new MachineForm(null, "Bramble", Station.MACHINE, true, false, true, "6 mm"),
                        new MachineForm(null, "Anvil", Station.MACHINE, false, true, false, "10 mm")),
                null));
    }

    private void enterMaterials() {
        ClothKind cotton = ClothKind.QUILTING_COTTON;
        cloth("Reed Stripe", "Woven cotton stripe, firm", "#6f8fa8", "43 in", true, cotton, "9.80", "1 yd", "4 yd");
        cloth(
                "Juniper Dot",
                "Printed cotton, small dots",
                "#3f6b5c",
                "43 1/2 in",
                true,
                cotton,
                "11.20",
                "2 yd",
                "3 yd");
        cloth(
                "Kelp linen",
                "Washed, prewashed",
                "#7a7f52",
                "53 in",
                false,
                ClothKind.LINEN,
                "14.50",
                "1 yd",
                "3 yd 18 in");
        cloth("Straw cotton", "Plain lining", "#d9c27a", "44 in", false, cotton, "6.40", "2 yd", "6 yd");
        cloth("Oat cotton", "Plain lining, light", "#e4dcc8", "44 in", false, cotton, "6.10", "1 yd", "5 yd");
        cloth(
                "Slate canvas",
                "Cotton canvas, 10 oz",
                "#56606b",
                "57 in",
                false,
                ClothKind.CANVAS,
                "13.20",
                "1 yd",
                "4 yd");
        cloth(
                "Saddle vinyl",
                "Soft, knit-backed",
                "#8a5a36",
                "52 in",
                false,
                ClothKind.LEATHER_LIKE,
                "18.00",
                "",
                "1 yd 18 in");
        cloth(
                "Rain laminate",
                "Wipeable cotton",
                "#9fb4bf",
                "135 cm",
                false,
                ClothKind.LAMINATE,
                "12.60",
                "1 m",
                "2.4 m");
        cloth("Clear vinyl", "0.4 mm", "#dfe9ec", "120 cm", false, ClothKind.CLEAR_VINYL, "7.90", "", "1.5 m");
        cloth("Natural cork", "Cork on cotton", "#b98d5c", "68 cm", false, ClothKind.CORK, "24.00", "", "1 m");
        cloth("Wool felt", "2 mm", "#8d8a84", "90 cm", false, ClothKind.FELT, "16.50", "", "1.2 m");
        cloth(
                "Soft fusible",
                "Fusible interfacing",
                "#cfd6d6",
                "90 cm",
                false,
                ClothKind.FUSIBLE,
                "3.60",
                "2 yd",
                "5 yd");
        cloth("Thin batting", "Cotton", "#f0ede4", "110 cm", false, ClothKind.BATTING, "7.40", "", "3 m");
        cloth("Sew-in foam", "3 mm", "#e8e8e2", "147 cm", false, ClothKind.FOAM, "15.80", "", "1.5 m");
        markTheKnot();
        trim("Zip tape, navy", "Nylon coil no. 5", "#2c3e57", "1.90", "1 m", "5 yd", "12 yd");
        trim("Zip tape, moss", "Nylon coil no. 5", "#55694a", "1.90", "1 m", "", "6 yd");
        trim("Cotton webbing, 1 in", "Heavy", "#4a4f55", "1.40", "1 m", "4 m", "12 m");
        trim("Cotton webbing, 1 1/4 in", "Soft", "#b5a88c", "1.60", "1 m", "", "8 m");
        trim("Cotton cord, 5 mm", "Twisted", "#e7dfcf", "0.70", "1 m", "10 m", "40 m");
        trim("Cotton cord, 6 mm", "Braided", "#6b6f66", "0.95", "1 m", "", "30 m");
        trim("Elastic, 1 cm", "", "#f2f2ee", "0.55", "1 m", "", "10 m");
        trim("Ribbon, navy", "15 mm, woven edge", "#2c3e57", "0.80", "1 m", "", "14 m");
        trim("Binding, oat", "Bias, 25 mm", "#e4dcc8", "0.90", "1 m", "", "16 m");
        trim("Rim stiffener", "6 mm tubing", "#c9c9c4", "1.20", "1 m", "", "9 m");
        notion("Slider, nickel", "No. 5, nickel", "#9aa3a6", "3.20", "10", "20", "80");
        notion("Slider, brass", "No. 5, antique brass", "#a58b4f", "3.90", "10", "", "30");
        notion("Woven label", "Folded side label", "#a2382c", "24.00", "100", "30", "140");
        notion("Magnetic snap", "18 mm, with washers", "#9aa3a6", "4.80", "10", "", "24");
        notion("Snap, antique", "12.5 mm ring snap", "#a58b4f", "6.50", "50", "", "60");
        notion("D-ring, 1 in", "Welded", "#9aa3a6", "3.40", "10", "", "20");
        notion("D-ring, 1 1/2 in", "Welded", "#9aa3a6", "4.60", "10", "", "14");
        notion("Fob clamp", "1 1/4 in, nickel", "#9aa3a6", "5.90", "20", "10", "45");
        notion("Care card", "Printed, with the filling named", "#f3efe4", "6.00", "100", "", "100");
        material(
                MaterialKind.FILLING_BY_WEIGHT,
                "Steel beads",
                "3 mm, washed",
                "#8b9096",
                null,
                false,
                null,
                "4.20",
                "1 kg",
                "",
                "3.5 kg");
        material(
                MaterialKind.FILLING_BY_VOLUME,
                "Cherry stones",
                "Boiled and dried",
                "#a0704f",
                null,
                false,
                null,
                "3.80",
                "1 l",
                "1 l",
                "4 l");
        notion("Nylon zip, 10 in", "Closed end, no. 3", "#2c3e57", "7.40", "10", "8", "14");
        notion("Nylon zip, 12 in", "Closed end, no. 3", "#2c3e57", "8.20", "10", "", "6");
        material(
                MaterialKind.THREAD,
                "Navy 50",
                "Polyester",
                "#2c3e57",
                null,
                false,
                null,
                "3.60",
                "1000 m",
                "200 m",
                "2400 m");
        material(
                MaterialKind.PACKING,
                "Flat box",
                "Fits a letter slot",
                "#b98d5c",
                null,
                false,
                null,
                "9.50",
                "25",
                "10",
                "38");
        move("Kelp linen", MovementKind.GIVEN, "36 in", GIVEN_BY_A_FRIEND);
        piece("Juniper Dot", "22 in", "18 in", "3", "basket", true);
        piece("Kelp linen", "16 in", "20 in", "2", "basket", false);
        piece("Slate canvas", "12 in", "30 in", "1", "basket", false);
        thread("Slate 50", "#55606e");
        thread("Reed 50", "#7391a8");
    }

    private void thread(String name, String colour) {
        material(MaterialKind.THREAD, name, "Polyester", colour, null, false, null, "3.60", "1000 m", "", "1600 m");
    }

    private void piece(String material, String width, String height, String count, String place, boolean given) {
        stock.enterPieces(ids.get(material), new PieceForm(UUID.randomUUID(), width, height, count, place, given));
    }

    /** What came with its paper, in two dyes of the stripe. */
    private void receive(LocalDate day, String number, String postage, String total, List<DeliveryLine> lines) {
        deliveries.enter(new DeliveryForm(
                UUID.randomUUID(), shops.get("Marram cloth by post"), number, day, postage, "", total, lines));
    }

    private DeliveryLine line(
            String material, String packs, String content, String price, String dyeLot, String width) {
        return new DeliveryLine(ids.get(material), packs, content, price, dyeLot, "", width, "", "");
    }

    /** Two shops that send and one round the corner, dearer and in smaller packs. */
    private void enterShops() {
        long corner = shop("Quay Street haberdasher", "0");
        offer(corner, "Zip tape, navy", "1 m", "1.90");
        offer(corner, "Slider, nickel", "5", "2.10");
        offer(corner, "Slider, brass", "5", "2.40");
        offer(corner, "D-ring, 1 in", "4", "1.80");
        offer(corner, "Soft fusible", "0.5 m", "2.30");
        offer(corner, "Straw cotton", "0.5 m", "4.10");
        offer(corner, "Oat cotton", "0.5 m", "3.90");
        offer(corner, "Cherry stones", "1 l", "3.80");
        long cloth = shop("Marram cloth by post", "5.90");
        offer(cloth, "Reed Stripe", "1/2 yd", "5.10");
        offer(cloth, "Reed Stripe", "1 yd", "9.80");
        offer(cloth, "Juniper Dot", "1/2 yd", "5.80");
        offer(cloth, "Juniper Dot", "5 yd", "52.00");
        offer(cloth, "Kelp linen", "1 yd", "14.50");
        offer(cloth, "Straw cotton", "1 yd", "6.40");
        offer(cloth, "Oat cotton", "1 yd", "6.10");
        offer(cloth, "Soft fusible", "1 yd", "3.60");
        offer(cloth, "Soft fusible", "10 yd", "31.00");
        long fittings = shop("Sandling fittings by the card", "3.40");
        offer(fittings, "Zip tape, navy", "5 m", "7.20");
        offer(fittings, "Zip tape, navy", "25 m", "29.00");
        offer(fittings, "Slider, nickel", "10", "3.20");
        offer(fittings, "Slider, nickel", "50", "13.50");
        offer(fittings, "Slider, brass", "10", "3.90");
        offer(fittings, "Woven label", "100", "24.00");
        offer(fittings, "D-ring, 1 in", "10", "3.40");
        offer(fittings, "Fob clamp", "20", "5.90");
    }

    private long shop(String name, String postage) {
        long id = suppliers
                .create(new SupplierForm(UUID.randomUUID(), 0, name, postage))
                .id();
        shops.put(name, id);
        return id;
    }

    private void offer(long shop, String material, String content, String price) {
        suppliers.offer(ids.get(material), new OfferForm(UUID.randomUUID(), shop, content, price));
    }

    private void finished(
            LocalDate day,
            String size,
            int units,
            String good,
            String outer,
            String lining,
            String price,
            String forWhat) {
        BatchId id = planned(day, size, units, outer, lining, price, day.plusDays(9), forWhat);
        batches.cut(day.plusDays(1), id);
        bench.sew(day.plusDays(4), id);
        bench.slip(day.plusDays(4), id, 1, "Sew zip", SlipOutcome.MENDED, "layer not caught", 6);
        for (int lost = Integer.parseInt(good); lost < units; lost++) {
            bench.slip(day.plusDays(5), id, 1, "Box the corners", SlipOutcome.SCRAP, "hole at the corner", 0);
        }
        batches.finish(day.plusDays(6), id, new DoneForm(1, good, "", ""));
    }

    /** A batch of pouches of one size. */
    private BatchId planned(
            LocalDate day,
            String size,
            int units,
            String outer,
            String lining,
            String price,
            LocalDate due,
            String forWhat) {
        return batches.planned(
                day,
                due,
                forWhat,
                new DemoBatches.Line(
                        "Heron pouch", size, units, Map.of("outer", ids.get(outer), "lining", ids.get(lining)), price));
    }

    private void cloth(
            String name,
            String note,
            String colour,
            String width,
            boolean directional,
            ClothKind kind,
            String price,
            String lowAt,
            String onHand) {
        material(MaterialKind.CLOTH, name, note, colour, width, directional, kind, price, "1 yd", lowAt, onHand);
    }

    private void trim(String name, String note, String colour, String price, String per, String lowAt, String onHand) {
        material(MaterialKind.TRIM, name, note, colour, null, false, null, price, per, lowAt, onHand);
    }

    private void notion(
            String name, String note, String colour, String price, String per, String lowAt, String onHand) {
        material(MaterialKind.NOTION, name, note, colour, null, false, null, price, per, lowAt, onHand);
    }

    private void material(
            MaterialKind kind,
            String name,
            String note,
            String colour,
            @Nullable String width,
            boolean directional,
            @Nullable ClothKind cloth,
            String price,
            String per,
            String lowAt,
            String onHand) {
        ids.put(
                name,
                materials
                        .create(new MaterialForm(
                                UUID.randomUUID(),
                                0,
                                kind,
                                name,
                                note,
                                colour,
                                width,
                                null,
                                directional,
                                cloth,
                                price,
                                per,
                                lowAt,
                                onHand,
                                false,
                                facts(name).being(ware(name))))
                        .id());
    }

    /** What the trims and notions are. */
    private static @Nullable Ware ware(String name) {
        return switch (name) {
            case "Zip tape, navy", "Zip tape, moss" -> Ware.ZIP_TAPE;
            case "Cotton webbing, 1 in", "Cotton webbing, 1 1/4 in" -> Ware.WEBBING;
            case "Cotton cord, 5 mm", "Cotton cord, 6 mm" -> Ware.CORD;
            case "Elastic, 1 cm" -> Ware.ELASTIC;
            case "Ribbon, navy" -> Ware.RIBBON;
            case "Binding, oat" -> Ware.BINDING;
            case "Rim stiffener" -> Ware.STIFFENER;
            case "Slider, nickel", "Slider, brass" -> Ware.SLIDER;
            case "Woven label" -> Ware.LABEL;
            case "Magnetic snap" -> Ware.MAGNET;
            case "Snap, antique" -> Ware.SNAP;
            case "D-ring, 1 in", "D-ring, 1 1/2 in" -> Ware.RING;
            case "Fob clamp", "Care card" -> Ware.SOMETHING_ELSE;
            default -> null;
        };
    }

    /** What is said about some materials beyond name and price. */
    private static FactsForm facts(String name) {
        return switch (name) {
            case "Reed Stripe" -> cloth("44 in", "cotton", WeightClass.MEDIUM, Print.STRIPES, true, "shelf A");
            case "Juniper Dot" -> cloth("44 1/2 in", "cotton", WeightClass.LIGHT, Print.DOTS, true, "shelf A");
            case "Kelp linen" -> cloth("54 in", "linen", WeightClass.MEDIUM, Print.TEXTURE, false, "shelf A");
            case "Straw cotton", "Oat cotton" ->
                cloth("45 in", "cotton", WeightClass.LIGHT, Print.PLAIN, false, "shelf A");
            case "Slate canvas", "Saddle vinyl", "Rain laminate", "Clear vinyl", "Natural cork", "Wool felt" ->
                placed("", "", "shelf B");
            case "Soft fusible", "Thin batting", "Sew-in foam" -> placed("", "", "shelf C");
            case "Slider, nickel" -> placed("100", "", "drawer 1");
            case "Snap, antique" -> twoPart();
            case "Nylon zip, 10 in" -> zip("10 in");
            case "Nylon zip, 12 in" -> zip("12 in");
            case "Navy 50" -> placed("", "110 m", "thread rack");
            default ->
                name.startsWith("Zip tape") || name.startsWith("Cotton ")
                        ? placed("", "", "tape box")
                        : placed("", "", "drawer 1");
        };
    }

    private static FactsForm cloth(
            String width, String fibre, WeightClass weight, Print print, boolean oneDyeLot, String place) {
        return new FactsForm(
                width,
                "",
                fibre,
                weight,
                false,
                print == Print.STRIPES ? "2 1/2 in" : "",
                "",
                false,
                null,
                null,
                "4",
                "80",
                "wash at 30 °C, iron on the wrong side",
                print,
                oneDyeLot,
                false,
                null,
                "",
                false,
                "",
                "",
                place);
    }

    private static FactsForm placed(String target, String usePerHour, String place) {
        return new FactsForm(
                "",
                "",
                "",
                null,
                false,
                "",
                "",
                false,
                null,
                null,
                "",
                "",
                "",
                Print.PLAIN,
                false,
                false,
                null,
                "",
                false,
                usePerHour,
                target,
                place);
    }

    private static FactsForm twoPart() {
        return new FactsForm(
                "",
                "",
                "",
                null,
                false,
                "",
                "",
                false,
                null,
                null,
                "",
                "",
                "",
                Print.PLAIN,
                false,
                true,
                null,
                "",
                false,
                "",
                "",
                "drawer 2");
    }

    private static FactsForm zip(String length) {
        return new FactsForm(
                "",
                "",
                "",
                null,
                false,
                "",
                "",
                false,
                null,
                null,
                "",
                "",
                "",
                Print.PLAIN,
                false,
                false,
                null,
                length,
                false,
                "",
                "",
                "drawer 2");
    }

    /** The knot that is woven into the stripe, which may lie in the middle of a pocket. */
    private void markTheKnot() {
        MaterialId stripe = ids.get("Reed Stripe");
        prints.put(
                stripe,
                new PrintForm(
                        prints.get(stripe).version(),
                        "2 in",
                        new Frame(0, 0, 1, 1),
                        List.of(new MotifForm("reed knot", "1 in", "1 1/4 in"))));
    }

    private void move(String name, MovementKind kind, String amount, String reason) {
        stock.move(ids.get(name), MovementForm.of(kind, amount, reason));
    }
}
