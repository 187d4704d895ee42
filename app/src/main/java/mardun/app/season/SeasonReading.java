package mardun.app.season;

import java.math.BigDecimal;
import java.time.Clock;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.stream.Collectors;
import mardun.app.batch.BatchReading;
import mardun.app.channel.KeptChannel;
import mardun.app.channel.PricePlace;
import mardun.app.days.DayPlans;
import mardun.app.design.CostedSize;
import mardun.app.design.FinishedLooks;
import mardun.app.id.ChannelId;
import mardun.app.id.DesignId;
import mardun.app.material.StockShelves;
import mardun.app.price.ChannelService;
import mardun.app.price.PriceBook;
import mardun.app.problem.FieldReader;
import mardun.app.season.SeasonKinds.Known;
import mardun.app.season.SeasonKinds.SeasonKind;
import mardun.app.season.SeasonViews.SeasonForm;
import mardun.app.season.SeasonViews.SeasonJudgement;
import mardun.app.season.SeasonViews.SeasonLeftOut;
import mardun.app.season.SeasonViews.SeasonNumber;
import mardun.app.season.SeasonViews.SeasonOccasion;
import mardun.app.selling.FairRecords;
import mardun.app.selling.FairRecords.FairRecord;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.shop.ShopReading;
import mardun.core.costing.LabourRates;
import mardun.core.design.Licences;
import mardun.core.planning.FreeAhead;
import mardun.core.pricing.Terms;
import mardun.core.season.ComingEvent;
import mardun.core.season.Outlet;
import mardun.core.season.Season;
import mardun.core.season.SeasonItem;
import mardun.core.season.SeasonLimits;
import mardun.core.season.SoldTogether;
import mardun.core.season.TableSpace;
import org.joda.money.Money;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Puts together what the planner of a season is asked, of what the workroom knows. */
@Component
class SeasonReading {

    private static final int MOST_KINDS = 150;
    private static final int LONGEST_OCCASION = 60;
    private static final int DAYS_OF_WEEK = 7;
    /** Minor units in one of what the core reckons in. */
    static final double MINOR = 100;

    private static final int ENDLESS_TABLE = 100_000_000;
    private static final double ANY_MONEY = 1e7;

    private final SeasonKinds kinds;
    private final FairRecords fairs;
    private final SeasonPast past;
    private final ShopReading shop;
    private final ChannelService channels;
    private final PriceBook prices;
    private final StockShelves shelves;
    private final FinishedLooks looks;
    private final DayPlans days;
    private final BatchReading batches;
    private final SettingsService settings;
    private final Clock clock;

    SeasonReading(
            SeasonKinds kinds,
            FairRecords fairs,
            SeasonPast past,
            ShopReading shop,
            ChannelService channels,
            PriceBook prices,
            StockShelves shelves,
            FinishedLooks looks,
            DayPlans days,
            BatchReading batches,
            SettingsService settings,
            Clock clock) {
        this.kinds = kinds;
        this.fairs = fairs;
        this.past = past;
        this.shop = shop;
        this.channels = channels;
        this.prices = prices;
        this.shelves = shelves;
        this.looks = looks;
        this.days = days;
        this.batches = batches;
        this.settings = settings;
        this.clock = clock;
    }

    /**
     * What is asked, with what it is made of.
     *
     * @param kinds those that may be made, in the order of the season's items
     * @param until the last day that counts
     */
    record Asked(
            Season season,
            Map<DesignId, Occasion> occasions,
            boolean shop,
            List<SeasonKind> kinds,
            List<SeasonLeftOut> leftOut,
            List<FairRecord> fairs,
            LocalDate until,
            Map<String, SeasonShelf.Material> materials) {

        /** The same, of bags that take otherwise. */
        Asked taking(Season other) {
            return new Asked(other, occasions, shop, kinds, leftOut, fairs, until, materials);
        }
    }

    /** What a maker typed, read. */
    record Typed(
            OptionalDouble hours,
            OptionalDouble money,
            OptionalInt pieces,
            double keeps,
            int weeks,
            Map<DesignId, Occasion> occasions) {

        /** What part of what it leaves at a fair a bag is worth that is left over after the last day that counts. */
        double keeps(DesignId design, LocalDate until) {
            Occasion occasion = occasions.get(design);
            return occasion == null || occasion.lastDay().isAfter(until) ? keeps : occasion.keeps();
        }
    }

    /**
     * What a design is sold for.
     *
     * @param keeps the part of what it leaves at a fair that a bag is worth afterwards
     */
    record Occasion(String name, LocalDate lastDay, double keeps) {}

    /** The fairs that come. */
    List<FairRecord> coming() {
        return fairs.coming();
    }

