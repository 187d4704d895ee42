package mardun.app.price;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import mardun.app.channel.KeptChannel;
import mardun.app.channel.PricePlace;
import mardun.app.channel.SetPrices;
import mardun.app.design.CostedSize;
import mardun.app.design.DesignService;
import mardun.app.id.ChannelId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.price.PriceViews.AnHourView;
import mardun.app.price.PriceViews.CostPart;
import mardun.app.price.PriceViews.CurvePoint;
import mardun.app.price.PriceViews.GivenPrice;
import mardun.app.price.PriceViews.GivenView;
import mardun.app.price.PriceViews.OffView;
import mardun.app.price.PriceViews.PriceSheetView;
import mardun.app.price.PriceViews.SchoolPrice;
import mardun.app.price.PriceViews.SeenForm;
import mardun.app.price.PriceViews.SeenView;
import mardun.app.price.PriceViews.SetView;
import mardun.app.price.PriceViews.SoldAtView;
import mardun.app.problem.FieldReader;
import mardun.app.sale.SalesBook;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.core.costing.UnitCost;
import mardun.core.money.Exact;
import mardun.core.pricing.Channel;
import mardun.core.pricing.PriceChoice;
import mardun.core.pricing.PricePoint;
import mardun.core.pricing.PriceRounding;
import mardun.core.pricing.PriceSchool;
import mardun.core.pricing.SchoolPrices;
import mardun.core.pricing.SchoolPrices.Priced;
import mardun.core.pricing.UnitTakes;
import org.joda.money.Money;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** One size of a design and its price from all sides: what it costs, what each school asks, and what any price leaves. */
@Service
public class PriceSheets {

    private static final int MOST_POINTS = 160;
    private static final int FEWEST_AN_HOUR = 1;
    private static final int AROUND = 2;
    private static final int LONGEST = 200;
    private static final int YEARS_OF_SALES = 2;
    private static final List<BigDecimal> STEPS = Stream.of(
                    "0.01", "0.05", "0.1", "0.25", "0.5", "1", "2", "5", "10", "25", "50", "100", "250", "1000")
            .map(BigDecimal::new)
            .toList();

    private final DesignService designs;
    private final BagCosts costs;
    private final ChannelService channels;
    private final SetPrices prices;
    private final PriceSeenRepository seen;
    private final SalesBook sales;
    private final SettingsService settings;
    private final Clock clock;

    PriceSheets(
            DesignService designs,
            BagCosts costs,
            ChannelService channels,
            SetPrices prices,
            PriceSeenRepository seen,
            SalesBook sales,
            SettingsService settings,
            Clock clock) {
        this.designs = designs;
        this.costs = costs;
        this.channels = channels;
        this.prices = prices;
        this.seen = seen;
        this.sales = sales;
        this.settings = settings;
        this.clock = clock;
    }

    /**
     * The sheet.
     *
     * @param cloth in which outer cloth; absent for the usual one
     * @param channelId absent for the usual one
     * @param units for a batch of how many; absent for as many as is usual
     */
    @Transactional(readOnly = true)
    PriceSheetView sheet(
            DesignId designId,
            String sizeKey,
            @Nullable MaterialId cloth,
            @Nullable ChannelId channelId,
            @Nullable Integer units) {
        Settings current = settings.current();
        CostedSize size = costs.size(designId, sizeKey, cloth, units);
        KeptChannel entity = channels.find(channelId);
        return new Sheet(size, Optional.ofNullable(cloth), size.cost().orElseThrow(), entity, current).view();
    }

    /** A sheet as it is worked out. */
    private final class Sheet {

        private final CostedSize size;
        private final Optional<MaterialId> otherCloth;
        private final List<SetPrices.Set> inAnyCloth;
        private final UnitCost cost;
        private final UnitTakes takes;
        private final KeptChannel entity;
        private final Channel channel;
        private final PriceChoice choice;
        private final Money wanted;
        private final Money least;
        private final ViewWriter writer;
        private final Settings current;
        private final List<SetPrices.Set> history;
        private final List<PriceSeen> sightings;
        private final List<SalesBook.SoldAt> sold;
        private final Optional<Money> own;
        private final boolean givenCostsNothing;
        private final Optional<UnitTakes> otherwise;

