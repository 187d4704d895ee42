package mardun.app.price;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import mardun.app.channel.KeptChannel;
import mardun.app.channel.SetPrices;
import mardun.app.design.CostedSize;
import mardun.app.design.DesignCosts;
import mardun.app.price.PriceViews.ChoiceForm;
import mardun.app.price.PriceViews.SortSchool;
import mardun.app.problem.FieldReader;
import mardun.app.settings.HoldsMoney;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.core.making.WorkKind;
import mardun.core.pricing.PriceChoice;
import mardun.core.pricing.PricePoint;
import mardun.core.pricing.PriceRounding;
import mardun.core.pricing.PriceSchool;
import mardun.core.pricing.TaxThreshold;
import org.joda.money.Money;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How the maker comes to prices: the usual channel and school, and how prices are rounded. */
@Service
public class PriceChoices implements HoldsMoney {

    private static final BigDecimal MOST_MARKUP = BigDecimal.valueOf(1000);
    private static final BigDecimal LEAST_FACTOR = new BigDecimal("0.1");
    private static final int MOST_OWN = 60;

    private final SettingsService settings;
    private final ChannelService channels;
    private final SetPrices prices;
    private final DesignCosts bagCosts;

    PriceChoices(SettingsService settings, ChannelService channels, SetPrices prices, DesignCosts bagCosts) {
        this.settings = settings;
        this.channels = channels;
        this.prices = prices;
        this.bagCosts = bagCosts;
    }

    @Transactional(readOnly = true)
    public ChoiceForm form() {
        Settings current = settings.current();
        PriceChoice choice = current.workroom().prices();
        return new ChoiceForm(
                current.version(),
                current.usualChannel().id(),
                choice.school(),
                number(choice.factor(), current),
                number(choice.margin().movePointRight(2), current),
                number(choice.markup().movePointRight(2), current),
                number(choice.multiple(), current),
                choice.leastRate().map(rate -> amount(rate, current)).orElse(""),
                amount(current.workroom().hourlyRate(), current),
                choice.feesInside(),
                choice.rounding().point(),
                choice.rounding().own().stream()
                        .map(own -> amount(own, current))
                        .collect(Collectors.joining("; ")),
                choice.rounding().toNearest(),
                rates(current),
                sorts(choice),
                current.taxThreshold().map(its -> amount(its.aYear(), current)).orElse(""));
    }

    /** The sorts of all designs with what is chosen for them, and those of which something is chosen. */
    private List<SortSchool> sorts(PriceChoice choice) {
        Map<String, String> words = new TreeMap<>();
        choice.bySort().keySet().forEach(sort -> words.put(sort, sort));
        bagCosts.costed().stream()
                .map(CostedSize::sort)
                .map(String::strip)
                .filter(sort -> !sort.isEmpty())
                .forEach(sort -> words.put(sort.toLowerCase(Locale.ROOT), sort));
        return words.entrySet().stream()
                .map(sort -> new SortSchool(sort.getValue(), choice.bySort().get(sort.getKey())))
                .toList();
    }

    private static Map<String, PriceSchool> schools(ChoiceForm form, FieldReader fields, Settings current) {
        if (form.sorts() == null) {
            return current.workroom().prices().bySort();
        }
        Map<String, PriceSchool> schools = new LinkedHashMap<>();
        for (int i = 0; i < form.sorts().size(); i++) {
            SortSchool its = form.sorts().get(i);
            if (its.school() != null) {
                refuseMarket("sorts." + i + ".school", its.school(), fields);
                schools.put(its.sort(), its.school());
            }
        }
        return schools;
    }

    private static void refuseMarket(String field, PriceSchool school, FieldReader fields) {
        if (!school.followsFromCost()) {
            fields.refuse(
                    field,
                    school.words(),
                    "What people pay is looked up for each bag; it can't be the usual way. Choose one that follows from cost.");
        }
    }

