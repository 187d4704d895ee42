package mardun.app.price;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import mardun.app.id.ChannelId;
import mardun.app.id.DesignId;
import mardun.app.id.MaterialId;
import mardun.app.price.PriceViews.AwayForm;
import mardun.app.price.PriceViews.BargainsView;
import mardun.app.price.PriceViews.BookView;
import mardun.app.price.PriceViews.ChannelForm;
import mardun.app.price.PriceViews.ChannelView;
import mardun.app.price.PriceViews.ChoiceForm;
import mardun.app.price.PriceViews.CompareForm;
import mardun.app.price.PriceViews.ComparedView;
import mardun.app.price.PriceViews.NewChannelForm;
import mardun.app.price.PriceViews.OverheadsForm;
import mardun.app.price.PriceViews.OverheadsView;
import mardun.app.price.PriceViews.PriceSheetView;
import mardun.app.price.PriceViews.SeenForm;
import mardun.app.price.PriceViews.SetForm;
import mardun.app.price.PriceViews.StepForm;
import mardun.app.price.PriceViews.SteppedView;
import mardun.app.price.PriceViews.WhatIfPrices;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@Tag(name = "prices")
class PriceController {

    private final ChannelService channels;
    private final PriceChoices choices;
    private final PriceBook book;
    private final PriceSheets sheets;
    private final PriceWhatIf whatIf;
    private final PriceBargains bargains;
    private final OverheadSheets overheads;

    PriceController(
            ChannelService channels,
            PriceChoices choices,
            PriceBook book,
            PriceSheets sheets,
            PriceWhatIf whatIf,
            PriceBargains bargains,
            OverheadSheets overheads) {
        this.channels = channels;
        this.choices = choices;
        this.book = book;
        this.sheets = sheets;
        this.whatIf = whatIf;
        this.bargains = bargains;
        this.overheads = overheads;
    }

    @GetMapping("/api/channels")
    List<ChannelView> listChannels() {
        return channels.all();
    }

    @PostMapping("/api/channels")
    @ResponseStatus(HttpStatus.CREATED)
    ChannelView addChannel(@Valid @RequestBody NewChannelForm form) {
        return channels.add(form);
    }

    @PutMapping("/api/channels/{id}")
    ChannelView changeChannel(@PathVariable ChannelId id, @Valid @RequestBody ChannelForm form) {
        return channels.change(id, form);
    }

    @PutMapping("/api/channels/{id}/away")
    ChannelView putChannelAway(@PathVariable ChannelId id, @Valid @RequestBody AwayForm form) {
        return channels.putAway(id, form.version(), form.putAway());
    }

    @GetMapping("/api/prices/choice")
    ChoiceForm readChoice() {
        return choices.form();
    }

    @PutMapping("/api/prices/choice")
    ChoiceForm changeChoice(@Valid @RequestBody ChoiceForm form) {
        return choices.choose(form);
    }

    /** The yearly sheet of overheads and what an hour bears of it. */
    @GetMapping("/api/prices/overheads")
    OverheadsView readOverheads() {
        return overheads.sheet();
    }

    @PutMapping("/api/prices/overheads")
    OverheadsView changeOverheads(@Valid @RequestBody OverheadsForm form) {
        return overheads.change(form);
    }

    /** The price book of a channel; of the usual one where none is named. */
    @GetMapping("/api/prices/book")
    BookView readBook(@RequestParam(required = false) @Nullable ChannelId channel) {
        return book.book(channel);
    }

    /** Sets prices from now on; an empty one is the school's. */
    @PostMapping("/api/prices")
    BookView setPrices(@Valid @RequestBody SetForm form) {
        book.set(form);
        return book.book(form.prices().get(0).place().channelId());
    }

    /** Some bags of the book side by side: which of them leaves the most; nothing is set. */
    @PostMapping("/api/prices/compare")
    ComparedView comparePrices(@Valid @RequestBody CompareForm form) {
        return book.compare(form.places());
    }

    /** What prices become when they go up or down together; nothing is set. */
    @PostMapping("/api/prices/step")
    List<SteppedView> stepPrices(@Valid @RequestBody StepForm form) {
        return book.step(form);
    }

    /** One size of a design and its price from all sides. */
    @GetMapping("/api/prices/sheet")
    PriceSheetView readSheet(
            @RequestParam DesignId design,
            @RequestParam @Size(max = 60) String size,
            @RequestParam(required = false) @Nullable MaterialId cloth,
            @RequestParam(required = false) @Nullable ChannelId channel,
            @RequestParam(required = false) @Min(1) @Max(10_000) @Nullable Integer units) {
        return sheets.sheet(design, size, cloth, channel, units);
    }

    /** How a price would be if something were otherwise, beside how it is; nothing of it is kept. */
    @GetMapping("/api/prices/what-if")
    WhatIfPrices readWhatIfPrices(
            @RequestParam DesignId design,
            @RequestParam @Size(max = 60) String size,
            @RequestParam(required = false) @Nullable MaterialId cloth,
            @RequestParam(required = false) @Nullable ChannelId channel,
            @RequestParam(required = false) @Nullable ChannelId otherChannel,
            @RequestParam @Size(max = 60) String price,
            @RequestParam(defaultValue = "") @Size(max = 60) String material,
            @RequestParam(defaultValue = "") @Size(max = 60) String rate,
            @RequestParam(defaultValue = "") @Size(max = 60) String faster,
            @RequestParam(defaultValue = "") @Size(max = 60) String units) {
        return whatIf.of(new PriceWhatIf.Asked(
                design, size, cloth, channel, otherChannel, price, material, rate, faster, units));
    }

    /** What a set, free postage, or letting a bag go at the day's end would leave; nothing of it is kept. */
    @GetMapping("/api/prices/bargains")
    BargainsView readBargains(
            @RequestParam DesignId design,
            @RequestParam @Size(max = 60) String size,
            @RequestParam(required = false) @Nullable MaterialId cloth,
            @RequestParam(required = false) @Nullable ChannelId channel,
            @RequestParam @Size(max = 60) String price,
            @RequestParam(defaultValue = "") @Size(max = 60) String units,
            @RequestParam(defaultValue = "") @Size(max = 60) String together,
            @RequestParam(required = false) @Nullable ChannelId later,
            @RequestParam(defaultValue = "") @Size(max = 60) String laterPrice,
            @RequestParam(defaultValue = "") @Size(max = 60) String likelihood) {
        return bargains.of(new PriceBargains.Asked(
                design, size, cloth, channel, price, units, together, later, laterPrice, likelihood));
    }

    @PostMapping("/api/prices/seen")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void seePrice(@Valid @RequestBody SeenForm form) {
        sheets.see(form);
    }

    @DeleteMapping("/api/prices/seen/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void forgetPrice(@PathVariable UUID id) {
        sheets.forget(id);
    }
}
