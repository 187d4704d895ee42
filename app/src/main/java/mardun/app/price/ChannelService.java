package mardun.app.price;

import java.math.BigDecimal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.app.channel.Channels;
import mardun.app.channel.KeptChannel;
import mardun.app.channel.TermsDocument;
import mardun.app.channel.TermsDocument.BandRow;
import mardun.app.channel.TermsDocument.FeeRow;
import mardun.app.id.ChannelId;
import mardun.app.price.PriceViews.ChannelForm;
import mardun.app.price.PriceViews.ChannelView;
import mardun.app.price.PriceViews.FeeForm;
import mardun.app.price.PriceViews.FormerView;
import mardun.app.price.PriceViews.NewChannelForm;
import mardun.app.problem.ChangedMeanwhileException;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.request.OnceOnly;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.core.making.WorkKind;
import mardun.core.pricing.Fee;
import mardun.core.pricing.Tax;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The maker's ways of selling, on the terms of each, with those that they had. */
@Service
public class ChannelService {

    private static final int LONGEST_NAME = 120;
    private static final int LONGEST_FEE = 80;
    private static final BigDecimal MOST_TAX = BigDecimal.valueOf(100);
    private static final BigDecimal MOST_UNITS = BigDecimal.valueOf(1000);
    private static final BigDecimal FEWEST_UNITS = new BigDecimal("0.1");
    private static final BigDecimal MOST_MINUTES = BigDecimal.valueOf(600);

    private final Channels channels;
    private final SettingsService settings;
    private final OnceOnly onceOnly;
    private final Clock clock;

