package mardun.app.batch;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import mardun.app.batch.BatchReading.BatchList;
import mardun.app.batch.BatchViews.BatchForm;
import mardun.app.batch.BatchViews.BatchReserved;
import mardun.app.batch.BatchViews.BatchRow;
import mardun.app.batch.BatchViews.BatchSheet;
import mardun.app.batch.BatchViews.BatchView;
import mardun.app.batch.BatchViews.CutForm;
import mardun.app.batch.BatchViews.CutShortForm;
import mardun.app.batch.BatchViews.FinishForm;
import mardun.app.batch.BatchViews.FirstForm;
import mardun.app.batch.BatchViews.HoldForm;
import mardun.app.batch.BatchViews.JoinForm;
import mardun.app.batch.BatchViews.KitForm;
import mardun.app.batch.BatchViews.MarginalView;
import mardun.app.batch.BatchViews.Replacement;
import mardun.app.batch.BatchViews.SplitForm;
import mardun.app.batch.BatchViews.TakeDesignForm;
import mardun.app.batch.BatchViews.TakeUpForm;
import mardun.app.batch.OrderViews.OrderView;
import mardun.app.batch.OrderViews.Saving;
import mardun.app.batch.OrderViews.WishesForm;
import mardun.app.batch.StartViews.StartView;
import mardun.app.design.TicketView;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.show.PageView;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
@Tag(name = "batches")
class BatchController {

    private final BatchReading reading;
    private final BatchEntry entry;
    private final Replacements replacements;
    private final ClothCutting cutting;
    private final Finishing finishing;
    private final CuttingShort cuttingShort;
    private final Kits kits;
    private final Splitting splitting;
    private final Pausing pausing;
    private final GivingUp givingUp;
    private final Marginals marginals;
    private final Starting starting;
    private final Reserving reserving;
    private final WorkOrders orders;
    private final PlannedDesigns plannedDesigns;
    private final DoingFirst doingFirst;

    BatchController(
            BatchReading reading,
            BatchEntry entry,
            Replacements replacements,
            ClothCutting cutting,
            Finishing finishing,
            CuttingShort cuttingShort,
            Kits kits,
            Splitting splitting,
            Pausing pausing,
            GivingUp givingUp,
            Marginals marginals,
            Starting starting,
            Reserving reserving,
            WorkOrders orders,
            PlannedDesigns plannedDesigns,
            DoingFirst doingFirst) {
        this.reading = reading;
        this.entry = entry;
        this.replacements = replacements;
        this.cutting = cutting;
        this.finishing = finishing;
        this.cuttingShort = cuttingShort;
        this.kits = kits;
        this.splitting = splitting;
        this.pausing = pausing;
        this.givingUp = givingUp;
        this.marginals = marginals;
        this.starting = starting;
        this.reserving = reserving;
        this.orders = orders;
        this.plannedDesigns = plannedDesigns;
        this.doingFirst = doingFirst;
    }

    @GetMapping("/batches")
    PageView<BatchRow> listBatches(
            @RequestParam Optional<BatchList> list,
            @RequestParam(defaultValue = "") @Size(max = 120) String q,
            @RequestParam Optional<DesignId> design,
            @RequestParam(name = "for", defaultValue = "") @Size(max = 120) String forWhat,
            @RequestParam(defaultValue = "0") @Min(0) @Max(PageView.LAST) int page,
            @RequestParam(defaultValue = "50") @Min(1) @Max(PageView.LARGEST) int size) {
        return reading.list(list, q, design, forWhat, page, size);
    }

    @PostMapping("/batches")
    @ResponseStatus(HttpStatus.CREATED)
    BatchView createBatch(@RequestBody @Valid BatchForm form) {
        return reading.get(entry.create(form));
    }

    @PostMapping("/batches/preview")
    BatchSheet previewBatch(@RequestBody @Valid BatchForm form) {
        return reading.preview(form);
    }

    /** The ticket of one line of a batch that is being planned. */
    @PostMapping("/batches/preview/ticket")
    TicketView previewTicket(@RequestParam(defaultValue = "0") @Min(0) int line, @RequestBody @Valid BatchForm form) {
        return reading.previewTicket(form, line);
    }

    @GetMapping("/batches/{id}/tickets/{line}")
    TicketView readTicket(@PathVariable BatchId id, @PathVariable int line) {
        return reading.ticket(id, line);
    }

    /** What else would serve in a slot of a line of a batch, whatever state its form is in. */
    @PostMapping("/batches/replacements")
    List<Replacement> findReplacements(
            @RequestParam(defaultValue = "0") @Min(0) int line,
            @RequestParam String slot,
            @RequestBody @Valid BatchForm form) {
        return replacements.of(form, line, slot);
    }

    /** What one bag more and one fewer of a line would change, whatever state the form is in. */
    @PostMapping("/batches/marginal")
    MarginalView readMarginal(@RequestParam(defaultValue = "0") @Min(0) int line, @RequestBody @Valid BatchForm form) {
        return marginals.of(form, line);
    }

    /** How many bags of a line to begin so that enough come out as likely as is asked for, in percent. */
    @PostMapping("/batches/starting")
    StartView readStarting(
            @RequestParam(defaultValue = "0") @Min(0) int line,
            @RequestParam(defaultValue = "90") @Min(50) @Max(99) int likelihood,
            @RequestBody @Valid BatchForm form) {
        return starting.of(form, line, likelihood);
    }

    @GetMapping("/batches/{id}")
    BatchView readBatch(@PathVariable BatchId id) {
        return reading.get(id);
    }

