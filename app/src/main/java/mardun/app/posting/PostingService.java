package mardun.app.posting;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mardun.app.design.DesignDocument;
import mardun.app.design.DesignService;
import mardun.app.design.FinishedLooks;
import mardun.app.goods.BagKind;
import mardun.app.posting.PostingViews.BagWeight;
import mardun.app.posting.PostingViews.BagWeightForm;
import mardun.app.posting.PostingViews.ParcelView;
import mardun.app.posting.PostingViews.PostingForm;
import mardun.app.posting.PostingViews.RateForm;
import mardun.app.posting.PostingViews.ZoneView;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.settings.HoldsMoney;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.shop.ShopParcels;
import mardun.app.shop.ShopParcels.Bags;
import mardun.app.shop.ShopParcels.ToPost;
import mardun.app.show.ViewWriter;
import mardun.app.show.Views.LengthView;
import mardun.core.material.Amount;
import mardun.core.measure.Bulk;
import mardun.core.measure.BulkUnit;
import mardun.core.measure.Length;
import mardun.core.measure.LengthUnit;
import mardun.core.measure.LengthWriter;
import mardun.core.measure.ShownRounding;
import mardun.core.selling.Parcel;
import mardun.core.selling.PostageRate;
import org.joda.money.Money;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Posting: what bags weigh, what it costs to send them, and what goes along. */
@Service
public class PostingService implements HoldsMoney {

    private static final int LONGEST_ZONE = 60;
    private static final int LONGEST_NAME = 80;
    private static final Length LONGEST_SIDE = new Length(5_000_000_000L);
    private static final Bulk HEAVIEST = new Bulk(Bulk.Kind.WEIGHT, 100_000_000_000_000L);

    private final PostingRepository postings;
    private final StoredRateRepository rates;
    private final BagParcelRepository bags;
    private final ShopParcels orders;
    private final DesignService designs;
    private final FinishedLooks looks;
    private final SettingsService settings;

    PostingService(
            PostingRepository postings,
            StoredRateRepository rates,
            BagParcelRepository bags,
            ShopParcels orders,
            DesignService designs,
            FinishedLooks looks,
            SettingsService settings) {
        this.postings = postings;
        this.rates = rates;
        this.bags = bags;
        this.orders = orders;
        this.designs = designs;
        this.looks = looks;
        this.settings = settings;
    }

    @Override
    @Transactional(readOnly = true)
    public boolean holdsMoney() {
        return rates.count() > 0;
    }

    Posting posting() {
        return postings.findById(Posting.ONE).orElseThrow();
    }

    /** What stands on parcels, and the postage table, as it is typed. */
    @Transactional(readOnly = true)
    public PostingForm form() {
        Settings current = settings.current();
        Posting stored = posting();
        return new PostingForm(
                stored.version(),
                stored.sender(),
                weight(new Bulk(Bulk.Kind.WEIGHT, stored.packingNg()), current),
                stored.pressCard(),
                stored.unironedCard(),
                rates(current).stream().map(rate -> form(rate, current)).toList());
    }

    private static RateForm form(PostageRate rate, Settings current) {
        return new RateForm(
                rate.zone(),
                rate.name(),
                weight(rate.most(), current),
                side(rate.longest(), current),
                side(rate.middle(), current),
                side(rate.shortest(), current),
                rate.price().getAmount().toPlainString());
    }

    /** A weight as it is typed: in whole grams if it is that, else exactly in ounces. */
    private static String weight(Bulk weight, Settings current) {
        return weight.amount() % BulkUnit.GRAM.amount() == 0
                ? current.writer().amount(Amount.of(weight)).exact()
                : BigDecimal.valueOf(weight.amount())
                                .divide(BigDecimal.valueOf(BulkUnit.OUNCE.amount()), 6, RoundingMode.HALF_UP)
                                .stripTrailingZeros()
                                .toPlainString()
                        + " " + BulkUnit.OUNCE.symbol();
    }

    private static String side(Optional<Length> side, Settings current) {
        return side.map(length -> LengthWriter.exactly(length, current.unitSystem()))
                .orElse("");
    }

    private List<PostageRate> rates(Settings current) {
        return rates.findAllByOrderByPosition().stream()
                .map(rate -> rate.rate(current.currency()))
                .toList();
    }

