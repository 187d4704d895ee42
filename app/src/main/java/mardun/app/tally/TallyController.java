package mardun.app.tally;

import io.swagger.v3.oas.annotations.tags.Tag;
import mardun.app.id.BatchId;
import mardun.app.tally.TallyViews.TallyView;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/batches/{id}/tally")
@Tag(name = "tally")
class TallyController {

    private final TallyService tally;

    TallyController(TallyService tally) {
        this.tally = tally;
    }

    /** What became of a batch, against what was planned. */
    @GetMapping
    TallyView readTally(@PathVariable BatchId id) {
        return tally.of(id);
    }
}
