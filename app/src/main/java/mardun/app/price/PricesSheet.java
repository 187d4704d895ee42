package mardun.app.price;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mardun.app.channel.Channels;
import mardun.app.channel.KeptChannel;
import mardun.app.channel.PricePlace;
import mardun.app.channel.SetPrices;
import mardun.app.design.CostedSize;
import mardun.app.files.ListSheet;
import mardun.app.files.SheetLine;
import mardun.app.price.BookSizes.BookSize;
import mardun.app.problem.FieldProblem;
import mardun.app.problem.FieldReader;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.show.CsvSheet;
import mardun.core.pricing.Channel;
import mardun.core.pricing.PriceChoice;
import mardun.core.pricing.SchoolPrices;
import mardun.core.pricing.SchoolPrices.Priced;
import mardun.core.pricing.UnitTakes;
import org.joda.money.Money;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * The price book as a CSV sheet: a line for each size of each design in each channel. The set price may be changed, filled in or emptied; what
 * follows from it only goes out.
 */
@Component
@Order(7)
class PricesSheet implements ListSheet {

    private static final String DESIGN = "design";
    private static final String SIZE = "size";
    private static final String CLOTH = "cloth";
    private static final String CHANNEL = "channel";
    private static final String SET = "set price";
    private static final String WHY = "why";
    private static final int LONGEST_REASON = 300;

    private final BookSizes sizes;
    private final Channels channels;
    private final SetPrices prices;
    private final SettingsService settings;

    PricesSheet(BookSizes sizes, Channels channels, SetPrices prices, SettingsService settings) {
        this.sizes = sizes;
        this.channels = channels;
        this.prices = prices;
        this.settings = settings;
    }

    @Override
    public String key() {
        return "prices";
    }

    @Override
    public List<Column> columns() {
        return List.of(
                new Column(DESIGN, true, "by its name"),
                new Column(SIZE, true, "empty where the design has one size"),
                new Column(CLOTH, false, "empty for the usual cloth, and all that have no price of their own"),
                new Column(CHANNEL, true, "by its name"),
                new Column(SET, true, "empty where the price is calculated"),
                new Column(WHY, false, "why a price is set so"),
                new Column("calculated price", false, "by your school; only going out"),
                new Column("full cost", false, "of one; only going out"),
                new Column("left", false, "of one, at the price that counts; only going out"),
                new Column("an hour", false, "what an hour earns; only going out"));
    }

    @Override
    public void write(CsvSheet sheet) {
        Settings current = settings.current();
        PriceChoice choice = current.workroom().prices();
        List<BookSize> all = sizes.all();
        for (KeptChannel kept : channels.all()) {
            if (!kept.putAway()) {
                Channel channel = kept.channel(current.workroom().rates());
                Map<PricePlace, SetPrices.Set> set = prices.in(kept.id());
                all.forEach(one -> write(
                        sheet, one, channel, Optional.ofNullable(set.get(one.place(kept.id()))), choice, current));
            }
        }
    }

    private static void write(
            CsvSheet sheet,
            BookSize one,
            Channel channel,
            Optional<SetPrices.Set> set,
            PriceChoice choice,
            Settings current) {
        CostedSize size = one.size();
        Optional<UnitTakes> takes = size.cost().map(cost -> UnitTakes.of(cost, size.time()));
        Optional<Money> own = set.flatMap(SetPrices.Set::minor).map(current::money);
        PriceChoice its = choice.forSort(size.sort());
        Optional<Money> reckoned = takes.flatMap(bag -> SchoolPrices.price(bag, channel, its, Optional.empty()));
        Optional<Priced> priced = takes.flatMap(bag -> SchoolPrices.counting(bag, channel, its, own));
        sheet.line(
                size.designName(),
                size.sizeName(),
                one.otherCloth().isEmpty() ? "" : size.cloth(),
                channel.name(),
                plain(own),
                own.isPresent() ? set.map(SetPrices.Set::reason).orElse("") : "",
                plain(reckoned),
                plain(takes.map(UnitTakes::full)),
                plain(priced.map(Priced::left)),
                plain(priced.flatMap(Priced::perHour)));
    }

