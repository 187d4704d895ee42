package mardun.app.batch;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.List;
import java.util.Optional;
import mardun.app.batch.BatchViews.BatchForm;
import mardun.app.batch.BatchViews.BatchLine;
import mardun.app.batch.BatchViews.BatchReserved;
import mardun.app.batch.BatchViews.BatchSheet;
import mardun.app.batch.BatchViews.BatchView;
import mardun.app.batch.BatchViews.HoldForm;
import mardun.app.batch.BatchViews.Replacement;
import mardun.app.batch.BatchViews.StageForm;
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

    private final BatchService batches;

    BatchController(BatchService batches) {
        this.batches = batches;
    }

    @GetMapping("/batches")
    PageView<BatchLine> listBatches(
            @RequestParam Optional<Boolean> open,
            @RequestParam(defaultValue = "0") @Min(0) @Max(PageView.LAST) int page,
            @RequestParam(defaultValue = "50") @Min(1) @Max(PageView.LARGEST) int size) {
        return batches.list(open, page, size);
    }

    @PostMapping("/batches")
    @ResponseStatus(HttpStatus.CREATED)
    BatchView createBatch(@RequestBody @Valid BatchForm form) {
        return batches.create(form);
    }

    @PostMapping("/batches/preview")
    BatchSheet previewBatch(@RequestBody @Valid BatchForm form) {
        return batches.preview(form);
    }

    /** What else would serve in a slot of a batch, whatever state its form is in. */
    @PostMapping("/batches/replacements")
    List<Replacement> findReplacements(@RequestParam String slot, @RequestBody @Valid BatchForm form) {
        return batches.replacements(form, slot);
    }

    @GetMapping("/batches/{id}")
    BatchView readBatch(@PathVariable long id) {
        return batches.get(id);
    }

    @PutMapping("/batches/{id}")
    BatchView changeBatch(@PathVariable long id, @RequestBody @Valid BatchForm form) {
        return batches.change(id, form);
    }

    @DeleteMapping("/batches/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeBatch(@PathVariable long id, @RequestParam long version) {
        batches.remove(id, version);
    }

    @PostMapping("/batches/{id}/cut")
    BatchView cutBatch(@PathVariable long id, @RequestBody @Valid StageForm form) {
        return batches.cut(id, form);
    }

    @PostMapping("/batches/{id}/finish")
    BatchView finishBatch(@PathVariable long id, @RequestBody @Valid StageForm form) {
        return batches.finish(id, form);
    }

    @PostMapping("/batches/{id}/reserve")
    BatchReserved reserveForBatch(@PathVariable long id, @RequestBody @Valid HoldForm form) {
        return batches.reserve(id, form.version());
    }

    @PostMapping("/batches/{id}/release")
    BatchView releaseFromBatch(@PathVariable long id, @RequestBody @Valid HoldForm form) {
        return batches.release(id, form.version());
    }
}
