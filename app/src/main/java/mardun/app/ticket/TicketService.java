package mardun.app.ticket;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mardun.app.design.DesignDocument;
import mardun.app.design.DesignService;
import mardun.app.goods.GoodsService;
import mardun.app.goods.GoodsThere;
import mardun.app.goods.Quality;
import mardun.app.id.ChannelId;
import mardun.app.id.DesignId;
import mardun.app.paper.LabelDrawing;
import mardun.app.paper.LabelPaper;
import mardun.app.paper.LabelSetter;
import mardun.app.price.ChannelService;
import mardun.app.price.PriceBook;
import mardun.app.problem.FieldReader;
import mardun.app.problem.RefusedException;
import mardun.app.request.OnceOnly;
import mardun.app.settings.Settings;
import mardun.app.settings.SettingsService;
import mardun.app.ticket.TicketViews.PrintTarget;
import mardun.app.ticket.TicketViews.TicketGoods;
import mardun.app.ticket.TicketViews.TicketLineForm;
import mardun.app.ticket.TicketViews.TicketPreview;
import mardun.app.ticket.TicketViews.TicketRunView;
import mardun.app.ticket.TicketViews.TicketsForm;
import mardun.app.ticket.TicketViews.TicketsView;
import mardun.core.label.LabelSheet;
import org.joda.money.Money;
import org.jspecify.annotations.Nullable;
import org.springframework.data.domain.PageRequest;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Price tickets: which bags have one that holds, how new ones look, and what was printed. */
@Service
public class TicketService {

    private static final int MOST_TICKETS = 2_000;
    private static final int RUNS_SHOWN = 12;
    private static final int NAMED = 3;

    private final GoodsService goods;
    private final TicketBags bags;
    private final DesignService designs;
    private final PriceBook book;
    private final ChannelService channels;
    private final LabelSheets sheets;
    private final TicketTexts texts;
    private final TicketRunRepository runs;
    private final SettingsService settings;
    private final OnceOnly onceOnly;
    private final Clock clock;

    TicketService(
            GoodsService goods,
            TicketBags bags,
            DesignService designs,
            PriceBook book,
            ChannelService channels,
            LabelSheets sheets,
            TicketTexts texts,
            TicketRunRepository runs,
            SettingsService settings,
            OnceOnly onceOnly,
            Clock clock) {
        this.goods = goods;
        this.bags = bags;
        this.designs = designs;
        this.book = book;
        this.channels = channels;
        this.sheets = sheets;
        this.texts = texts;
        this.runs = runs;
        this.settings = settings;
        this.onceOnly = onceOnly;
        this.clock = clock;
    }

    /** The bags that are there with their tickets, prices being those of a channel; of the usual one where none is named. */
    @Transactional(readOnly = true)
    public TicketsView tickets(@Nullable ChannelId asked) {
        ChannelId channel = channels.find(asked).id();
        Settings current = settings.current();
        List<TicketGoods> goodsThere = bags.all(channel, current);
        return new TicketsView(
                channel,
                goodsThere,
                goodsThere.stream().mapToInt(TicketGoods::outOfDate).sum(),
                sheets.all(),
                runs.findAllByOrderByIdDesc(PageRequest.of(0, RUNS_SHOWN)).stream()
                        .map(run -> view(run, null))
                        .toList());
    }

    /** How tickets will look. */
    @Transactional(readOnly = true)
    TicketPreview preview(TicketsForm form) {
        TicketRun run = read(form);
        return new TicketPreview(
                run.lines().stream().map(line -> drawing(run, line).view()).toList(),
                run.units(),
                run.target() == PrintTarget.SHEET ? run.sheet().pages(run.used(), run.units()) : 0);
    }

