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
import mardun.app.design.DesignCosts;
import mardun.app.files.ListSheet;
import mardun.app.files.SheetLine;
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
    private static final String CHANNEL = "channel";
    private static final String SET = "set price";
    private static final String WHY = "why";
    private static final int LONGEST_REASON = 300;

    private final DesignCosts bagCosts;
    private final Channels channels;
    private final SetPrices prices;
    private final SettingsService settings;

    PricesSheet(DesignCosts bagCosts, Channels channels, SetPrices prices, SettingsService settings) {
        this.bagCosts = bagCosts;
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
                new Column(CHANNEL, true, "by its name"),
                new Column(SET, true, "empty where the price is reckoned"),
                new Column(WHY, false, "why a price is set so"),
                new Column("reckoned price", false, "by your school; only going out"),
                new Column("full cost", false, "of one; only going out"),
                new Column("left", false, "of one, at the price that counts; only going out"),
                new Column("an hour", false, "what an hour earns; only going out"));
    }

    @Override
    public void write(CsvSheet sheet) {
        Settings current = settings.current();
        PriceChoice choice = current.workroom().prices();
        List<CostedSize> sizes = bagCosts.costed();
        for (KeptChannel kept : channels.all()) {
            if (!kept.putAway()) {
                Channel channel = kept.channel(current.workroom().rates());
                Map<PricePlace, SetPrices.Set> set = prices.in(kept.id());
                sizes.forEach(size ->
                        write(sheet, size, channel, Optional.ofNullable(set.get(place(size, kept))), choice, current));
            }
        }
    }

    private static PricePlace place(CostedSize size, KeptChannel channel) {
        return new PricePlace(size.designId(), size.sizeKey(), channel.id());
    }

    private static void write(
            CsvSheet sheet,
            CostedSize size,
            Channel channel,
            Optional<SetPrices.Set> set,
            PriceChoice choice,
            Settings current) {
        Optional<UnitTakes> takes = size.cost().map(cost -> UnitTakes.of(cost, size.time()));
        Optional<Money> own = set.flatMap(SetPrices.Set::minor).map(current::money);
        PriceChoice its = choice.forSort(size.sort());
        Optional<Money> reckoned = takes.flatMap(one -> SchoolPrices.price(one, channel, its, Optional.empty()));
        Optional<Priced> priced = takes.flatMap(one -> SchoolPrices.counting(one, channel, its, own));
        sheet.line(
                size.designName(),
                size.sizeName(),
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
        Map<String, CostedSize> bySize = bagCosts.costed().stream()
                .collect(Collectors.toMap(size -> key(size.designName()) + "\n" + key(size.sizeName()), size -> size));
        Map<PricePlace, SetPrices.Set> known = new HashMap<>();
        byName.values().forEach(channel -> known.putAll(prices.in(channel.id())));
        return line -> read(line, byName, bySize, known, current);
    }

    private static String key(String name) {
        return name.strip().toLowerCase(Locale.ROOT);
    }

    private Verdict read(
            SheetLine line,
            Map<String, KeptChannel> byName,
            Map<String, CostedSize> bySize,
            Map<PricePlace, SetPrices.Set> known,
            Settings current) {
        FieldReader fields = new FieldReader();
        String what = line.get(DESIGN).strip()
                + (line.get(SIZE).isBlank() ? "" : ", " + line.get(SIZE).strip()) + " in "
                + line.get(CHANNEL).strip();
        CostedSize size = bySize.get(key(line.get(DESIGN)) + "\n" + key(line.get(SIZE)));
        KeptChannel channel = byName.get(key(line.get(CHANNEL)));
        if (size == null) {
            fields.refuse(
                    DESIGN,
                    line.get(DESIGN),
                    "There is no “" + line.get(DESIGN).strip() + "”"
                            + (line.get(SIZE).isBlank()
                                    ? ""
                                    : " in the size “" + line.get(SIZE).strip() + "”")
                            + ". Write a design and a size as they are called.");
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
        PricePlace place = place(size, channel);
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
        return minor.map(its -> current.money(its).getAmount().toPlainString()).orElse("reckoned");
    }
}
