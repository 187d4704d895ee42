package mardun.app.gather;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import mardun.app.gather.GatherViews.GatherView;
import mardun.app.id.BatchId;
import mardun.app.paper.Paper;
import mardun.app.settings.SettingsService;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

@RestController
@RequestMapping("/api/batches/{id}")
@Tag(name = "gather")
class GatherController {

    private final GatherService gather;
    private final BenchPapers papers;
    private final SettingsService settings;

    GatherController(GatherService gather, BenchPapers papers, SettingsService settings) {
        this.gather = gather;
        this.papers = papers;
        this.settings = settings;
    }

    /** What is fetched before a batch is begun, and whether it can be begun. */
    @GetMapping("/gather")
    GatherView readGather(@PathVariable BatchId id) {
        return gather.of(id);
    }

    @GetMapping(path = "/gather.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> printGather(
            @PathVariable BatchId id, @RequestParam(required = false) Paper.@Nullable Size paper) {
        return file("gather-" + id, papers.gatherSheet(id, size(paper), bench(id)));
    }

    @GetMapping(path = "/step-cards.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> printStepCards(
            @PathVariable BatchId id, @RequestParam(required = false) Paper.@Nullable Size paper) {
        return file("step-cards-" + id, papers.stepCards(id, size(paper), bench(id)));
    }

    @GetMapping(path = "/bundle-tickets.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> printBundleTickets(
            @PathVariable BatchId id,
            @RequestParam(defaultValue = "5") @Min(1) @Max(5000) int bags,
            @RequestParam(required = false) Paper.@Nullable Size paper) {
        return file("bundle-tickets-" + id, papers.bundleTickets(id, bags, size(paper), bench(id)));
    }

    private Paper.Size size(Paper.@Nullable Size asked) {
        return asked == null ? Paper.Size.of(settings.current().unitSystem()) : asked;
    }

    /** Where the batch is worked on, as whoever asks reaches Mardun. */
    private static String bench(BatchId id) {
        return ServletUriComponentsBuilder.fromCurrentContextPath()
                .path("/bench/work/" + id)
                .toUriString();
    }

    private static ResponseEntity<byte[]> file(String name, byte[] pdf) {
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline()
                                .filename(name + ".pdf")
                                .build()
                                .toString())
                .body(pdf);
    }
}