        Sheet(CostedSize size, Optional<MaterialId> otherCloth, UnitCost cost, KeptChannel entity, Settings current) {
            this.otherCloth = otherCloth;
            this.current = current;
            this.size = size;
            this.cost = cost;
            this.takes = UnitTakes.of(cost, size.time());
            this.entity = entity;
            this.wanted = current.workroom().hourlyRate();
            this.channel = entity.channel(current.workroom().rates());
            this.choice = current.workroom().prices().forSort(size.sort());
            this.least = choice.leastRate().orElse(wanted);
            this.writer = current.writer();
            PricePlace place = new PricePlace(size.designId(), size.sizeKey(), entity.id());
            this.history = prices.history(place.in(otherCloth));
            this.inAnyCloth = otherCloth.isEmpty() ? List.of() : prices.history(place);
            this.sightings = seen.findByDesignIdOrderBySeenOnDesc(size.designId());
            this.sold = sales.prices(
                    new SalesBook.Bags(size.designId(), size.sizeKey(), size.designName(), size.sizeName()),
                    entity.id(),
                    LocalDate.now(clock).minusYears(YEARS_OF_SALES));
            this.givenCostsNothing = current.valuing().givenCostsNothing();
            this.otherwise =
                    costs.withGivenOtherwise(size).filter(other -> !other.full().equals(takes.full()));
            this.own = now(history).or(() -> now(inAnyCloth)).map(current::money);
        }

        private static Optional<Long> now(List<SetPrices.Set> history) {
            return history.stream().findFirst().flatMap(SetPrices.Set::minor);
        }

        PriceSheetView view() {
            List<Money> others = sightings.stream()
                    .map(one -> Money.ofMinor(wanted.getCurrencyUnit(), one.priceMinor()))
                    .toList();
            Optional<Money> market = SchoolPrices.market(others);
            List<Priced> schools = SchoolPrices.all(takes, channel, choice, market);
            Optional<Money> suggested = SchoolPrices.price(takes, channel, choice, Optional.empty());
            PriceRounding coin = PriceRounding.up(PricePoint.EXACT);
            Optional<Money> breakEven = channel.terms().priceFor(Exact.minor(takes.full()), coin);
            Optional<Money> atLeast = atRate(least, coin);
            Optional<Money> atWanted = atRate(wanted, coin);
            List<Money> marked = Stream.of(
                            schools.stream().map(Priced::price),
                            Stream.of(breakEven, atLeast, atWanted, own, suggested)
                                    .flatMap(Optional::stream),
                            others.stream(),
                            sold.stream().map(one -> current.money(one.minor())))
                    .flatMap(each -> each)
                    .toList();
            return new PriceSheetView(
                    size.designId(),
                    size.designName(),
                    size.sizeKey(),
                    size.sizeName(),
                    size.cloth(),
                    otherCloth.orElse(null),
                    entity.id(),
                    entity.name(),
                    size.units(),
                    writer.time(size.time().perUnit()),
                    writer.money(cost.full()),
                    parts(),
                    schools.stream().map(this::school).toList(),
                    curve(marked),
                    breakEven.map(writer::money).orElse(null),
                    atLeast.map(writer::money).orElse(null),
                    atWanted.map(writer::money).orElse(null),
                    writer.money(least),
                    writer.money(wanted),
                    suggested.map(writer::money).orElse(null),
                    own.map(writer::money).orElse(null),
                    suggested.isPresent() ? null : noPrice(),
                    anHour(),
                    history.stream()
                            .map(one -> new SetView(
                                    LocalDate.ofInstant(one.at(), clock.getZone()),
                                    one.minor().map(writer::money).orElse(null),
                                    one.reason()))
                            .toList(),
                    sightings.stream().map(this::sighting).toList(),
                    sold.stream()
                            .map(one -> new SoldAtView(writer.money(one.minor()), one.units(), one.last()))
                            .toList(),
                    otherwise.map(other -> given(other, market)).orElse(null));
        }

        private Optional<Money> atRate(Money anHour, PriceRounding coin) {
            return takes.takesTime() ? SchoolPrices.priceFor(anHour, takes, channel, coin) : Optional.empty();
        }

        private String noPrice() {
            return channel.name() + " takes of every price as much as it is raised"
                    + channel.terms()
                            .eatsMost()
                            .map(fee -> ", most of it by “" + fee + "”")
                            .orElse("")
                    + ": no price leaves what is wanted.";
        }

        private GivenView given(UnitTakes other, Optional<Money> market) {
            return new GivenView(
                    givenCostsNothing,
                    writer.money(other.full()),
                    SchoolPrices.all(other, channel, choice, market).stream()
                            .map(priced -> new GivenPrice(priced.school(), writer.money(priced.price())))
                            .toList());
        }

        private SeenView sighting(PriceSeen one) {
            return new SeenView(one.id(), one.what(), one.seenWhere(), writer.money(one.priceMinor()), one.seenOn());
        }

