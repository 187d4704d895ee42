package mardun.app.bench;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Size;
import java.util.List;
import mardun.app.batch.CutAgainViews.CutAgainView;
import mardun.app.bench.BenchViews.BenchView;
import mardun.app.bench.WorkViews.WorkForm;
import mardun.app.bench.WorkViews.WorkView;
import mardun.app.id.BatchId;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@Tag(name = "bench")
class BenchController {

    private final BenchService bench;
    private final WorkService work;

    BenchController(BenchService bench, WorkService work) {
        this.bench = bench;
        this.work = work;
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

    @PostMapping("/api/bench/work")
    WorkView tellWork(@Valid @RequestBody WorkForm form) {
        return work.work(form);
    }
}
