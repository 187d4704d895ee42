package mardun.app.demo;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mardun.app.batch.BatchService;
import mardun.app.batch.BatchViews.BatchForm;
import mardun.app.batch.BatchViews.BatchView;
import mardun.app.batch.BatchViews.SlotChoice;
import mardun.app.batch.BatchViews.StageForm;
import mardun.app.design.DesignDocument;
import mardun.app.design.DesignDocument.SlotRow;
import mardun.app.design.DesignService;
import mardun.app.design.DesignViews.ChangedDesign;
import mardun.app.design.DesignViews.DesignView;
import mardun.app.design.DesignViews.NewDesign;
import mardun.app.material.MaterialForm;
import mardun.app.material.MaterialService;
import mardun.app.material.MovementForm;
import mardun.app.selling.FairService;
import mardun.app.selling.FairView.NewFair;
import mardun.app.settings.SettingsForm;
import mardun.app.settings.SettingsService;
import mardun.core.material.MaterialKind;
import mardun.core.material.MovementKind;
import mardun.core.measure.InchStep;
import mardun.core.measure.UnitSystem;
import mardun.core.pricing.PricePoint;
import mardun.core.pricing.PriceSchool;
import org.springframework.beans.factory.SmartInitializingSingleton;
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
    private final DesignService designs;
    private final BatchService batches;
    private final FairService fairs;
    private final TravellingClock clock;
    private final Map<String, Long> ids = new HashMap<>();

    DemoWorkroom(
            SettingsService settings,
            MaterialService materials,
            DesignService designs,
            BatchService batches,
            FairService fairs,
            TravellingClock clock) {
        this.settings = settings;
        this.materials = materials;
        this.designs = designs;
        this.batches = batches;
        this.fairs = fairs;
        this.clock = clock;
    }

    @Override
    public void afterSingletonsInstantiated() {
        if (settings.current().areEntered()) {
            return;
        }
        LocalDate today = clock.realToday();
        clock.on(today.minusDays(90), () -> {
            enterSettings();
            enterMaterials();
        });
        long pouch = designAt(today.minusDays(85));
        String spring = "Wherry Lane market";
        finished(pouch, today.minusDays(70), "small", 18, "18", "Juniper Dot", "Oat cotton", "9.50", spring);
        clock.on(today.minusDays(50), () -> {
            move("Juniper Dot", MovementKind.BOUGHT, "3 yd", "");
            move("Reed Stripe", MovementKind.BOUGHT, "2 yd", "");
            move("Slider, nickel", MovementKind.SPOILED, "3", "teeth jammed in the cold");
        });
        finished(pouch, today.minusDays(44), "medium", 12, "11", "Reed Stripe", "Straw cotton", "", "Autumn yard sale");
        clock.on(today.minusDays(20), () -> {
            move("Soft fusible", MovementKind.BOUGHT, "3 yd", "");
            move("Straw cotton", MovementKind.COUNTED, "3 yd 9 in", "stock-take: a fold had been counted twice");
        });
        finished(pouch, today.minusDays(16), "small", 10, "10", "Kelp linen", "Oat cotton", "", "Pier Hall");
        LocalDate bigFair = today.plusDays(9);
        clock.on(today, () -> {
            fairs.create(new NewFair(UUID.randomUUID(), "Lantern Quay", bigFair));
            fairs.create(new NewFair(UUID.randomUUID(), "Pier Hall", today.plusDays(12)));
        });
        long underWay = planned(
                pouch, today.minusDays(4), "medium", 10, "Kelp linen", "Straw cotton", "", bigFair, "Lantern Quay");
        clock.on(today.minusDays(1), () -> cut(underWay));
        planned(
                pouch,
                today.minusDays(2),
                "small",
                14,
                "Juniper Dot",
                "Oat cotton",
                "",
                today.plusDays(5),
                "Order for the sailing school");
        planned(
                pouch,
                today.minusDays(2),
                "medium",
                24,
                "Reed Stripe",
                "Straw cotton",
                "17.50",
                today.plusDays(12),
                "Pier Hall");
    }

    private void enterSettings() {
        settings.save(new SettingsForm(
                0,
                UnitSystem.INCH,
                InchStep.EIGHTH,
                "EUR",
                "19.00",
                "1.60",
                "1/4 in",
                "3",
                "0.20",
                PriceSchool.MATERIALS_AND_LABOUR,
                "2",
                "30",
                "40",
                PricePoint.HALF,
                List.of("2", "2", "2.5", "1", "3", "0", "4")));
    }

    private void enterMaterials() {
        cloth("Reed Stripe", "Woven cotton stripe, firm", "#6f8fa8", "43 in", true, "9.80", "1 yd", "4 yd");
        cloth("Juniper Dot", "Printed cotton, small dots", "#3f6b5c", "43 1/2 in", true, "11.20", "2 yd", "3 yd");
        cloth("Kelp linen", "Washed linen, prewashed", "#7a7f52", "53 in", false, "14.50", "1 yd", "3 yd 18 in");
        cloth("Straw cotton", "Plain lining", "#d9c27a", "44 in", false, "6.40", "2 yd", "6 yd");
        cloth("Oat cotton", "Plain lining, light", "#e4dcc8", "44 in", false, "6.10", "1 yd", "5 yd");
        cloth("Soft fusible", "Fusible interfacing", "#cfd6d6", "90 cm", false, "3.60", "2 yd", "5 yd");
        trim("Zip tape, navy", "Nylon coil no. 5", "#2c3e57", "1.90", "1 m", "5 yd", "12 yd");
        trim("Zip tape, moss", "Nylon coil no. 5", "#55694a", "1.90", "1 m", "", "6 yd");
        notion("Slider, nickel", "No. 5, nickel", "#9aa3a6", "3.20", "10", "20", "80");
        notion("Slider, brass", "No. 5, antique brass", "#a58b4f", "3.90", "10", "", "30");
        notion("Woven label", "Folded side label", "#a2382c", "24.00", "100", "30", "140");
        move("Kelp linen", MovementKind.GIVEN, "36 in", GIVEN_BY_A_FRIEND);
    }

    private long designAt(LocalDate day) {
        List<Long> made = new ArrayList<>();
        clock.on(day, () -> {
            DesignView begun = designs.begin(new NewDesign(UUID.randomUUID(), "Heron pouch"));
            Map<String, String> usual = Map.of(
                    "outer", "Reed Stripe",
                    "lining", "Straw cotton",
                    "interfacing", "Soft fusible",
                    "zip", "Zip tape, navy",
                    "slider", "Slider, nickel",
                    "label", "Woven label");
            DesignDocument document = begun.document();
            designs.change(
                    begun.id(),
                    new ChangedDesign(
                            begun.version(),
                            new DesignDocument(
                                    document.name(),
                                    document.sizes(),
                                    document.usualUnits(),
                                    document.measurements(),
                                    document.boxed(),
                                    document.pieces(),
                                    document.trims(),
                                    document.notions(),
                                    document.steps(),
                                    document.slots().stream()
                                            .map(slot -> new SlotRow(
                                                    slot.key(),
                                                    slot.label(),
                                                    slot.kind(),
                                                    ids.get(usual.get(slot.key()))))
                                            .toList())));
            made.add(begun.id());
        });
        return made.get(0);
    }

    private void finished(
            long design,
            LocalDate day,
            String size,
            int units,
            String good,
            String outer,
            String lining,
            String price,
            String forWhat) {
        long id = planned(design, day, size, units, outer, lining, price, day.plusDays(9), forWhat);
        clock.on(day.plusDays(1), () -> cut(id));
        clock.on(day.plusDays(6), () -> {
            BatchView batch = batches.get(id);
            batches.finish(id, new StageForm(batch.version(), "", good));
        });
    }

    private long planned(
            long design,
            LocalDate day,
            String size,
            int units,
            String outer,
            String lining,
            String price,
            LocalDate due,
            String forWhat) {
        List<Long> made = new ArrayList<>();
        clock.on(
                day,
                () -> made.add(batches.create(new BatchForm(
                                UUID.randomUUID(),
                                0,
                                design,
                                size,
                                Integer.toString(units),
                                List.of(
                                        new SlotChoice("outer", ids.get(outer)),
                                        new SlotChoice("lining", ids.get(lining)),
                                        new SlotChoice("interfacing", ids.get("Soft fusible")),
                                        new SlotChoice("zip", ids.get("Zip tape, navy")),
                                        new SlotChoice("slider", ids.get("Slider, nickel")),
                                        new SlotChoice("label", ids.get("Woven label"))),
                                price,
                                due,
                                forWhat))
                        .id()));
        return made.get(0);
    }

    private void cut(long id) {
        BatchView batch = batches.get(id);
        batches.cut(id, new StageForm(batch.version(), "", ""));
    }

    private void cloth(
            String name,
            String note,
            String colour,
            String width,
            boolean directional,
            String price,
            String lowAt,
            String onHand) {
        material(MaterialKind.CLOTH, name, note, colour, width, directional, price, "1 yd", lowAt, onHand);
    }

    private void trim(String name, String note, String colour, String price, String per, String lowAt, String onHand) {
        material(MaterialKind.TRIM, name, note, colour, null, false, price, per, lowAt, onHand);
    }

    private void notion(
            String name, String note, String colour, String price, String per, String lowAt, String onHand) {
        material(MaterialKind.NOTION, name, note, colour, null, false, price, per, lowAt, onHand);
    }

    private void material(
            MaterialKind kind,
            String name,
            String note,
            String colour,
            String width,
            boolean directional,
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
                                directional,
                                price,
                                per,
                                lowAt,
                                onHand))
                        .id());
    }

    private void move(String name, MovementKind kind, String amount, String reason) {
        materials.move(ids.get(name), new MovementForm(UUID.randomUUID(), kind, amount, reason));
    }
}
