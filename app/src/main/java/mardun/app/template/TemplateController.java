package mardun.app.template;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.constraints.Size;
import java.nio.charset.StandardCharsets;
import java.util.List;
import mardun.app.id.DesignId;
import mardun.app.template.TemplateService.Asked;
import mardun.app.template.TemplateViews.PaperKind;
import mardun.app.template.TemplateViews.SizesDrawn;
import mardun.app.template.TemplateViews.TemplatesView;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Templates of the pieces of a design, true to size. */
@RestController
@RequestMapping("/api/designs/{id}")
@Tag(name = "templates")
class TemplateController {

    private static final int MOST = 60;
    private static final int LONGEST = 40;

    private final TemplateService templates;

    TemplateController(TemplateService templates) {
        this.templates = templates;
    }

    @GetMapping("/templates")
    TemplatesView readTemplates(
            @PathVariable DesignId id,
            @RequestParam(defaultValue = "") @Size(max = MOST) List<Integer> sizes,
            @RequestParam(defaultValue = "") @Size(max = MOST) List<String> pieces,
            @RequestParam(defaultValue = "A4") PaperKind paper,
            @RequestParam(defaultValue = "") @Size(max = LONGEST) String rollWidth,
            @RequestParam(defaultValue = "APART") SizesDrawn drawn) {
        return templates.view(new Asked(id, sizes, pieces, paper, rollWidth, drawn));
    }

    @GetMapping(path = "/templates.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> printTemplates(
            @PathVariable DesignId id,
            @RequestParam(defaultValue = "") @Size(max = MOST) List<Integer> sizes,
            @RequestParam(defaultValue = "") @Size(max = MOST) List<String> pieces,
            @RequestParam(defaultValue = "A4") PaperKind paper,
            @RequestParam(defaultValue = "") @Size(max = LONGEST) String rollWidth,
            @RequestParam(defaultValue = "APART") SizesDrawn drawn) {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"templates-" + id + ".pdf\"")
                .body(templates.pdf(new Asked(id, sizes, pieces, paper, rollWidth, drawn)));
    }

    @GetMapping(path = "/templates.svg", produces = "image/svg+xml")
    ResponseEntity<byte[]> drawTemplates(
            @PathVariable DesignId id,
            @RequestParam(defaultValue = "") @Size(max = MOST) List<Integer> sizes,
            @RequestParam(defaultValue = "") @Size(max = MOST) List<String> pieces,
            @RequestParam(defaultValue = "A4") PaperKind paper,
            @RequestParam(defaultValue = "") @Size(max = LONGEST) String rollWidth,
            @RequestParam(defaultValue = "APART") SizesDrawn drawn) {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType("image/svg+xml"))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"templates-" + id + ".svg\"")
                .body(templates
                        .svg(new Asked(id, sizes, pieces, paper, rollWidth, drawn))
                        .getBytes(StandardCharsets.UTF_8));
    }
}
