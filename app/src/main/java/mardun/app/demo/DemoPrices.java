package mardun.app.demo;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import mardun.app.channel.PricePlace;
import mardun.app.design.CostedSize;
import mardun.app.design.DesignCosts;
import mardun.app.goods.Quality;
import mardun.app.id.ChannelId;
import mardun.app.id.MaterialId;
import mardun.app.paper.LabelDrawing.CodeKind;
import mardun.app.price.ChannelService;
import mardun.app.price.PriceBook;
import mardun.app.price.PriceChoices;
import mardun.app.price.PriceSheets;
import mardun.app.price.PriceViews.ChannelForm;
import mardun.app.price.PriceViews.ChannelView;
import mardun.app.price.PriceViews.ChoiceForm;
import mardun.app.price.PriceViews.FeeForm;
import mardun.app.price.PriceViews.NewChannelForm;
import mardun.app.price.PriceViews.NewPrice;
import mardun.app.price.PriceViews.SeenForm;
import mardun.app.price.PriceViews.SetForm;
import mardun.app.ticket.TicketService;
import mardun.app.ticket.TicketViews.PrintTarget;
import mardun.app.ticket.TicketViews.Shown;
import mardun.app.ticket.TicketViews.TicketLineForm;
import mardun.app.ticket.TicketViews.TicketsForm;
import mardun.core.label.CommonSheet;
import mardun.core.pricing.Channel;
import mardun.core.pricing.Fee;
import mardun.core.pricing.PricePoint;
import mardun.core.pricing.PriceSchool;
import mardun.core.pricing.Tax;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** How the invented maker sells: four channels, their history, and what others ask. */
@Component
@ConditionalOnProperty("mardun.demo")
class DemoPrices {

    private final ChannelService channels;
    private final PriceChoices choices;
    private final PriceBook book;
    private final PriceSheets sheets;
    private final DesignCosts bagCosts;
    private final TicketService tickets;
    private final TravellingClock clock;

    DemoPrices(
            ChannelService channels,
            PriceChoices choices,
            PriceBook book,
            PriceSheets sheets,
            DesignCosts bagCosts,
            TicketService tickets,
            TravellingClock clock) {
        this.channels = channels;
        this.choices = choices;
        this.book = book;
        this.sheets = sheets;
        this.bagCosts = bagCosts;
        this.tickets = tickets;
        this.clock = clock;
    }

    private static FeeForm share(String name, String percent) {
        return new FeeForm(name, Fee.Basis.SHARE, percent, "", "", "", "", "100");
    }

    private static FeeForm fixed(String name, Fee.Basis basis, String amount) {
        return new FeeForm(name, basis, amount, "", "", "", "", "100");
    }

    private static FeeForm byCard(FeeForm fee) {
        return new FeeForm(
                fee.name(),
                fee.basis(),
                fee.amount(),
                fee.above(),
                fee.then(),
                fee.least(),
                fee.most(),
                fee.likelihood(),
                true);
    }

    private static ChannelForm channel(
            long version, String name, Channel.Kind kind, List<FeeForm> fees, String units, List<String> posted) {
        return new ChannelForm(
                version,
                name,
                kind,
                fees,
                Tax.Mode.NONE,
                "",
                units,
                posted.get(0),
                posted.get(1),
                posted.get(2),
                posted.get(3),
                null);
    }

    private void add(ChannelForm terms) {
        channels.add(new NewChannelForm(UUID.randomUUID(), terms));
    }

    /** The ways of selling, before anything is made. */
    void enterChannels(LocalDate today) {
        List<String> byHand = List.of("", "", "", "");
        clock.on(today.minusDays(1095), () -> {
            ChannelView stall = channels.all().get(0);
            channels.change(
                    stall.id(),
                    channel(
                            stall.terms().version(),
                            "Craft stall",
                            Channel.Kind.BUYERS,
                            List.of(
                                    byCard(share("card reader", "2.5")),
                                    byCard(fixed("each payment", Fee.Basis.SALE, "0.10"))),
                            "1.3",
                            byHand));
            add(channel(
                    0,
                    "Online shop",
                    Channel.Kind.BUYERS,
                    List.of(
                            share("shop", "6.5"),
                            fixed("listing and renewals", Fee.Basis.UNIT, "0.35"),
                            share("payment", "3"),
                            fixed("each payment", Fee.Basis.SALE, "0.30"),
                            new FeeForm("advertised elsewhere", Fee.Basis.SHARE, "12", "", "", "", "80", "15")),
                    "1.1",
                    List.of("4.50", "4.20", "0.45", "5")));
            add(channel(0, "Private order", Channel.Kind.BUYERS, List.of(), "1", byHand));
            add(channel(
                    0,
                    "Lantern Quay, on commission",
                    Channel.Kind.RESELLER,
                    List.of(share("commission", "30")),
                    "1",
                    byHand));
        });
        clock.on(today.minusDays(45), () -> {
            ChannelView stall = channels.all().get(0);
            ChannelForm terms = stall.terms();
            channels.change(
                    stall.id(),
                    channel(
                            terms.version(),
                            terms.name(),
                            terms.kind(),
                            List.of(
                                    byCard(share("card reader", "3")),
                                    byCard(fixed("each payment", Fee.Basis.SALE, "0.20"))),
                            "1.3",
                            byHand));
        });
        ChoiceForm before = choices.form();
        choices.choose(new ChoiceForm(
                before.version(),
                before.usualChannel(),
                PriceSchool.MATERIALS_AND_LABOUR,
                "2",
                "30",
                "40",
                "2",
                "15",
                null,
                false,
                PricePoint.HALF,
                "",
                false,
                null,
                null,
                "22000"));
    }

