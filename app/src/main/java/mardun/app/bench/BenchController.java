package mardun.app.bench;

import io.swagger.v3.oas.annotations.tags.Tag;
import mardun.app.bench.BenchViews.BenchView;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@Tag(name = "bench")
class BenchController {

    private final BenchService bench;

    BenchController(BenchService bench) {
        this.bench = bench;
    }

    @GetMapping("/api/bench")
    BenchView readBench() {
        return bench.bench();
    }
}