        private List<CostPart> parts() {
            List<CostPart> parts = new ArrayList<>();
            cost.lines().forEach(line -> parts.add(new CostPart(line.name(), writer.money(line.cost()))));
            parts.add(new CostPart("labour", writer.money(cost.labour())));
            parts.add(new CostPart("overheads", writer.money(cost.overhead())));
            cost.spoiled().ifPresent(spoiled -> parts.add(new CostPart("spoiled", writer.money(spoiled))));
            return parts;
        }

        private SchoolPrice school(Priced priced) {
            return new SchoolPrice(
                    priced.school(),
                    priced.school().words(),
                    priced.school() == choice.school(),
                    writer.money(priced.price()),
                    writer.money(priced.taken()),
                    writer.money(priced.left()),
                    priced.perHour().map(writer::money).orElse(null));
        }

        /** Prices from nothing to well above all that matter, in steps that a maker would name, and those that matter. */
        private List<CurvePoint> curve(List<Money> marked) {
            long highest =
                    marked.stream().mapToLong(Money::getAmountMinorLong).max().orElse(0);
            long middle = marked.stream()
                    .mapToLong(Money::getAmountMinorLong)
                    .sorted()
                    .skip(marked.size() / 2)
                    .findFirst()
                    .orElse(0);
            long end = Math.max(Math.max(highest, 2 * middle), 100);
            long step = step(end);
            TreeSet<Long> minors = new TreeSet<>();
            for (long minor = 0; minor <= end; minor += step) {
                minors.add(minor);
            }
            marked.forEach(money -> minors.add(money.getAmountMinorLong()));
            return minors.stream().map(this::point).toList();
        }

        private long step(long end) {
            return STEPS.stream()
                    .map(step -> step.movePointRight(wanted.getCurrencyUnit().getDecimalPlaces()))
                    .filter(step -> step.compareTo(BigDecimal.ONE) >= 0)
                    .map(step -> step.setScale(0, RoundingMode.CEILING).longValueExact())
                    .filter(step -> end / step <= MOST_POINTS)
                    .findFirst()
                    .orElse(end / MOST_POINTS + 1);
        }

        private CurvePoint point(long minor) {
            Money price = Money.ofMinor(wanted.getCurrencyUnit(), minor);
            Priced priced = SchoolPrices.priced(PriceSchool.MARKET, price, takes, channel);
            return new CurvePoint(
                    writer.money(price),
                    writer.money(priced.buyerPays()),
                    channel.terms().takes(price).stream()
                            .map(line -> new OffView(line.name(), writer.money(line.amount())))
                            .toList(),
                    writer.money(priced.left()),
                    priced.perHour().map(writer::money).orElse(null),
                    many(price.minus(priced.taken())));
        }

        /** How many have to be made in an hour for the least rate, told to the tenth. */
        private String many(Money left) {
            return takes.takesTime()
                    ? takes.manyFor(least, left)
                            .map(many -> writer.decimal(many.bigDecimalValue(1, RoundingMode.CEILING)))
                            .orElse("")
                    : "";
        }

        /** What it must cost for the least rate by how many are made in an hour; of those the one that comes nearest is the maker's own. */
        private List<AnHourView> anHour() {
            if (!takes.takesTime()) {
                return List.of();
            }
            int mine = Math.max(
                    FEWEST_AN_HOUR,
                    takes.perHourMade().bigDecimalValue(0, RoundingMode.HALF_UP).intValue());
            int from = Math.max(FEWEST_AN_HOUR, mine - AROUND);
            return IntStream.rangeClosed(from, from + 2 * AROUND)
                    .mapToObj(many -> new AnHourView(
                            many,
                            SchoolPrices.soManyAnHour(many, least, takes, channel, choice)
                                    .map(writer::money)
                                    .orElse(null),
                            many == mine))
                    .toList();
        }
    }

    /** Notes what somebody asks for such a thing; sent twice it is noted once. */
    @Transactional
    public void see(SeenForm form) {
        Settings current = settings.current();
        FieldReader fields = new FieldReader();
        designs.document(form.designId());
        String what = fields.text("what", form.what(), LONGEST);
        String where = fields.text("where", form.where(), LONGEST);
        long price = fields.money("price", form.price(), current.currency());
        fields.check();
        seen.save(new PriceSeen(
                form.id(),
                form.designId(),
                what,
                where,
                price,
                Objects.requireNonNullElseGet(form.on(), () -> LocalDate.now(clock))));
    }

    @Transactional
    void forget(UUID id) {
        seen.deleteById(id);
    }
}