    /** Keeps what was typed; the whole table is as it was typed last. */
    @Transactional
    public void enter(PostingForm form) {
        Settings current = settings.current();
        Posting stored = posting();
        ChangedMeanwhileException.check("What stands on parcels", form.version(), stored.version());
        FieldReader fields = new FieldReader();
        Bulk packing = fields.bulk("packing", form.packing(), Bulk.Kind.WEIGHT);
        List<PostageRate> read = new ArrayList<>();
        for (int i = 0; i < form.rates().size(); i++) {
            read.add(rate(form.rates().get(i), "rates." + i, fields, current));
        }
        fields.check();
        stored.enter(
                form.sender().strip(),
                packing.amount(),
                form.pressCard().strip(),
                form.unironedCard().strip());
        postings.saveAndFlush(stored);
        rates.deleteAllInBatch();
        for (int i = 0; i < read.size(); i++) {
            rates.save(new StoredRate(i, read.get(i)));
        }
        rates.flush();
    }

    private static PostageRate rate(RateForm typed, String at, FieldReader fields, Settings current) {
        LengthUnit unit = current.unitSystem().smallUnit();
        String zone = fields.text(at + ".zone", typed.zone(), LONGEST_ZONE);
        String name = fields.text(at + ".name", typed.name(), LONGEST_NAME);
        Bulk most = fields.bulk(at + ".most", typed.most(), Bulk.Kind.WEIGHT);
        if (most.amount() > HEAVIEST.amount()) {
            fields.refuse(at + ".most", typed.most(), "No post takes more than 100 kg. Check the unit.");
        }
        return new PostageRate(
                zone,
                name,
                most,
                limit(at + ".longest", typed.longest(), unit, fields),
                limit(at + ".middle", typed.middle(), unit, fields),
                limit(at + ".shortest", typed.shortest(), unit, fields),
                Money.ofMinor(current.currency(), fields.money(at + ".price", typed.price(), current.currency())));
    }

    private static Optional<Length> limit(String field, String typed, LengthUnit unit, FieldReader fields) {
        return typed.isBlank()
                ? Optional.empty()
                : Optional.of(fields.positiveLength(field, typed, unit, LONGEST_SIDE));
    }

    /** All sizes of the designs that are in use, with what was said of their weight. */
    @Transactional(readOnly = true)
    public List<BagWeight> weights() {
        Settings current = settings.current();
        Map<BagParcel.Size, BagParcel> known = new HashMap<>();
        LengthView usual = current.writer().length(Parcel.USUALLY_THICK, ShownRounding.NEAREST);
        bags.findAll().forEach(one -> known.put(one.size(), one));
        return designs.sizes().stream()
                .map(size -> {
                    Optional<BagParcel> its =
                            Optional.ofNullable(known.get(BagParcel.Size.of(size.id(), size.sizeKey())));
                    return new BagWeight(
                            size.id(),
                            size.sizeKey(),
                            size.name(),
                            its.map(one -> weight(one.weight(), current)).orElse(""),
                            its.map(BagParcel::thick)
                                    .filter(thick -> !thick.equals(Parcel.USUALLY_THICK))
                                    .map(thick -> side(Optional.of(thick), current))
                                    .orElse(""),
                            usual);
                })
                .toList();
    }

    /** What a bag weighs; with an empty weight nothing is known of it any more. */
    @Transactional
    public void weigh(BagWeightForm form) {
        Settings current = settings.current();
        DesignDocument document = designs.document(form.designId());
        if (document.sizes().stream().noneMatch(size -> document.sizeKey(size).equals(form.sizeKey()))) {
            throw RefusedException.missing("This design has no such size, or no longer.");
        }
        BagParcel.Size size = BagParcel.Size.of(form.designId(), form.sizeKey());
        if (form.weight().isBlank()) {
            bags.deleteById(size);
            return;
        }
        FieldReader fields = new FieldReader();
        Bulk weight = fields.bulk("weight", form.weight(), Bulk.Kind.WEIGHT);
        if (weight.amount() == 0 || weight.amount() > HEAVIEST.amount()) {
            fields.refuse("weight", form.weight(), "A bag weighs something, up to 100 kg. Type it like 120 g or 4 oz.");
        }
        Length thick = form.thick().isBlank()
                ? Parcel.USUALLY_THICK
                : fields.positiveLength(
                        "thick", form.thick(), current.unitSystem().smallUnit(), LONGEST_SIDE);
        fields.check();
        bags.saveAndFlush(new BagParcel(size, weight, thick));
    }

    /** The parcel of an online order: what it weighs, how large it is, and what it costs to each zone. */
    @Transactional(readOnly = true)
    public ParcelView parcel(long orderId) {
        Settings current = settings.current();
        ViewWriter writer = current.writer();
        ToPost order = orders.order(orderId);
        List<String> missing = new ArrayList<>();
        Parcel parcel = Parcel.of(
                packed(order, missing), new Bulk(Bulk.Kind.WEIGHT, posting().packingNg()));
        List<PostageRate> table = rates(current);
        return new ParcelView(
                orderId,
                order.number(),
                order.address(),
                writer.amount(Amount.of(parcel.weight())),
                writer.length(parcel.longest(), ShownRounding.UP),
                writer.length(parcel.middle(), ShownRounding.UP),
                writer.length(parcel.shortest(), ShownRounding.UP),
                missing,
                table.stream()
                        .map(PostageRate::zone)
                        .distinct()
                        .map(zone -> zone(zone, table, parcel, writer))
                        .toList(),
                writer.money(order.postageMinor()),
                customs(order, parcel, current));
    }

