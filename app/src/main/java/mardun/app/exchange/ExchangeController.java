package mardun.app.exchange;

import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import mardun.app.exchange.ExchangeViews.DesignBook;
import mardun.app.exchange.ExchangeViews.DesignFile;
import mardun.app.exchange.ExchangeViews.ImportedDesigns;
import mardun.app.id.DesignId;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.StreamingResponseBody;

/** Designs out and in as files. */
@RestController
@RequestMapping("/api")
@Tag(name = "exchange")
class ExchangeController {

    private static final int LONGEST_NAME = 120;
    private static final int MOST_CHOSEN = 500;

    private final DesignExchange exchange;

    ExchangeController(DesignExchange exchange) {
        this.exchange = exchange;
    }

    @ApiResponse(responseCode = "200", content = @Content(schema = @Schema(implementation = DesignFile.class)))
    @GetMapping(path = "/designs/{id}/design.json", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<byte[]> exportDesign(@PathVariable DesignId id) {
        return file("design-" + id + ".json", exchange.design(id));
    }

    /**
     * Designs as one file.
     *
     * @param ids which; none for all of them
     */
    @ApiResponse(responseCode = "200", content = @Content(schema = @Schema(implementation = DesignBook.class)))
    @GetMapping(path = "/design-book.json", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<byte[]> exportDesignBook(
            @RequestParam(defaultValue = "") @Size(max = MOST_CHOSEN) List<DesignId> ids) {
        return file("designs.json", exchange.book(Set.copyOf(ids)));
    }

    /**
     * Designs with their photos, as a ZIP file.
     *
     * @param ids which; none for all of them
     */
    @GetMapping(path = "/design-book.zip", produces = "application/zip")
    ResponseEntity<StreamingResponseBody> exportDesignsWithPhotos(
            @RequestParam(defaultValue = "") @Size(max = MOST_CHOSEN) List<DesignId> ids) {
        DesignExchange.WithPhotos book = exchange.withPhotos(Set.copyOf(ids));
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("application/zip"))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"designs.zip\"")
                .body(out -> DesignArchive.write(out, book.json(), book.files(), exchange::photo));
    }

    private static ResponseEntity<byte[]> file(String name, String text) {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_JSON)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + "\"")
                .body(text.getBytes(StandardCharsets.UTF_8));
    }

    /** Takes a design or a book of them in, under their names; a single one under another name where one is given. */
    @PostMapping(path = "/design-files", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    ImportedDesigns importDesigns(
            @RequestParam UUID requestId,
            @RequestParam(defaultValue = "") @Size(max = LONGEST_NAME) String name,
            InputStream file)
            throws IOException {
        try (SentFile sent = SentFile.of(file)) {
            return exchange.take(requestId, sent, name);
        }
    }
}