    private static String plain(Optional<Money> money) {
        return money.map(its -> its.getAmount().toPlainString()).orElse("");
    }

    @Override
    public LineReader reader(List<SheetLine> lines) {
        Settings current = settings.current();
        Map<String, KeptChannel> byName =
                channels.all().stream().collect(Collectors.toMap(channel -> key(channel.name()), channel -> channel));
        Map<String, BookSize> bySize =
                sizes.all().stream().collect(Collectors.toMap(PricesSheet::key, one -> one, (one, other) -> one));
        Map<PricePlace, SetPrices.Set> known = new HashMap<>();
        byName.values().forEach(channel -> known.putAll(prices.in(channel.id())));
        return line -> read(line, byName, bySize, known, current);
    }

    private static String key(String name) {
        return name.strip().toLowerCase(Locale.ROOT);
    }

    private static String key(String design, String size, String cloth) {
        return key(design) + "\n" + key(size) + "\n" + key(cloth);
    }

    private static String key(BookSize one) {
        CostedSize size = one.size();
        return key(size.designName(), size.sizeName(), one.otherCloth().isEmpty() ? "" : size.cloth());
    }

    private Verdict read(
            SheetLine line,
            Map<String, KeptChannel> byName,
            Map<String, BookSize> bySize,
            Map<PricePlace, SetPrices.Set> known,
            Settings current) {
        FieldReader fields = new FieldReader();
        String what = line.get(DESIGN).strip()
                + (line.get(SIZE).isBlank() ? "" : ", " + line.get(SIZE).strip())
                + (line.get(CLOTH).isBlank() ? "" : ", " + line.get(CLOTH).strip()) + " in "
                + line.get(CHANNEL).strip();
        BookSize size = bySize.get(key(line.get(DESIGN), line.get(SIZE), line.get(CLOTH)));
        KeptChannel channel = byName.get(key(line.get(CHANNEL)));
        if (size == null) {
            fields.refuse(
                    DESIGN,
                    line.get(DESIGN),
                    "There is no “" + line.get(DESIGN).strip() + "”"
                            + (line.get(SIZE).isBlank()
                                    ? ""
                                    : " in the size “" + line.get(SIZE).strip() + "”")
                            + (line.get(CLOTH).isBlank()
                                    ? ""
                                    : " in the cloth “" + line.get(CLOTH).strip() + "”")
                            + ". Write a design, a size and a cloth as the price book calls them.");
        }
        if (channel == null) {
            fields.refuse(
                    CHANNEL,
                    line.get(CHANNEL),
                    "There is no channel called “" + line.get(CHANNEL).strip() + "”. Add it first.");
        }
        String typed = line.get(SET).strip();
        Optional<Long> minor =
                typed.isEmpty() ? Optional.empty() : Optional.of(fields.money(SET, typed, current.currency()));
        String reason = line.get(WHY).strip();
        if (reason.length() > LONGEST_REASON) {
            fields.refuse(
                    WHY,
                    reason,
                    "This is " + reason.length() + " characters long. Use at most " + LONGEST_REASON + ".");
        }
        if (size == null || channel == null || !fields.problems().isEmpty()) {
            return Verdict.refuse(
                    what, fields.problems().stream().map(FieldProblem::sentence).toList());
        }
        PricePlace place = size.place(channel.id());
        Optional<Long> before = Optional.ofNullable(known.get(place)).flatMap(SetPrices.Set::minor);
        if (before.equals(minor)) {
            return Verdict.same(what);
        }
        return Verdict.change(
                what,
                List.of("set price: " + words(before, current) + " → " + words(minor, current)),
                () -> prices.set(place, minor.orElse(null), reason));
    }

    private static String words(Optional<Long> minor, Settings current) {
        return minor.map(its -> current.money(its).getAmount().toPlainString()).orElse("calculated");
    }
}
