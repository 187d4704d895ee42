package mardun.app.unsewn;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Size;
import mardun.app.show.PageView;
import mardun.app.unsewn.UnsewnViews.UnsewnForm;
import mardun.app.unsewn.UnsewnViews.UnsewnView;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/cut-pieces")
@Tag(name = "cut pieces")
class UnsewnController {

    private final UnsewnService unsewn;

    UnsewnController(UnsewnService unsewn) {
        this.unsewn = unsewn;
    }

    @GetMapping
    UnsewnView listCutPieces(
            @RequestParam(defaultValue = "") @Size(max = 120) String query,
            @RequestParam(defaultValue = "0") @Min(0) @Max(PageView.LAST) int page,
            @RequestParam(defaultValue = "100") @Min(1) @Max(PageView.LARGEST) int size) {
        return unsewn.list(query, page, size);
    }

    @PostMapping("/movements")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void moveCutPieces(@RequestBody @Valid UnsewnForm form) {
        unsewn.move(form);
    }
}