    private static ZoneView zone(String zone, List<PostageRate> table, Parcel parcel, ViewWriter writer) {
        return PostageRate.cheapest(table, zone, parcel)
                .map(rate -> new ZoneView(zone, rate.name(), writer.money(rate.price()), null))
                .orElseGet(() -> {
                    boolean tooHeavy = table.stream()
                            .filter(rate -> rate.zone().equals(zone))
                            .allMatch(rate -> rate.misfit(parcel)
                                    .filter(PostageRate.Misfit.TOO_HEAVY::equals)
                                    .isPresent());
                    return new ZoneView(
                            zone,
                            null,
                            null,
                            tooHeavy
                                    ? "It is heavier than anything that goes there."
                                    : "It is too large or too heavy for what goes there.");
                });
    }

    /** The bags of an order as far as their weight is known; the others are told. */
    private List<Parcel.Bags> packed(ToPost order, List<String> missing) {
        List<Parcel.Bags> packed = new ArrayList<>();
        for (Bags some : order.bags()) {
            Optional<BagParcel> known = some.kind()
                    .flatMap(kind -> kind.designId()
                            .flatMap(design -> bags.findById(
                                    BagParcel.Size.of(design, kind.sizeKey().orElse("")))));
            Optional<FinishedLooks.FinishedExtent> extent = some.kind().flatMap(this::extent);
            if (known.isEmpty()) {
                missing.add(some.kind().map(BagKind::words).orElse("bags that aren’t known"));
            }
            packed.add(new Parcel.Bags(
                    some.units(),
                    known.map(BagParcel::weight).orElse(new Bulk(Bulk.Kind.WEIGHT, 0)),
                    extent.map(FinishedLooks.FinishedExtent::wide).orElse(Length.ZERO),
                    extent.map(FinishedLooks.FinishedExtent::deep).orElse(Length.ZERO),
                    extent.map(FinishedLooks.FinishedExtent::high).orElse(Length.ZERO),
                    known.map(BagParcel::thick).orElse(Parcel.USUALLY_THICK)));
        }
        return packed;
    }

    private Optional<FinishedLooks.FinishedExtent> extent(BagKind kind) {
        return kind.designId()
                .filter(id -> designs.names().stream().anyMatch(one -> one.id().equals(id)))
                .flatMap(id -> looks.extent(id, kind.sizeKey().orElse("")));
    }

    /** What a customs form asks for: what it is, how much of it, and what it is worth. What it is called there is asked where it is posted. */
    private static String customs(ToPost order, Parcel parcel, Settings current) {
        Map<String, Integer> names = new LinkedHashMap<>();
        order.bags()
                .forEach(some ->
                        names.merge(some.kind().map(BagKind::designName).orElse("bag"), some.units(), Integer::sum));
        List<String> contents = new ArrayList<>();
        names.forEach((name, units) -> contents.add(units + " × " + name));
        return String.join(", ", contents) + "; handmade textile bags; "
                + current.writer().amount(Amount.of(parcel.weight())).text() + "; "
                + current.writer().money(order.paidMinor()).amount() + " "
                + current.currency().getCode();
    }

    /** The papers that go along with the parcel of an order. */
    @Transactional(readOnly = true)
    public byte[] papers(long orderId) {
        ToPost order = orders.order(orderId);
        boolean isIronable = order.bags().stream()
                .flatMap(some -> some.kind().flatMap(BagKind::designId).stream())
                .filter(id -> designs.names().stream().anyMatch(one -> one.id().equals(id)))
                .allMatch(looks::isIronable);
        Posting stored = posting();
        return ParcelPapers.pdf(
                stored.sender(),
                order.address(),
                "Order " + order.number(),
                order.bags().stream()
                        .map(some -> some.units() + " × "
                                + some.kind().map(BagKind::words).orElse("bag"))
                        .toList(),
                isIronable ? stored.pressCard() : stored.unironedCard(),
                settings.current());
    }

    /** An address label by hand. */
    @Transactional(readOnly = true)
    public byte[] label(List<String> address) {
        if (address.stream().allMatch(String::isBlank)) {
            throw RefusedException.conflict("An address label needs an address. Type one, a line each.");
        }
        return ParcelPapers.pdf(posting().sender(), address, "", List.of(), "", settings.current());
    }
}