    /** The order of work of a batch while it is typed. */
    @PostMapping("/batches/order")
    OrderView previewOrder(@RequestBody @Valid BatchForm form) {
        return orders.preview(form);
    }

    /** The order of work of what is still to be done. */
    @GetMapping("/batches/{id}/order")
    OrderView readOrder(@PathVariable BatchId id) {
        return orders.of(id);
    }

    @PutMapping("/batches/{id}")
    BatchView changeBatch(@PathVariable BatchId id, @RequestBody @Valid BatchForm form) {
        entry.change(id, form);
        return reading.get(id);
    }

    @DeleteMapping("/batches/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeBatch(@PathVariable BatchId id, @RequestParam long version) {
        givingUp.remove(id, version);
    }

    @PostMapping("/batches/{id}/cut")
    BatchView cutBatch(@PathVariable BatchId id, @RequestBody @Valid CutForm form) {
        cutting.cut(id, form);
        return reading.get(id);
    }

    @PostMapping("/batches/{id}/finish")
    BatchView finishBatch(@PathVariable BatchId id, @RequestBody @Valid FinishForm form) {
        finishing.finish(id, form);
        return reading.get(id);
    }

    /** Keeps what is wanted of a batch's order of work, whatever it costs; answers the order. */
    @PutMapping("/batches/{id}/wishes")
    OrderView changeWishes(@PathVariable BatchId id, @RequestBody @Valid WishesForm form) {
        orders.wish(id, form);
        return orders.of(id);
    }

    /** Whether one bag is sewn to the end and measured before the others are begun. */
    @PutMapping("/batches/{id}/one-first")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void sewOneFirst(@PathVariable BatchId id, @RequestParam boolean on) {
        orders.oneFirst(id, on);
    }

    /** What could be done without changing the machine, and what that would save. */
    @GetMapping("/batches/{id}/order/savings")
    List<Saving> listSavings(@PathVariable BatchId id) {
        return orders.savings(id);
    }

    /** Plans a batch with one of its designs as it is now. */
    @PostMapping("/batches/{id}/take-design")
    BatchView takeDesign(@PathVariable BatchId id, @RequestBody @Valid TakeDesignForm form) {
        plannedDesigns.take(id, form);
        return reading.get(id);
    }

    /** Parts bags off into a batch of their own; answers the new one. */
    @PostMapping("/batches/{id}/split")
    BatchView splitBatch(@PathVariable BatchId id, @RequestBody @Valid SplitForm form) {
        return reading.get(splitting.split(id, form));
    }

    /** Takes another planned batch into this one, or puts back what was parted off it. */
    @PostMapping("/batches/{id}/join")
    BatchView joinBatches(@PathVariable BatchId id, @RequestBody @Valid JoinForm form) {
        splitting.join(id, form);
        return reading.get(id);
    }

    /** A planned batch isn't made; it can be taken up again. */
    @PostMapping("/batches/{id}/give-up")
    BatchView giveUpBatch(@PathVariable BatchId id, @RequestBody @Valid HoldForm form) {
        givingUp.giveUp(id, form.version());
        return reading.get(id);
    }

    /** A batch that was given up is planned again. */
    @PostMapping("/batches/{id}/plan-again")
    BatchView planBatchAgain(@PathVariable BatchId id, @RequestBody @Valid HoldForm form) {
        givingUp.takeUpAgain(id, form.version());
        return reading.get(id);
    }

    /** Bags aren't made though their cloth is cut. */
    @PostMapping("/batches/{id}/cut-short")
    BatchView cutBatchShort(@PathVariable BatchId id, @RequestBody @Valid CutShortForm form) {
        cuttingShort.cutShort(id, form);
        return reading.get(id);
    }

    /** Bags whose cut pieces were put by are made after all. */
    @PostMapping("/batches/{id}/take-up")
    BatchView takeUpBags(@PathVariable BatchId id, @RequestBody @Valid TakeUpForm form) {
        cuttingShort.takeUp(id, form);
        return reading.get(id);
    }

    /** Cut pieces that were put by become kits. */
    @PostMapping("/batches/{id}/kits")
    BatchView bundleKits(@PathVariable BatchId id, @RequestBody @Valid KitForm form) {
        kits.bundle(id, form);
        return reading.get(id);
    }

    @PutMapping("/batches/{id}/first")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void putBatchFirst(@PathVariable BatchId id, @RequestBody @Valid FirstForm form) {
        doingFirst.put(id, form);
    }

    @PostMapping("/batches/{id}/pause")
    BatchView pauseBatch(@PathVariable BatchId id, @RequestBody @Valid HoldForm form) {
        pausing.pause(id, form.version());
        return reading.get(id);
    }

    @PostMapping("/batches/{id}/resume")
    BatchView resumeBatch(@PathVariable BatchId id, @RequestBody @Valid HoldForm form) {
        pausing.resume(id, form.version());
        return reading.get(id);
    }

    @PostMapping("/batches/{id}/reserve")
    BatchReserved reserveForBatch(@PathVariable BatchId id, @RequestBody @Valid HoldForm form) {
        List<String> missing = reserving.reserve(id, form.version());
        return new BatchReserved(reading.get(id), missing);
    }

    @PostMapping("/batches/{id}/release")
    BatchView releaseFromBatch(@PathVariable BatchId id, @RequestBody @Valid HoldForm form) {
        reserving.release(id, form.version());
        return reading.get(id);
    }
}