    Typed read(SeasonForm form) {
        FieldReader fields = new FieldReader();
        OptionalDouble hours = form.hours().isBlank()
                ? OptionalDouble.empty()
                : OptionalDouble.of(fields.decimal("hours", form.hours(), BigDecimal.ZERO, BigDecimal.valueOf(5_000))
                        .doubleValue());
        OptionalDouble money = form.money().isBlank()
                ? OptionalDouble.empty()
                : OptionalDouble.of(
                        fields.money("money", form.money(), settings.current().currency()) / MINOR);
        OptionalInt pieces = form.pieces().isBlank()
                ? OptionalInt.empty()
                : OptionalInt.of(fields.count("pieces", form.pieces(), 0, 10_000));
        double keeps = fields.decimal("keeps", form.keeps(), BigDecimal.ZERO, BigDecimal.valueOf(100))
                        .doubleValue()
                / 100;
        int weeks = form.weeks().isBlank() ? 0 : fields.count("weeks", form.weeks(), 0, 52);
        Map<DesignId, Occasion> occasions = new HashMap<>();
        for (SeasonOccasion one : form.occasions()) {
            String place = "occasions." + one.designId().key() + ".";
            String name = fields.text(place + "name", one.name(), LONGEST_OCCASION);
            double after = fields.decimal(place + "keeps", one.keeps(), BigDecimal.ZERO, BigDecimal.valueOf(100))
                            .doubleValue()
                    / 100;
            occasions.put(one.designId(), new Occasion(name, one.lastDay(), after));
        }
        fields.check();
        return new Typed(hours, money, pieces, keeps, weeks, occasions);
    }

    /** The time that the day plan leaves free over what open batches take. */
    FreeAhead free() {
        DayPlans.Laid laid = days.lay(batches.openWork());
        return new FreeAhead(laid.free(), laid.plan(), laid.today());
    }

    /** The whole of what is asked. */
    Asked asked(SeasonForm form, Typed typed, List<FairRecord> coming) {
        Settings current = settings.current();
        LocalDate today = LocalDate.now(clock);
        List<FairRecord> chosen =
                coming.stream().filter(fair -> form.fairs().contains(fair.id())).toList();
        LocalDate until = chosen.stream()
                .map(FairRecord::endsOn)
                .max(Comparator.naturalOrder())
                .orElse(today.plusWeeks(typed.weeks()));
        Optional<ChannelId> online = shop.channel();
        Known known = kinds.all();
        SeasonPast.Sold sold = past.new Sold(known);
        Map<String, Integer> offeredSince = sold.offeredSince();

        KeptChannel fairChannel =
                channels.find(chosen.isEmpty() ? null : chosen.get(0).channelId());
        KeptChannel shopChannel = online.map(channels::find).orElse(fairChannel);
        Map<String, Double> judged = form.judgements().stream()
                .collect(Collectors.toMap(SeasonJudgement::kind, one -> one.percent() / 100.0, (one, other) -> other));
        Map<String, Integer> atLeast = form.atLeast().stream()
                .collect(Collectors.toMap(SeasonNumber::kind, SeasonNumber::units, (one, other) -> other));
        Map<PricePlace, Money> atFair = prices.asked(fairChannel.id());
        Map<PricePlace, Money> inShop = prices.asked(shopChannel.id());
        Money hourly = current.workroom().hourlyRate();
        LabourRates rates = current.workroom().rates();
        Terms fairTerms = fairChannel.channel(rates).terms().ofUnits(1);
        Terms shopTerms = shopChannel.channel(rates).terms().ofUnits(1);
        SeasonShelf shelf = new SeasonShelf(known.byKey().values(), shelves);

        List<SeasonItem> items = new ArrayList<>();
        List<SeasonKind> planned = new ArrayList<>();
        List<SeasonLeftOut> leftOut = new ArrayList<>();
        List<SeasonKind> best = mostSold(known, sold.units());
        int others = known.byKey().size() - best.size();
        if (others > 0) {
            leftOut.add(new SeasonLeftOut(
                    others + " other kinds", "at most " + MOST_KINDS + " are planned at once, and these sold least"));
        }
        for (SeasonKind kind : best) {
            CostedSize size = kind.size();
            OptionalLong licensed =
                    Licences.left(size.source(), () -> batches.licensedUnitsOf(size.designId(), size.source()));
            Money price = new PricePlace(size.designId(), size.sizeKey(), fairChannel.id())
                    .in(kind.clothId())
                    .of(atFair)
                    .orElse(null);
            if (size.cost().isEmpty()) {
                leftOut.add(new SeasonLeftOut(
                        kind.words(), "it has no cost yet: something is missing. Its page says what"));
            } else if (licensed.isPresent() && licensed.getAsLong() == 0) {
                leftOut.add(new SeasonLeftOut(kind.words(), "the licence of its pattern allows no more to be sold"));
            } else if (price == null || !price.isPositive()) {
                leftOut.add(new SeasonLeftOut(kind.words(), "it has no price"));
            } else {
                Money priceInShop = new PricePlace(size.designId(), size.sizeKey(), shopChannel.id())
                        .in(kind.clothId())
                        .of(inShop)
                        .orElse(price);
                double net = net(fairTerms, price);
                Map<String, Double> takes = shelf.takes(kind);
                licensed.ifPresent(most -> shelf.license(kind, most, takes));
                planned.add(kind);
                items.add(new SeasonItem(
                        kind.key(),
                        size.designId().key(),
                        size.sort().isBlank() ? size.designName() : size.sort(),
                        size.sizeName(),
                        kind.clothName(),
                        price.getAmountMinorLong() / MINOR,
                        net,
                        net(shopTerms, priceInShop),
                        0,
                        Math.max(0.1, size.time().sewing().toSeconds() / 60.0 / size.units()),
                        size.time().settingUp().toSeconds() / 60.0,
                        takes,
                        space(size),
                        kind.have(),
                        offeredSince.containsKey(kind.key())
                                ? OptionalInt.of(offeredSince.get(kind.key()))
                                : OptionalInt.empty(),
                        lastDay(typed.occasions().get(size.designId()), today),
                        OptionalInt.empty(),
                        atLeast.getOrDefault(kind.key(), 0),
                        net * typed.keeps(size.designId(), until),
                        SeasonItem.USUAL_FADING,
                        judged.getOrDefault(kind.key(), 1.0)));
            }
        }
        double hours = typed.hours()
                .orElseGet(() -> free().before(chosen.stream()
                                        .map(FairRecord::heldOn)
                                        .min(Comparator.naturalOrder())
                                        .orElse(until))
                                .toMinutes()
                        / 60.0);
        List<SoldTogether> together = sold.together(items);
        return new Asked(
                new Season(
                        items,
                        new SeasonLimits(hours, typed.money().orElse(ANY_MONEY), typed.pieces(), shelf.limits()),
                        sold.events(online, items, together),
                        ahead(form.shop() && online.isPresent(), chosen, today, until),
                        together),
                typed.occasions(),
                form.shop() && online.isPresent(),
                planned,
                leftOut,
                chosen,
                until,
                shelf.materials());
    }

