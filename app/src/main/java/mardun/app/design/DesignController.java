package mardun.app.design;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import mardun.app.design.DesignViews.ChangedDesign;
import mardun.app.design.DesignViews.DesignLine;
import mardun.app.design.DesignViews.DesignSheet;
import mardun.app.design.DesignViews.DesignView;
import mardun.app.design.DesignViews.NewDesign;
import mardun.app.design.DesignViews.PreviewedDesign;
import mardun.app.show.PageView;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/designs")
@Tag(name = "designs")
class DesignController {

    private final DesignService designs;

    DesignController(DesignService designs) {
        this.designs = designs;
    }

    @GetMapping
    PageView<DesignLine> listDesigns(
            @RequestParam(defaultValue = "0") @Min(0) int page,
            @RequestParam(defaultValue = "100") @Min(1) @Max(PageView.LARGEST) int size) {
        return designs.list(page, size);
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    DesignView beginDesign(@RequestBody @Valid NewDesign form) {
        return designs.begin(form);
    }

    @GetMapping("/{id}")
    DesignView readDesign(@PathVariable long id) {
        return designs.get(id);
    }

    @PutMapping("/{id}")
    DesignView changeDesign(@PathVariable long id, @RequestBody @Valid ChangedDesign form) {
        return designs.change(id, form);
    }

    @PostMapping("/preview")
    DesignSheet previewDesign(@RequestBody @Valid PreviewedDesign form) {
        return designs.preview(form.document());
    }
}
