package mardun.app.price;

import java.math.BigDecimal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mardun.app.channel.KeptChannel;
import mardun.app.channel.PricePlace;
import mardun.app.channel.SetPrices;
import mardun.app.design.CostedSize;
import mardun.app.design.DesignService;
import mardun.app.id.ChannelId;
import mardun.app.id.MaterialId;
import mardun.app.material.MaterialService;
import mardun.app.price.PriceViews.BookRow;
import mardun.app.price.PriceViews.BookView;
import mardun.app.price.PriceViews.ComparedView;
import mardun.app.price.PriceViews.NewPrice;
import mardun.app.price.PriceViews.SetForm;
import mardun.app.price.PriceViews.StepForm;
import mardun.app.price.PriceViews.SteppedView;
import mardun.app.price.PriceViews.TaxNear;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.sale.SalesBook;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.ViewWriter;
import mardun.app.stored.Changes;
import mardun.app.stored.Remembered;
import mardun.core.material.MaterialKind;
import mardun.core.money.Exact;
import mardun.core.pricing.Channel;
import mardun.core.pricing.PriceChoice;
import mardun.core.pricing.PriceRounding;
import mardun.core.pricing.SchoolPrices;
import mardun.core.pricing.SchoolPrices.Priced;
import mardun.core.pricing.SideBySide;
import mardun.core.pricing.Tax;
import mardun.core.pricing.TaxThreshold;
import mardun.core.pricing.UnitTakes;
import org.joda.money.Money;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The price of each size of each design in each channel: by the maker's school, or as it was set. */
@Service
public class PriceBook {

    private final DesignService designs;
    private final BookSizes sizes;
    private final ChannelService channels;
    private final SetPrices prices;
    private final MaterialService materials;
    private final SalesBook sales;
    private final SettingsService settings;
    private final Clock clock;
    private final Remembered<ChannelId, BookView> books;
    private final Remembered<ChannelId, Map<PricePlace, Money>> asked;

    PriceBook(
            DesignService designs,
            BookSizes sizes,
            ChannelService channels,
            SetPrices prices,
            MaterialService materials,
            SalesBook sales,
            SettingsService settings,
            Clock clock,
            Changes changes) {
        this.books = new Remembered<>(changes);
        this.asked = new Remembered<>(changes);
        this.designs = designs;
        this.sizes = sizes;
        this.channels = channels;
        this.prices = prices;
        this.materials = materials;
        this.sales = sales;
        this.settings = settings;
        this.clock = clock;
    }

    /**
     * A size in a cloth, with its prices in a channel.
     *
     * @param set that of its cloth, or else that of all cloths
     * @param follows it is in another cloth than the usual, and has no price of its own
     */
    private record Row(
            CostedSize size,
            PricePlace place,
            Optional<UnitTakes> takes,
            SetPrices.@Nullable Set set,
            boolean follows) {

        Optional<Money> own(Settings current) {
            return Optional.ofNullable(set).flatMap(SetPrices.Set::minor).map(current::money);
        }

        Optional<Money> suggested(Channel channel, PriceChoice choice) {
            return takes.flatMap(its -> SchoolPrices.price(its, channel, ofThis(choice), Optional.empty()));
        }

        private PriceChoice ofThis(PriceChoice choice) {
            return choice.forSort(size.sort());
        }

        Optional<Money> price(Channel channel, PriceChoice choice, Settings current) {
            return own(current).or(() -> suggested(channel, choice));
        }

        Optional<Priced> priced(Money price, Channel channel, PriceChoice choice) {
            return takes.map(its -> SchoolPrices.priced(ofThis(choice).school(), price, its, channel));
        }
    }

    private List<Row> rows(ChannelId channel) {
        Map<PricePlace, SetPrices.Set> set = prices.in(channel);
        return sizes.all().stream()
                .map(one -> {
                    CostedSize size = one.size();
                    PricePlace place = one.place(channel);
                    SetPrices.Set own = set.get(place);
                    boolean hasOwn = own != null && own.minor().isPresent();
                    return new Row(
                            size,
                            place,
                            size.cost().map(cost -> UnitTakes.of(cost, size.time())),
                            hasOwn ? own : set.get(place.inAnyCloth()),
                            !hasOwn && place.clothId() != null);
                })
                .toList();
    }

