package mardun.app.pattern;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Optional;
import mardun.app.id.DesignId;
import mardun.app.paper.Paper;
import mardun.app.settings.SettingsService;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Designs on paper. */
@RestController
@RequestMapping("/api/designs/{id}")
@Tag(name = "templates")
class PatternController {

    private final PatternSheets sheets;
    private final SettingsService settings;

    PatternController(PatternSheets sheets, SettingsService settings) {
        this.sheets = sheets;
        this.settings = settings;
    }

    /**
     * A design on paper, in one of its sizes.
     *
     * @param size its place among the sizes, from 0
     * @param units for how many bags materials are told beside those for one
     * @param paper absent for what is usual
     * @param picks keys of alternatives that are taken where the design leaves something open; absent for the usual
     */
    @GetMapping(path = "/pattern-sheet.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> printPatternSheet(
            @PathVariable DesignId id,
            @RequestParam(defaultValue = "0") @Min(0) @Max(200) int size,
            @RequestParam(defaultValue = "1") @Min(1) @Max(5000) int units,
            @RequestParam Optional<Paper.Size> paper,
            @RequestParam(required = false) @Size(max = 60) @Nullable List<@Size(max = 40) String> picks) {
        Paper.Size on = paper.orElseGet(() -> Paper.Size.of(settings.current().unitSystem()));
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"pattern-" + id + ".pdf\"")
                .body(sheets.pdf(id, size, units, on, picks == null ? List.of() : picks));
    }
}
