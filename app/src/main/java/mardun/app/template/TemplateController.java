package mardun.app.template;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import java.nio.charset.StandardCharsets;
import mardun.app.id.DesignId;
import mardun.app.template.TemplateViews.Asked;
import mardun.app.template.TemplateViews.TemplatesView;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Templates of the pieces of a design, true to size. */
@RestController
@RequestMapping("/api/designs/{id}")
@Tag(name = "templates")
class TemplateController {

    private final TemplateService templates;

    TemplateController(TemplateService templates) {
        this.templates = templates;
    }

    @GetMapping("/templates")
    TemplatesView readTemplates(@PathVariable DesignId id, @Valid @ParameterObject Asked asked) {
        return templates.view(id, asked);
    }

    @GetMapping(path = "/templates.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> printTemplates(@PathVariable DesignId id, @Valid @ParameterObject Asked asked) {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"templates-" + id + ".pdf\"")
                .body(templates.pdf(id, asked));
    }

    @GetMapping(path = "/templates.svg", produces = "image/svg+xml")
    ResponseEntity<byte[]> drawTemplates(@PathVariable DesignId id, @Valid @ParameterObject Asked asked) {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("image/svg+xml"))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"templates-" + id + ".svg\"")
                .body(templates.svg(id, asked).getBytes(StandardCharsets.UTF_8));
    }
}