    private static Map<WorkKind, String> rates(Settings current) {
        Map<WorkKind, Money> others = current.workroom().otherRates();
        Map<WorkKind, String> typed = new EnumMap<>(WorkKind.class);
        for (WorkKind kind : WorkKind.values()) {
            typed.put(kind, others.containsKey(kind) ? amount(others.get(kind), current) : "");
        }
        return typed;
    }

    private static String number(BigDecimal number, Settings current) {
        return current.decimalMark().in(number.stripTrailingZeros().toPlainString());
    }

    private static String amount(Money money, Settings current) {
        return current.decimalMark().in(money.getAmount().toPlainString());
    }

    @Transactional
    public ChoiceForm choose(ChoiceForm form) {
        Settings current = settings.forChange(form.version());
        FieldReader fields = new FieldReader();
        KeptChannel channel = channels.find(form.usualChannel());
        if (channel.putAway()) {
            fields.refuse(
                    "usualChannel", channel.name(), "“" + channel.name() + "” is put away. Choose another channel.");
        }
        refuseMarket("school", form.school(), fields);
        List<Money> own = own(form, fields, current);
        PriceChoice choice = new PriceChoice(
                form.school(),
                fields.decimal("factor", form.factor(), LEAST_FACTOR, BigDecimal.TEN),
                fields.share("margin", form.margin()),
                fields.decimal("markup", form.markup(), BigDecimal.ZERO, MOST_MARKUP)
                        .movePointLeft(2),
                fields.decimal("multiple", form.multiple(), BigDecimal.ONE, BigDecimal.TEN),
                form.leastRate().isBlank()
                        ? Optional.empty()
                        : Optional.of(current.money(fields.money("leastRate", form.leastRate(), current.currency()))),
                form.feesInside(),
                new PriceRounding(form.point(), own, form.toNearest()),
                schools(form, fields, current));
        Map<WorkKind, Money> rates = readRates(form, fields, current);
        Optional<TaxThreshold> threshold = threshold(form, fields, current);
        fields.check();
        current.taxThreshold(threshold);
        current.price(choice, channel);
        current.rates(rates);
        settings.keep(current);
        return form();
    }

    private static Optional<TaxThreshold> threshold(ChoiceForm form, FieldReader fields, Settings current) {
        if (form.taxThreshold() == null) {
            return current.taxThreshold();
        }
        if (form.taxThreshold().isBlank()) {
            return Optional.empty();
        }
        long minor = fields.money("taxThreshold", form.taxThreshold(), current.currency());
        if (minor == 0) {
            fields.refuse(
                    "taxThreshold",
                    form.taxThreshold(),
                    "Where tax is asked for from the first sale on, say so in the channels, and leave this empty.");
            return Optional.empty();
        }
        return Optional.of(new TaxThreshold(current.money(minor)));
    }

    private static Map<WorkKind, Money> readRates(ChoiceForm form, FieldReader fields, Settings current) {
        if (form.rates() == null) {
            return current.workroom().otherRates();
        }
        Map<WorkKind, Money> rates = new EnumMap<>(WorkKind.class);
        form.rates().forEach((kind, typed) -> {
            if (!typed.isBlank()) {
                rates.put(kind, current.money(fields.money("rates." + kind, typed, current.currency())));
            }
        });
        return rates;
    }

    private static List<Money> own(ChoiceForm form, FieldReader fields, Settings current) {
        List<Money> own = new ArrayList<>();
        for (String one : form.own().split(";")) {
            if (!one.isBlank()) {
                own.add(current.money(fields.money("own", one.strip(), current.currency())));
            }
        }
        if (form.point() == PricePoint.OWN && own.isEmpty()) {
            fields.refuse("own", form.own(), "Type your own prices, parted by semicolons: 8; 12; 17.50.");
        }
        if (own.size() > MOST_OWN) {
            fields.refuse("own", form.own(), "These are " + own.size() + " prices. Use at most " + MOST_OWN + ".");
        }
        return own;
    }

    @Override
    public boolean holdsMoney() {
        return prices.hasAny();
    }
}
