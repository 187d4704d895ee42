package mardun.app.bench;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import mardun.app.batch.CutAgainViews.CutAgainView;
import mardun.app.bench.BenchViews.BenchView;
import mardun.app.bench.WorkViews.WorkForm;
import mardun.app.bench.WorkViews.WorkView;
import mardun.app.id.BatchId;
import mardun.app.id.DesignId;
import mardun.app.picture.Pictures;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@Tag(name = "bench")
class BenchController {

    private final BenchService bench;
    private final WorkService work;
    private final StepPhotos photos;

    BenchController(BenchService bench, WorkService work, StepPhotos photos) {
        this.bench = bench;
        this.work = work;
        this.photos = photos;
    }

    @GetMapping("/api/bench")
    BenchView readBench() {
        return bench.bench();
    }

    /** From what pieces of a line can be cut once more after its cloth was cut. */
    @GetMapping("/api/bench/cut-again")
    CutAgainView readCutAgain(
            @RequestParam BatchId batch,
            @RequestParam @Min(1) int line,
            @RequestParam @Min(1) @Max(1000) int bags,
            @RequestParam(defaultValue = "") @Size(max = 60) List<@Size(max = 10) String> pieces,
            @RequestParam(defaultValue = "false") boolean whole) {
        return work.cutAgain(batch, line, pieces, whole, bags);
    }

    /** A photo of how a step is done, as a file. */
    @GetMapping("/api/bench/step-photo")
    ResponseEntity<byte[]> readStepPhoto(@RequestParam DesignId design, @RequestParam @Size(max = 300) String step) {
        return photos.get(design, step);
    }

    @PutMapping(path = "/api/bench/step-photo", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changeStepPhoto(@RequestParam DesignId design, @RequestParam @Size(max = 300) String step, InputStream file)
            throws IOException {
        photos.put(design, step, file.readNBytes(Pictures.MOST_BYTES + 1));
    }

    @DeleteMapping("/api/bench/step-photo")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeStepPhoto(@RequestParam DesignId design, @RequestParam @Size(max = 300) String step) {
        photos.remove(design, step);
    }

    @PostMapping("/api/bench/work")
    WorkView tellWork(@Valid @RequestBody WorkForm form) {
        return work.work(form);
    }
}