    /** Keeps tickets as they are to be printed; sent twice, once. Those on a sheet count as printed from now on. */
    public long make(TicketsForm form) {
        return onceOnly.make(form.requestId(), "price tickets", form, () -> {
            TicketRun run = read(form);
            if (run.target() == PrintTarget.SHEET) {
                run.lines().forEach(TicketLine::allComeOut);
            }
            return runs.saveAndFlush(run).id();
        });
    }

    /** The tickets of a form; all that is wrong with it is refused at once. */
    private TicketRun read(TicketsForm form) {
        Settings current = settings.current();
        FieldReader fields = new FieldReader();
        LabelSheet sheet = sheets.get(form.sheetKey());
        int first = form.target() == PrintTarget.SHEET ? fields.count("first", form.first(), 1, sheet.labels()) : 1;
        ChannelId channel = form.channelId() == null
                ? null
                : channels.find(form.channelId()).id();
        TicketRun run =
                new TicketRun(clock.instant(), form.target(), channel, form.sheetKey(), sheet, form.code(), first - 1);
        Map<Long, GoodsThere> there =
                goods.there().stream().collect(Collectors.toMap(GoodsThere::id, Function.identity()));
        TicketPrices prices = new TicketPrices(book, current);
        TicketTexts.Reader reader = texts.reader();
        for (int i = 0; i < form.lines().size(); i++) {
            run.add(line(form, i, channel, there, prices, reader, fields, current));
        }
        fields.check();
        if (run.units() > MOST_TICKETS) {
            fields.refuse(
                    "lines",
                    Integer.toString(run.units()),
                    run.units() + " tickets are more than can be printed at once. Print at most " + MOST_TICKETS
                            + ", and then the others.");
        }
        for (int i = 0; i < run.lines().size(); i++) {
            TicketLine line = run.lines().get(i);
            if (set(run, line).isEmpty()) {
                fields.refuse(
                        "sheetKey",
                        form.sheetKey(),
                        "On this label there isn't room for all that is to stand there of “"
                                + line.words().about() + "”. Choose a larger label, or leave something out.");
                break;
            }
        }
        fields.check();
        return run;
    }

    private TicketLine line(
            TicketsForm form,
            int i,
            @Nullable ChannelId channel,
            Map<Long, GoodsThere> there,
            TicketPrices prices,
            TicketTexts.Reader reader,
            FieldReader fields,
            Settings current) {
        TicketLineForm typed = form.lines().get(i);
        String place = "lines." + i + ".";
        int units = fields.count(place + "units", typed.units(), 1, MOST_TICKETS);
        boolean isOwn = channel != null && !typed.price().isBlank();
        Optional<Money> own = isOwn
                ? Optional.of(current.money(fields.money(place + "price", typed.price(), current.currency())))
                : Optional.empty();
        Optional<Money> price;
        TicketTexts.About about;
        if (typed.goodsId() != null) {
            GoodsThere goodsThere = Optional.ofNullable(there.get(typed.goodsId()))
                    .orElseThrow(() -> RefusedException.conflict(
                            "Of some of these bags none are there any more. Open the list anew."));
            price = own.or(() -> channel == null ? Optional.empty() : prices.of(goodsThere, channel));
            about = TicketTexts.About.of(
                    goodsThere,
                    price.map(its -> PriceText.of(its, current.writer())).orElse(""));
        } else if (typed.batchId() != null && typed.lineNumber() != null) {
            TicketBags.Open open = bags.open(typed.batchId(), typed.lineNumber());
            price = own.or(() -> channel == null ? Optional.empty() : prices.of(open, channel));
            about = open.about(
                    price.map(its -> PriceText.of(its, current.writer())).orElse(""));
        } else {
            DesignSize size = designSize(typed);
            price = own.or(() -> channel == null
                    ? Optional.empty()
                    : prices.of(size.id(), size.sizeKey(), Optional.ofNullable(typed.clothId()), channel));
            about = new TicketTexts.About(
                    size.name(),
                    size.sizeName(),
                    typed.cloth().strip(),
                    Quality.GOOD,
                    Optional.of(size.id()),
                    size.sizeKey(),
                    Optional.empty(),
                    Optional.empty(),
                    price.map(its -> PriceText.of(its, current.writer())).orElse(""));
        }
        if (channel != null && price.isEmpty()) {
            fields.refuse(
                    place + "price",
                    typed.price(),
                    (about.quality() == Quality.SECOND
                                    ? "A second has no price of its own in the book"
                                    : "There is no price for this yet")
                            + ". Type what is to stand on “" + about.name() + "”.");
        }
        return new TicketLine(
                typed.goodsId(),
                typed.goodsId() == null && typed.batchId() != null && typed.lineNumber() != null
                        ? Optional.of(new TicketLine.LineOf(typed.batchId(), typed.lineNumber()))
                        : Optional.empty(),
                about.design().orElse(null),
                about.sizeKey(),
                price.map(Money::getAmountMinorLong).orElse(null),
                isOwn,
                units,
                reader.text(about, form.shown(), form.more()));
    }

