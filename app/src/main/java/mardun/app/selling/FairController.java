package mardun.app.selling;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import mardun.app.id.FairId;
import mardun.app.selling.FairViews.CheckDone;
import mardun.app.selling.FairViews.FairForm;
import mardun.app.selling.FairViews.FairView;
import mardun.app.selling.FairViews.FairsView;
import mardun.app.selling.FairViews.NewCheck;
import mardun.app.selling.FairViews.NewFair;
import mardun.app.show.PageView;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
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
@RequestMapping("/api/fairs")
@Tag(name = "fairs")
class FairController {

    private final FairService fairs;

    FairController(FairService fairs) {
        this.fairs = fairs;
    }

    @GetMapping
    FairsView listFairs(
            @RequestParam(defaultValue = "") String query,
            @RequestParam(defaultValue = "0") @Min(0) @Max(PageView.LAST) int page,
            @RequestParam(defaultValue = "50") @Min(1) @Max(PageView.LARGEST) int size) {
        return fairs.list(query, page, size);
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    FairView createFair(@RequestBody @Valid NewFair form) {
        return fairs.create(form);
    }

    @GetMapping("/{id}")
    FairView getFair(@PathVariable FairId id) {
        return fairs.get(id);
    }

    @PutMapping("/{id}")
    FairView saveFair(@PathVariable FairId id, @RequestBody @Valid FairForm form) {
        return fairs.save(id, form);
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeFair(@PathVariable FairId id) {
        fairs.remove(id);
    }

    @PostMapping("/{id}/checks")
    @ResponseStatus(HttpStatus.CREATED)
    FairView addFairCheck(@PathVariable FairId id, @RequestBody @Valid NewCheck form) {
        return fairs.addCheck(id, form);
    }

    @PutMapping("/{id}/checks/{check}")
    FairView tickFairCheck(@PathVariable FairId id, @PathVariable long check, @RequestBody @Valid CheckDone form) {
        return fairs.tick(id, check, form.done());
    }

    @DeleteMapping("/{id}/checks/{check}")
    FairView removeFairCheck(@PathVariable FairId id, @PathVariable long check) {
        return fairs.removeCheck(id, check);
    }
}
