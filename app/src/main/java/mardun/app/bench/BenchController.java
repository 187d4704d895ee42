package mardun.app.bench;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import mardun.app.bench.BenchViews.BenchView;
import mardun.app.bench.WorkViews.WorkForm;
import mardun.app.bench.WorkViews.WorkView;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
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

    @PostMapping("/api/bench/work")
    WorkView tellWork(@Valid @RequestBody WorkForm form) {
        return work.work(form);
    }
}