    private record DesignSize(DesignId id, String name, String sizeKey, String sizeName) {}

    private DesignSize designSize(TicketLineForm typed) {
        if (typed.designId() == null || typed.sizeKey() == null) {
            throw RefusedException.conflict(
                    "A ticket is for bags that are there or in a batch, or for a size of a design. Choose one.");
        }
        DesignDocument document = designs.document(typed.designId());
        int index = document.indexOf(typed.sizeKey(), "")
                .orElseThrow(() -> RefusedException.missing("This design has no such size, or no longer."));
        return new DesignSize(
                typed.designId(),
                document.name(),
                typed.sizeKey(),
                document.sizes().size() == 1 ? "" : document.sizes().get(index));
    }

    private static Optional<LabelDrawing> set(TicketRun run, TicketLine line) {
        return LabelSetter.set(
                run.sheet().label(),
                line.words().parts(),
                run.code(),
                line.words().code());
    }

    /** What a line's tickets look like. */
    static LabelDrawing drawing(TicketRun run, TicketLine line) {
        return set(run, line).orElseThrow(() -> new IllegalStateException("a ticket that fitted doesn't any more"));
    }

    /** The sheets of a run as a PDF file. */
    @Transactional(readOnly = true)
    byte[] pdf(long id) {
        TicketRun run = find(id);
        List<LabelDrawing> labels = new ArrayList<>();
        for (TicketLine line : run.lines()) {
            LabelDrawing drawing = drawing(run, line);
            Stream.generate(() -> drawing).limit(line.units()).forEach(labels::add);
        }
        return LabelPaper.pdf(run.sheet(), run.used(), labels);
    }

    /** Tickets that came out badly or weren't stuck on: from now on as if they hadn't been printed. */
    @Transactional
    public void takeBack(long id) {
        runs.findForPrinting(id).orElseThrow(TicketService::none).takeBack();
    }

    @Transactional(readOnly = true)
    TicketRunView run(long id, @Nullable String trouble) {
        return view(find(id), trouble);
    }

    private TicketRun find(long id) {
        return runs.findById(id).orElseThrow(TicketService::none);
    }

    static RefusedException none() {
        return RefusedException.missing("There are no such tickets, or no longer.");
    }

    private TicketRunView view(TicketRun run, @Nullable String trouble) {
        List<String> names = run.lines().stream()
                .map(line -> line.words().about())
                .distinct()
                .toList();
        String about = names.stream().limit(NAMED).collect(Collectors.joining("; "))
                + (names.size() > NAMED ? " and " + (names.size() - NAMED) + " more" : "");
        return new TicketRunView(
                run.id(),
                LocalDate.ofInstant(run.madeAt(), clock.getZone()),
                run.target(),
                about,
                run.channelId().map(id -> channels.find(id).name()).orElse(""),
                run.units(),
                run.cameOut(),
                run.isTakenBack(),
                trouble);
    }
}