    ChannelService(Channels channels, SettingsService settings, OnceOnly onceOnly, Clock clock) {
        this.channels = channels;
        this.settings = settings;
        this.onceOnly = onceOnly;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public List<ChannelView> all() {
        Settings current = settings.current();
        return channels.all().stream().map(channel -> view(channel, current)).toList();
    }

    public ChannelView add(NewChannelForm form) {
        long id = onceOnly.make(form.requestId(), "a channel", form, () -> {
            FieldReader fields = new FieldReader();
            TermsDocument terms = read(form.terms(), fields, settings.current());
            String name = name(form.terms(), null, fields);
            fields.check();
            return channels.add(name, form.terms().kind(), terms).id().value();
        });
        return view(channels.get(new ChannelId(id)), settings.current());
    }

    /** Other terms from now on; those that held are kept. */
    @Transactional
    public ChannelView change(ChannelId id, ChannelForm form) {
        Settings current = settings.current();
        KeptChannel channel = find(id);
        ChangedMeanwhileException.check("“" + channel.name() + "”", form.version(), channel.version());
        FieldReader fields = new FieldReader();
        TermsDocument terms = read(form, fields, current);
        String name = name(form, id, fields);
        fields.check();
        return view(channels.change(id, name, form.kind(), terms), current);
    }

    @Transactional
    public ChannelView putAway(ChannelId id, long version, boolean putAway) {
        Settings current = settings.current();
        KeptChannel channel = find(id);
        ChangedMeanwhileException.check("“" + channel.name() + "”", version, channel.version());
        if (putAway && current.usualChannel().id().equals(id)) {
            throw RefusedException.conflict(
                    "Tickets show the prices of “" + channel.name() + "”. Make another channel the usual one first.");
        }
        return view(channels.putAway(id, putAway), current);
    }

    /** One that isn't put away, or the usual one where none is named. */
    @Transactional(readOnly = true)
    public KeptChannel find(@Nullable ChannelId id) {
        return id == null ? settings.current().usualChannel() : channels.get(id);
    }

    private String name(ChannelForm form, @Nullable ChannelId own, FieldReader fields) {
        String name = fields.text("name", form.name(), LONGEST_NAME);
        channels.named(name)
                .filter(other -> !other.id().equals(own))
                .ifPresent(other -> fields.refuse(
                        "name", name, "There is a channel called “" + other.name() + "” already. Type another name."));
        return name;
    }

    private static TermsDocument read(ChannelForm form, FieldReader fields, Settings current) {
        List<FeeRow> fees = new ArrayList<>();
        for (int i = 0; i < form.fees().size(); i++) {
            fees.add(fee("fees." + i, form.fees().get(i), fields, current));
        }
        boolean isTaxed = form.taxMode() != Tax.Mode.NONE;
        return new TermsDocument(
                fees,
                form.taxMode(),
                isTaxed
                        ? fields.decimal("taxRate", form.taxRate(), BigDecimal.ZERO, MOST_TAX)
                                .movePointLeft(2)
                        : BigDecimal.ZERO,
                fields.decimal("unitsPerSale", form.unitsPerSale(), FEWEST_UNITS, MOST_UNITS),
                money("postagePaid", form.postagePaid(), fields, current).orElse(0L),
                money("postage", form.postage(), fields, current).orElse(0L),
                money("packing", form.packing(), fields, current).orElse(0L),
                minutes("packingMinutes", form.packingMinutes(), fields),
                minutes("listingMinutes", form.listingMinutes() == null ? "" : form.listingMinutes(), fields));
    }

    private static BigDecimal minutes(String field, String typed, FieldReader fields) {
        return typed.isBlank() ? BigDecimal.ZERO : fields.decimal(field, typed, BigDecimal.ZERO, MOST_MINUTES);
    }

    private static FeeRow fee(String place, FeeForm form, FieldReader fields, Settings current) {
        String name = fields.text(place + ".name", form.name(), LONGEST_FEE);
        BigDecimal likelihood = fields.decimal(
                        place + ".likelihood",
                        form.likelihood().isBlank() ? "100" : form.likelihood(),
                        BigDecimal.ZERO,
                        BigDecimal.valueOf(100))
                .movePointLeft(2);
        if (form.basis() != Fee.Basis.SHARE) {
            return new FeeRow(
                    name,
                    form.basis(),
                    List.of(),
                    fields.money(place + ".amount", form.amount(), current.currency()),
                    null,
                    null,
                    likelihood,
                    form.isCardOnly());
        }
        List<BandRow> bands = new ArrayList<>();
        bands.add(new BandRow(0, fields.share(place + ".amount", form.amount())));
        money(place + ".above", form.above(), fields, current)
                .filter(above -> above > 0)
                .ifPresent(above -> bands.add(new BandRow(above, fields.share(place + ".then", form.then()))));
        Long least = money(place + ".least", form.least(), fields, current).orElse(null);
        Long most = money(place + ".most", form.most(), fields, current).orElse(null);
        if (least != null && most != null && least > most) {
            fields.refuse(
                    place + ".most",
                    form.most(),
                    "At least " + form.least() + " and at most " + form.most() + " can't be both. Change one of them.");
        }
        return new FeeRow(name, form.basis(), bands, null, least, most, likelihood, form.isCardOnly());
    }

    private static Optional<Long> money(String field, String text, FieldReader fields, Settings current) {
        return text.isBlank() ? Optional.empty() : Optional.of(fields.money(field, text, current.currency()));
    }

    private ChannelView view(KeptChannel channel, Settings current) {
        Words words = new Words(current);
        return new ChannelView(
                channel.id(),
                form(channel, words),
                current.usualChannel().id().equals(channel.id()),
                channel.putAway(),
                words.says(channel.terms()),
                channels.former(channel.id()).stream()
                        .map(one -> new FormerView(
                                LocalDate.ofInstant(one.until(), clock.getZone()), words.says(one.terms())))
                        .toList());
    }

    private static ChannelForm form(KeptChannel channel, Words words) {
        TermsDocument terms = channel.terms();
        return new ChannelForm(
                channel.version(),
                channel.name(),
                channel.kind(),
                terms.fees().stream().map(words::form).toList(),
                terms.taxMode(),
                words.percent(terms.taxRate()),
                words.plain(terms.unitsPerSale()),
                words.amount(terms.postagePaidMinor()),
                words.amount(terms.postageMinor()),
                words.amount(terms.packingMinor()),
                words.plain(terms.packingMinutes()),
                words.plain(terms.listingMinutes()));
    }

    /** Writes terms with the maker's mark and currency. */
    private record Words(Settings current) {

        String plain(BigDecimal number) {
            return number.signum() == 0
                    ? "0"
                    : current.decimalMark().in(number.stripTrailingZeros().toPlainString());
        }

        String percent(BigDecimal share) {
            return plain(share.movePointRight(2));
        }

        String amount(@Nullable Long minor) {
            return minor == null
                    ? ""
                    : current.decimalMark().in(current.money(minor).getAmount().toPlainString());
        }

        FeeForm form(FeeRow fee) {
            boolean isBanded = fee.bands().size() > 1;
            return new FeeForm(
                    fee.name(),
                    fee.basis(),
                    fee.basis() == Fee.Basis.SHARE ? percent(fee.bands().get(0).share()) : amount(fee.amountMinor()),
                    isBanded ? amount(fee.bands().get(1).fromMinor()) : "",
                    isBanded ? percent(fee.bands().get(1).share()) : "",
                    amount(fee.leastMinor()),
                    amount(fee.mostMinor()),
                    percent(fee.likelihood()),
                    fee.cardOnly());
        }

        private String fee(FeeRow fee) {
            FeeForm form = form(fee);
            String how = switch (fee.basis()) {
                case SHARE ->
                    form.amount() + " %"
                            + (form.above().isEmpty() ? "" : " up to " + form.above() + ", then " + form.then() + " %")
                            + (form.least().isEmpty() ? "" : ", at least " + form.least())
                            + (form.most().isEmpty() ? "" : ", at most " + form.most());
                case SALE -> form.amount() + " a sale";
                case UNIT -> form.amount() + " a bag";
            };
            String likely =
                    fee.likelihood().compareTo(BigDecimal.ONE) == 0 ? "" : ", of " + form.likelihood() + " % of sales";
            return fee.name() + " " + how + likely + (fee.isCardOnly() ? ", by card" : "");
        }

        String says(TermsDocument terms) {
            String units = terms.unitsPerSale().compareTo(BigDecimal.ONE) == 0
                    ? ""
                    : plain(terms.unitsPerSale()) + " bags a sale";
            String tax = terms.taxMode() == Tax.Mode.NONE
                    ? ""
                    : percent(terms.taxRate()) + " % " + terms.taxMode().words();
            String postage = terms.postagePaidMinor() == 0 && terms.postageMinor() == 0
                    ? ""
                    : "postage " + amount(terms.postageMinor()) + ", of which the buyer pays "
                            + amount(terms.postagePaidMinor());
            String packing = terms.packingMinor() == 0 && terms.packingMinutes().signum() == 0
                    ? ""
                    : "packing " + amount(terms.packingMinor()) + " and " + plain(terms.packingMinutes()) + " min";
            String listing = terms.listingMinutes().signum() == 0
                    ? ""
                    : WorkKind.LISTING.words() + " " + plain(terms.listingMinutes()) + " min a bag";
            String all = Stream.concat(
                            terms.fees().stream().filter(Words::isTaken).map(this::fee),
                            Stream.of(units, tax, postage, packing, listing))
                    .filter(part -> !part.isEmpty())
                    .collect(Collectors.joining("; "));
            return all.isEmpty() ? "takes nothing" : all;
        }

        private static boolean isTaken(FeeRow fee) {
            return fee.basis() == Fee.Basis.SHARE
                    ? fee.leastMinor() != null
                            || fee.bands().stream()
                                    .anyMatch(band -> band.share().signum() > 0)
                    : fee.amountMinor() != null && fee.amountMinor() > 0;
        }
    }
}