    /**
     * What is asked for each size of each design in a channel, in its usual cloth and in others; none for those that have no cost yet and
     * no price.
     */
    @Transactional(readOnly = true)
    public Map<PricePlace, Money> asked(ChannelId id) {
        return asked.get(id, this::workOutAsked);
    }

    private Map<PricePlace, Money> workOutAsked(ChannelId id) {
        Settings current = settings.current();
        PriceChoice choice = current.workroom().prices();
        Channel channel = channels.find(id).channel(current.workroom().rates());
        Map<PricePlace, Money> asked = new HashMap<>();
        rows(id).forEach(row -> row.price(channel, choice, current).ifPresent(price -> asked.put(row.place(), price)));
        return asked;
    }

    @Transactional(readOnly = true)
    BookView book(@Nullable ChannelId id) {
        return books.get(channels.find(id).id(), this::workOut);
    }

    private BookView workOut(ChannelId id) {
        Settings current = settings.current();
        ViewWriter writer = current.writer();
        KeptChannel entity = channels.find(id);
        Money wanted = current.workroom().hourlyRate();
        PriceChoice choice = current.workroom().prices();
        Money least = choice.leastRate().orElse(wanted);
        Channel channel = entity.channel(current.workroom().rates());
        return new BookView(
                entity.id(),
                entity.name(),
                writer.money(least),
                writer.money(wanted),
                rows(entity.id()).stream()
                        .map(row -> row(row, channel, choice, least, current, writer))
                        .toList(),
                taxNear(channel, current, writer));
    }

    private @Nullable TaxNear taxNear(Channel channel, Settings current, ViewWriter writer) {
        if (channel.terms().tax().mode() != Tax.Mode.NONE
                || current.taxThreshold().isEmpty()) {
            return null;
        }
        LocalDate today = LocalDate.now(clock);
        Money sold = current.money(sales.soldMinor(today.withDayOfYear(1), today.plusDays(1)));
        TaxThreshold threshold = current.taxThreshold().get();
        TaxThreshold.Standing standing = threshold.of(sold);
        return standing == TaxThreshold.Standing.BELOW
                ? null
                : new TaxNear(
                        today.getYear(),
                        writer.money(sold),
                        writer.money(threshold.aYear()),
                        standing == TaxThreshold.Standing.REACHED);
    }

    private BookRow row(
            Row row, Channel channel, PriceChoice choice, Money least, Settings current, ViewWriter writer) {
        Optional<Money> price = row.price(channel, choice, current);
        Optional<Priced> priced = price.flatMap(its -> row.priced(its, channel, choice));
        Optional<Money> perHour = priced.flatMap(Priced::perHour);
        boolean isSet = row.own(current).isPresent();
        return new BookRow(
                row.size().designId(),
                row.size().designName(),
                row.size().sort(),
                row.size().sizeKey(),
                row.size().sizeName(),
                row.size().cloth(),
                row.place().clothId(),
                row.takes().map(takes -> writer.money(takes.full())).orElse(null),
                row.suggested(channel, choice).map(writer::money).orElse(null),
                price.map(writer::money).orElse(null),
                isSet,
                isSet && row.follows(),
                priced.map(its -> writer.money(its.left())).orElse(null),
                perHour.map(writer::money).orElse(null),
                perHour.filter(least::isGreaterThan).isPresent(),
                row.set() == null ? null : LocalDate.ofInstant(row.set().at(), clock.getZone()),
                row.set() == null ? "" : row.set().reason());
    }

    /** Some bags of the book side by side: which of them leaves the most. */
    @Transactional(readOnly = true)
    ComparedView compare(List<PricePlace> places) {
        Settings current = settings.current();
        KeptChannel entity = channels.find(places.get(0).channelId());
        Money wanted = current.workroom().hourlyRate();
        PriceChoice choice = current.workroom().prices();
        Channel channel = entity.channel(current.workroom().rates());
        List<Optional<Priced>> priced = rows(entity.id()).stream()
                .filter(row -> places.contains(row.place()))
                .sorted(Comparator.comparingInt(row -> places.indexOf(row.place())))
                .map(row -> row.price(channel, choice, current).flatMap(price -> row.priced(price, channel, choice)))
                .toList();
        if (priced.size() < places.size()) {
            throw RefusedException.missing("One of these bags isn't in this channel's book any more. Open it anew.");
        }
        SideBySide most = SideBySide.of(
                priced.stream()
                        .map(one -> new SideBySide.Leaves(one.map(Priced::left), one.flatMap(Priced::perHour)))
                        .toList(),
                choice.leastRate().orElse(wanted));
        return new ComparedView(most.mostAnHour().orElse(null), most.mostOfOne().orElse(null), most.noneEnough());
    }