    /** What the maker asks for some of them, since when, and what others do. */
    void setPrices(LocalDate today) {
        List<CostedSize> all = bagCosts.costed();
        ChannelId stall = channels.all().get(0).id();
        set(
                all,
                today.minusDays(355),
                stall,
                "Heron pouch",
                Map.of("small", "10.50", "medium", "13"),
                "a guess, to begin with");
        set(all, today.minusDays(300), stall, "Wren wallet", Map.of("", "19.50"), "a guess, to begin with");
        set(all, today.minusDays(248), stall, "Heron pouch", Map.of("small", "11.50"), "the first tally: too little");
        set(all, today.minusDays(190), stall, "Tern tote", Map.of("small", "31"), "as on the card at the stall");
        set(
                all,
                today.minusDays(80),
                stall,
                "Heron pouch",
                Map.of("small", "12", "medium", "15"),
                "first fair of the year");
        set(all, today.minusDays(52), stall, "Heron pouch", Map.of("small", "13"), "cloth is dearer");
        clock.on(today.minusDays(40), () -> printTickets(stall));
        set(all, today.minusDays(20), stall, "Heron pouch", Map.of("medium", "17"), "sold out twice at the old price");
        set(all, today.minusDays(78), stall, "Knot gift bag", Map.of("small", "7"), "nobody pays more for one");
        set(all, today.minusDays(60), stall, "Wren wallet", Map.of("", "22"), "as much as others ask");
        setInLinen(all, today.minusDays(18), stall, "Heron pouch", "medium", "18", "linen sells first, and costs more");
        ChannelId shop = channels.all().get(1).id();
        set(all, today.minusDays(41), shop, "Heron pouch", Map.of("medium", "21"), "postage inside");
        see(all, today.minusDays(71), "Wren wallet", "folded wallet, printed cotton", "summer fair, row B", "24");
        see(all, today.minusDays(70), "Wren wallet", "wallet with snaps", "summer fair, by the gate", "19.50");
        see(all, today.minusDays(12), "Wren wallet", "wallet, waxed cotton", "autumn fair", "28");
        see(all, today.minusDays(12), "Heron pouch", "boxed pouch, plain", "autumn fair", "16");
        see(all, today.minusDays(70), "Heron pouch", "zip pouch, quilted", "summer fair, row C", "18.50");
    }

    /** Tickets for all pouches that are there, on a sheet of which some labels were gone already. */
    private void printTickets(ChannelId stall) {
        List<TicketLineForm> lines = tickets.tickets(stall).goods().stream()
                .filter(bags -> bags.designName().equals("Heron pouch")
                        && bags.quality() == Quality.GOOD
                        && bags.goodsId() != null)
                .map(bags -> new TicketLineForm(
                        bags.goodsId(), null, null, null, null, "", null, Integer.toString(bags.units()), ""))
                .toList();
        tickets.make(new TicketsForm(
                UUID.randomUUID(),
                PrintTarget.SHEET,
                stall,
                CommonSheet.LETTER_30.name(),
                "7",
                Set.of(Shown.SIZE, Shown.CLOTH, Shown.FIBRE, Shown.CARE),
                CodeKind.NONE,
                "",
                lines));
    }

    private void set(
            List<CostedSize> all,
            LocalDate day,
            ChannelId channel,
            String design,
            Map<String, String> bySize,
            String reason) {
        List<NewPrice> prices = all.stream()
                .filter(size -> size.designName().equals(design) && bySize.containsKey(size.sizeName()))
                .map(size -> new NewPrice(
                        new PricePlace(size.designId(), size.sizeKey(), channel), bySize.get(size.sizeName())))
                .collect(Collectors.toList());
        clock.on(day, () -> book.set(new SetForm(prices, reason)));
    }

    /** A price for bags in linen, that are usually made of another cloth. */
    private void setInLinen(
            List<CostedSize> all,
            LocalDate day,
            ChannelId channel,
            String design,
            String sizeName,
            String price,
            String reason) {
        Optional<MaterialId> linen = all.stream()
                .filter(size -> size.cloth().equals("Kelp linen"))
                .findFirst()
                .flatMap(CostedSize::clothId);
        CostedSize size = all.stream()
                .filter(one -> one.designName().equals(design) && one.sizeName().equals(sizeName))
                .findFirst()
                .orElseThrow();
        PricePlace place = new PricePlace(size.designId(), size.sizeKey(), channel).in(linen);
        clock.on(day, () -> book.set(new SetForm(List.of(new NewPrice(place, price)), reason)));
    }

    private void see(List<CostedSize> all, LocalDate day, String design, String what, String where, String price) {
        CostedSize its = all.stream()
                .filter(size -> size.designName().equals(design))
                .findFirst()
                .orElseThrow();
        sheets.see(new SeenForm(UUID.randomUUID(), its.designId(), what, where, price, day));
    }
}
