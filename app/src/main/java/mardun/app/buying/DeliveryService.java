package mardun.app.buying;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mardun.app.buying.DeliveryViews.DeliveryForm;
import mardun.app.buying.DeliveryViews.DeliveryLine;
import mardun.app.buying.DeliveryViews.DeliverySum;
import mardun.app.buying.DeliveryViews.DeliveryView;
import mardun.app.id.MaterialId;
import mardun.app.material.Arrival;
import mardun.app.material.MaterialReader;
import mardun.app.material.MaterialService;
import mardun.app.material.ShelfMaterial;
import mardun.app.material.StockService;
import mardun.app.problem.FieldReader;
import mardun.app.request.OnceOnly;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.PageView;
import mardun.app.show.ViewWriter;
import mardun.core.material.Amount;
import mardun.core.material.Invoice;
import mardun.core.material.MaterialKind;
import mardun.core.material.MovementKind;
import mardun.core.material.ShelfLimits;
import mardun.core.measure.Extent;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import org.joda.money.Money;
import org.springframework.data.domain.PageRequest;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Enters what came: all lines of one paper in one go, with totals that add up, each line as a lot. */
@Service
public class DeliveryService {

    private static final int MOST_PACKS = 100_000;
    private static final Length WIDEST = Length.of(5, LengthUnit.METRE);

    private final DeliveryRepository deliveries;
    private final SupplierService suppliers;
    private final StockService stock;
    private final MaterialService materials;
    private final SettingsService settings;
    private final OnceOnly onceOnly;
    private final Clock clock;

    DeliveryService(
            DeliveryRepository deliveries,
            SupplierService suppliers,
            StockService stock,
            MaterialService materials,
            SettingsService settings,
            OnceOnly onceOnly,
            Clock clock) {
        this.deliveries = deliveries;
        this.suppliers = suppliers;
        this.stock = stock;
        this.materials = materials;
        this.settings = settings;
        this.onceOnly = onceOnly;
        this.clock = clock;
    }

    /** What a form says, read and checked. */
    private record Entered(Money postage, Money duty, Money total, List<EnteredLine> lines) {

        List<Money> prices() {
            return lines.stream().map(EnteredLine::price).toList();
        }
    }

    private record EnteredLine(
            MaterialId materialId,
            Amount amount,
            Money price,
            String soldAs,
            String dyeLot,
            String place,
            Optional<Length> measuredWidth,
            Optional<Extent> pieceSize) {}

    @Transactional(readOnly = true)
    public PageView<DeliveryView> list(int page, int size) {
        ViewWriter writer = settings.current().writer();
        Map<Long, String> names = suppliers.names();
        return PageView.of(
                deliveries.findAllByOrderByCameOnDescIdDesc(PageRequest.of(page, Math.min(size, PageView.LARGEST))),
                delivery -> view(delivery, names, writer));
    }

    private static DeliveryView view(Delivery delivery, Map<Long, String> names, ViewWriter writer) {
        return new DeliveryView(
                delivery.id(),
                names.getOrDefault(delivery.supplierId(), ""),
                delivery.paperNumber(),
                delivery.cameOn(),
                writer.money(delivery.postageMinor()),
                writer.money(delivery.dutyMinor()),
                writer.money(delivery.totalMinor()));
    }

    /** What the lines add up to, and each one's share of postage and duty, while the paper is being typed. */
    @Transactional(readOnly = true)
    public DeliverySum sum(DeliveryForm form) {
        FieldReader fields = new FieldReader();
        Settings current = settings.current();
        ViewWriter writer = current.writer();
        Entered entered = read(form, fields, current);
        Money sum = Money.zero(current.currency())
                .minus(Invoice.difference(
                        entered.prices(), entered.postage(), entered.duty(), Money.zero(current.currency())));
        boolean differs = !form.total().isBlank()
                && fields.problems().stream()
                        .noneMatch(problem -> problem.field().equals("total"))
                && !sum.equals(entered.total());
        return new DeliverySum(
                writer.money(sum),
                differs ? writer.money(entered.total().minus(sum)) : null,
                Invoice.shares(entered.prices(), entered.postage().plus(entered.duty())).stream()
                        .map(writer::money)
                        .toList());
    }

    /** Enters a delivery; all of its lines or none. */
    public DeliveryView enter(DeliveryForm form) {
        long id = onceOnly.make(form.requestId(), "delivery", form, () -> {
            FieldReader fields = new FieldReader();
            Settings current = settings.current();
            Entered entered = read(form, fields, current);
            refuse(form, entered, fields, current);
            fields.check();
            return store(form, entered);
        });
        return view(
                deliveries.findById(id).orElseThrow(),
                suppliers.names(),
                settings.current().writer());
    }

    private void refuse(DeliveryForm form, Entered entered, FieldReader fields, Settings current) {
        LocalDate today = LocalDate.now(clock);
        if (form.cameOn().isAfter(today)) {
            fields.refuse("cameOn", form.cameOn().toString(), "This day is still to come. Enter it when it is there.");
        }
        if (form.cameOn().isBefore(today.minusYears(20))) {
            fields.refuse("cameOn", form.cameOn().toString(), "This is more than twenty years ago. Check the year.");
        }
        if (!suppliers.names().containsKey(form.supplierId())) {
            fields.refuse("supplierId", "", "There is no such shop, or no longer. Choose another.");
        }
        String number = form.paperNumber().strip();
        if (number.length() > 60) {
            fields.refuse("paperNumber", form.paperNumber(), "Use at most 60 characters.");
        } else if (!number.isEmpty() && deliveries.existsBySupplierIdAndPaperNumber(form.supplierId(), number)) {
            fields.refuse(
                    "paperNumber",
                    form.paperNumber(),
                    "A paper with the number “" + number + "” of this shop is entered already.");
        }
        Money difference = Invoice.difference(entered.prices(), entered.postage(), entered.duty(), entered.total());
        if (fields.problems().isEmpty() && !difference.isZero()) {
            Money sum = entered.total().minus(difference);
            ViewWriter writer = current.writer();
            fields.refuse(
                    "total",
                    form.total(),
                    "The paper says " + writer.money(entered.total()).amount() + ", and the lines with postage and duty"
                            + " add up to " + writer.money(sum).amount() + ": "
                            + writer.money(difference.abs()).amount()
                            + (difference.isPositive() ? " are missing." : " too many.")
                            + " Look for the line that differs.");
        }
    }