    /** Sets prices from now on; all of them, or none where one can't be read. */
    @Transactional
    public void set(SetForm form) {
        Settings current = settings.current();
        FieldReader fields = new FieldReader();
        List<@Nullable Long> minors = new ArrayList<>();
        for (int i = 0; i < form.prices().size(); i++) {
            NewPrice one = form.prices().get(i);
            refuseUnknown(one.place());
            minors.add(
                    one.price().isBlank()
                            ? null
                            : fields.money("prices." + i + ".price", one.price(), current.currency()));
        }
        fields.check();
        for (int i = 0; i < minors.size(); i++) {
            prices.set(
                    form.prices().get(i).place(), minors.get(i), form.reason().strip());
        }
    }

    private void refuseUnknown(PricePlace place) {
        channels.find(place.channelId());
        if (designs.document(place.designId()).indexOf(place.sizeKey(), "").isEmpty()) {
            throw RefusedException.missing("This design has no such size, or no longer.");
        }
        if (place.clothId() != null && !isCloth(place.clothId())) {
            throw RefusedException.missing("There is no such cloth, or no longer.");
        }
    }

    private boolean isCloth(MaterialId id) {
        return materials.coloured().stream().anyMatch(one -> one.id().equals(id) && one.kind() == MaterialKind.CLOTH);
    }

    /** What prices become when they go up or down together. */
    @Transactional(readOnly = true)
    List<SteppedView> step(StepForm form) {
        Settings current = settings.current();
        ViewWriter writer = current.writer();
        FieldReader fields = new FieldReader();
        BigDecimal percent = form.percent().isBlank()
                ? BigDecimal.ZERO
                : fields.decimal("percent", form.percent(), BigDecimal.valueOf(-90), BigDecimal.valueOf(900));
        fields.check();
        PriceChoice choice = current.workroom().prices();
        List<SteppedView> stepped = new ArrayList<>();
        Map<ChannelId, List<PricePlace>> byChannel =
                form.places().stream().collect(Collectors.groupingBy(PricePlace::channelId));
        byChannel.forEach((id, places) -> {
            Channel channel = channels.find(id).channel(current.workroom().rates());
            for (Row row : rows(id)) {
                Optional<Money> before = row.price(channel, choice, current);
                boolean goesAlong = row.follows() && places.contains(row.place().inAnyCloth());
                if (places.contains(row.place()) && !goesAlong && before.isPresent()) {
                    Money after = after(before.get(), form.points(), percent, choice.rounding());
                    stepped.add(new SteppedView(
                            row.place(),
                            row.size().designName(),
                            row.size().sizeName(),
                            row.place().clothId() == null ? "" : row.size().cloth(),
                            writer.money(before.get()),
                            writer.money(after),
                            perHour(row, before.get(), channel, choice)
                                    .map(writer::money)
                                    .orElse(null),
                            perHour(row, after, channel, choice)
                                    .map(writer::money)
                                    .orElse(null)));
                }
            }
        });
        return stepped;
    }

    private static Optional<Money> perHour(Row row, Money price, Channel channel, PriceChoice choice) {
        return row.priced(price, channel, choice).flatMap(Priced::perHour);
    }

    private static Money after(Money before, int points, BigDecimal percent, PriceRounding rounding) {
        Money price = percent.signum() == 0
                ? before
                : rounding.up(
                        Exact.minor(before).multiply(Exact.of(BigDecimal.ONE.add(percent.movePointLeft(2)))),
                        before.getCurrencyUnit());
        for (int i = 0; i < Math.abs(points); i++) {
            price = points > 0 ? rounding.above(price) : rounding.below(price);
        }
        return price;
    }
}