    private static OptionalInt lastDay(@Nullable Occasion occasion, LocalDate today) {
        return occasion == null
                ? OptionalInt.empty()
                : OptionalInt.of((int) ChronoUnit.DAYS.between(today, occasion.lastDay()));
    }

    /** The kinds that sold most, as many as are planned at once. */
    private static List<SeasonKind> mostSold(Known known, Map<String, Long> sold) {
        return known.byKey().values().stream()
                .sorted(Comparator.comparing(
                        (SeasonKind kind) -> sold.getOrDefault(kind.key(), 0L), Comparator.reverseOrder()))
                .limit(MOST_KINDS)
                .toList();
    }

    /** In how many weeks a day is, or how many it is ago: from 1 for this one. */
    static int weeks(LocalDate from, LocalDate to) {
        return (int) Math.max(1, (ChronoUnit.DAYS.between(from, to) + DAYS_OF_WEEK - 1) / DAYS_OF_WEEK);
    }

    private int space(CostedSize size) {
        return looks.extent(size.designId(), size.sizeKey())
                .map(bag -> TableSpace.ofBag(bag.wide(), bag.deep(), bag.high()))
                .orElse(1);
    }

    private static double net(Terms terms, Money price) {
        Terms.Took took = terms.paidByCard(false).took(price);
        return (price.getAmountMinorLong()
                        - took.tax().getAmountMinorLong()
                        - took.fees().getAmountMinorLong())
                / MINOR;
    }

    private static List<ComingEvent> ahead(boolean shop, List<FairRecord> chosen, LocalDate today, LocalDate until) {
        List<ComingEvent> ahead = new ArrayList<>();
        int weeks = (int) Math.max(0, (ChronoUnit.DAYS.between(today, until) + DAYS_OF_WEEK - 1) / DAYS_OF_WEEK);
        for (int week = 1; week <= Math.max(1, weeks); week++) {
            LocalDate begins = today.plusWeeks(week - 1);
            if (shop && week <= weeks) {
                ahead.add(new ComingEvent(
                        Outlet.ONLINE, "", week, DAYS_OF_WEEK * (week - 1), begins.getMonthValue(), "", false, 0));
            }
            int its = week;
            chosen.stream()
                    .filter(fair -> weeks(today, fair.heldOn()) == its)
                    .forEach(fair -> ahead.add(new ComingEvent(
                            Outlet.FAIR,
                            fair.series(),
                            its,
                            (int) ChronoUnit.DAYS.between(today, fair.heldOn()),
                            fair.heldOn().getMonthValue(),
                            SeasonPast.word(fair.footfall()),
                            !fair.sheltered(),
                            table(fair))));
        }
        return ahead;
    }

    private static int table(FairRecord fair) {
        return fair.tableWide().isPositive() && fair.tableDeep().isPositive()
                ? TableSpace.ofTable(fair.tableWide(), fair.tableDeep())
                : ENDLESS_TABLE;
    }
}