    private long store(DeliveryForm form, Entered entered) {
        Delivery delivery = deliveries.saveAndFlush(new Delivery(
                form.supplierId(),
                form.paperNumber().strip(),
                form.cameOn(),
                entered.postage().getAmountMinorLong(),
                entered.duty().getAmountMinorLong(),
                entered.total().getAmountMinorLong()));
        stock.hold(entered.lines().stream().map(EnteredLine::materialId).toList());
        String shop = suppliers.names().get(form.supplierId());
        List<Money> shares = Invoice.shares(entered.prices(), entered.postage().plus(entered.duty()));
        Optional<Instant> cameAt = form.cameOn().isBefore(LocalDate.now(clock))
                ? Optional.of(form.cameOn()
                        .atTime(LocalTime.NOON)
                        .atZone(clock.getZone())
                        .toInstant())
                : Optional.empty();
        for (int i = 0; i < entered.lines().size(); i++) {
            EnteredLine line = entered.lines().get(i);
            Money extra = shares.get(i);
            stock.receive(
                    line.materialId(),
                    new Arrival(
                            MovementKind.BOUGHT,
                            line.amount(),
                            Optional.of(line.price().plus(extra).getAmountMinorLong()),
                            extra.getAmountMinorLong(),
                            shop,
                            delivery.id(),
                            line.soldAs(),
                            line.dyeLot(),
                            line.place(),
                            line.measuredWidth(),
                            line.pieceSize(),
                            Optional.empty(),
                            shop,
                            cameAt));
        }
        return delivery.id();
    }

    private Entered read(DeliveryForm form, FieldReader fields, Settings current) {
        Map<MaterialId, ShelfMaterial> known = form.lines().stream()
                .map(DeliveryLine::materialId)
                .distinct()
                .collect(Collectors.toMap(id -> id, materials::onShelf));
        List<EnteredLine> lines = new ArrayList<>();
        for (int i = 0; i < form.lines().size(); i++) {
            DeliveryLine line = form.lines().get(i);
            lines.add(read(line, "lines." + i + ".", known.get(line.materialId()), fields, current));
        }
        return new Entered(
                optional("postage", form.postage(), fields, current),
                optional("duty", form.duty(), fields, current),
                current.money(fields.money("total", form.total(), current.currency())),
                lines);
    }

    private static Money optional(String field, String typed, FieldReader fields, Settings current) {
        return typed.isBlank()
                ? Money.zero(current.currency())
                : current.money(fields.money(field, typed, current.currency()));
    }

    private static EnteredLine read(
            DeliveryLine line, String field, ShelfMaterial material, FieldReader fields, Settings current) {
        boolean precut = !line.pieceWidth().isBlank() || !line.pieceHeight().isBlank();
        int packs = fields.count(field + "packs", line.packs(), 1, MOST_PACKS);
        Amount content = precut
                ? Amount.pieces(fields.count(field + "content", line.content(), 1, MOST_PACKS))
                : MaterialReader.amount(fields, field + "content", line.content(), material.kind(), current);
        if (!content.isPositive()
                && fields.problems().stream().noneMatch(p -> p.field().equals(field + "content"))) {
            fields.refuse(field + "content", line.content(), "There is nothing in it. Type what is in one.");
        }
        if (precut && material.kind() != MaterialKind.CLOTH) {
            fields.refuse(field + "pieceWidth", line.pieceWidth(), "Only cloth comes in pieces of a size.");
        }
        if (line.dyeLot().strip().length() > 60) {
            fields.refuse(field + "dyeLot", line.dyeLot(), "Use at most 60 characters.");
        }
        if (line.place().strip().length() > 80) {
            fields.refuse(field + "place", line.place(), "Use at most 80 characters.");
        }
        LengthUnit small = current.unitSystem().smallUnit();
        Amount most = ShelfLimits.most(content.counting());
        boolean tooMuch = content.value() > most.value() / packs;
        if (tooMuch) {
            fields.refuse(
                    field + "packs",
                    line.packs(),
                    "So many of “" + line.content() + "” are more than "
                            + current.writer().text(most.shown()) + ", the most that a shelf holds. Check the unit.");
        }
        return new EnteredLine(
                line.materialId(),
                tooMuch ? content : content.times(packs),
                current.money(fields.money(field + "price", line.price(), current.currency())),
                packs + " × " + line.content().strip(),
                line.dyeLot().strip(),
                line.place().isBlank() ? material.place() : line.place().strip(),
                line.measuredWidth().isBlank()
                        ? Optional.empty()
                        : Optional.of(
                                fields.positiveLength(field + "measuredWidth", line.measuredWidth(), small, WIDEST)),
                precut
                        ? Optional.of(new Extent(
                                fields.positiveLength(field + "pieceWidth", line.pieceWidth(), small, WIDEST),
                                fields.positiveLength(field + "pieceHeight", line.pieceHeight(), small, WIDEST)))
                        : Optional.empty());
    }
}
