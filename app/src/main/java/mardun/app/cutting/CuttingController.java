package mardun.app.cutting;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import mardun.app.cutting.CuttingViews.AimForm;
import mardun.app.cutting.CuttingViews.CuttingView;
import mardun.app.cutting.CuttingViews.MinutesForm;
import mardun.app.cutting.CuttingViews.SearchForm;
import mardun.app.cutting.CuttingViews.SearchView;
import mardun.app.cutting.CuttingViews.SpoiledForm;
import mardun.app.cutting.CuttingViews.TickForm;
import mardun.app.cutting.CuttingViews.WhatIfForm;
import mardun.app.cutting.CuttingViews.WhatIfView;
import mardun.app.id.BatchId;
import mardun.app.id.MaterialId;
import mardun.app.plan.LayoutDocument;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/batches/{id}/cutting")
@Tag(name = "cutting")
class CuttingController {

    private static final MediaType SVG = MediaType.valueOf("image/svg+xml");

    private final CuttingService cutting;
    private final CuttingMinutes minutes;

    CuttingController(CuttingService cutting, CuttingMinutes minutes) {
        this.cutting = cutting;
        this.minutes = minutes;
    }

    @GetMapping
    CuttingView readCutting(@PathVariable BatchId id) {
        return cutting.get(id);
    }

    /** Begins to search for layouts, or goes on with the search that is under way. */
    @PostMapping("/search")
    SearchView searchLayouts(@PathVariable BatchId id, @RequestBody @Valid SearchForm form) {
        return cutting.search(id, form);
    }

    @GetMapping("/search")
    SearchView readLayoutSearch(@PathVariable BatchId id) {
        return cutting.searching(id);
    }

    /** Stops a search; the best layouts so far are kept. */
    @PostMapping("/search/stop")
    SearchView stopLayoutSearch(@PathVariable BatchId id) {
        return cutting.stop(id);
    }

    @PutMapping("/aim")
    CuttingView chooseAim(@PathVariable BatchId id, @RequestBody @Valid AimForm form) {
        return cutting.choose(id, form.aim());
    }

    @PutMapping("/step")
    CuttingView tickStep(@PathVariable BatchId id, @RequestBody @Valid TickForm form) {
        return cutting.tick(id, form);
    }

    @PostMapping("/spoiled")
    CuttingView cutOnceMore(@PathVariable BatchId id, @RequestBody @Valid SpoiledForm form) {
        return cutting.spoiled(id, form);
    }

    /** Gives the design's steps at the cutting table the minutes that the sheets reckon. */
    @PostMapping("/minutes")
    CuttingView takeUpMinutes(@PathVariable BatchId id, @RequestBody @Valid MinutesForm form) {
        return minutes.takeUp(id, form);
    }

    @PostMapping("/what-if")
    WhatIfView askWhatIf(@PathVariable BatchId id, @RequestBody @Valid WhatIfForm form) {
        return cutting.whatIf(id, form);
    }

    /** The layout of a cloth as an open file. */
    @GetMapping("/{materialId}/layout")
    ResponseEntity<LayoutDocument> readLayout(@PathVariable BatchId id, @PathVariable MaterialId materialId) {
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, attachment(id, materialId, "json"))
                .body(cutting.layout(id, materialId));
    }

    /** Takes a layout from a file in the place of the one that is there; it must give just what the batch takes. */
    @PutMapping("/{materialId}/layout")
    CuttingView changeLayout(
            @PathVariable BatchId id,
            @PathVariable MaterialId materialId,
            @RequestBody @Valid LayoutDocument document) {
        return cutting.changeLayout(id, materialId, document);
    }

    /** The cutting sheet of a cloth as a drawing. */
    @GetMapping("/{materialId}/drawing")
    ResponseEntity<String> readDrawing(@PathVariable BatchId id, @PathVariable MaterialId materialId) {
        return ResponseEntity.ok()
                .contentType(SVG)
                .header(HttpHeaders.CONTENT_DISPOSITION, attachment(id, materialId, "svg"))
                .body(cutting.drawing(id, materialId));
    }

    /** The cutting sheets of a batch with their cuts in order, on paper. */
    @GetMapping("/print")
    ResponseEntity<byte[]> printCutting(@PathVariable BatchId id) {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"batch-" + id + "-cutting.pdf\"")
                .body(cutting.print(id));
    }

    private static String attachment(BatchId id, MaterialId materialId, String type) {
        return "attachment; filename=\"batch-" + id + "-cloth-" + materialId + "." + type + "\"";
    }
}
