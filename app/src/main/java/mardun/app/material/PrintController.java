package mardun.app.material;

import jakarta.validation.Valid;
import mardun.app.id.MaterialId;
import mardun.app.material.PrintViews.PlaceInRepeat;
import mardun.app.material.PrintViews.PointedAt;
import mardun.app.material.PrintViews.PrintForm;
import mardun.app.material.PrintViews.PrintView;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The parts of a cloth's print that pieces may have to show. */
@RestController
@RequestMapping("/api/materials/{id}/print")
class PrintController {

    private final PrintService prints;

    PrintController(PrintService prints) {
        this.prints = prints;
    }

    @GetMapping
    PrintView readPrint(@PathVariable MaterialId id) {
        return prints.get(id);
    }

    @PutMapping
    PrintView changePrint(@PathVariable MaterialId id, @RequestBody @Valid PrintForm form) {
        return prints.put(id, form);
    }

    /** Tells where in a repeat a point of the photo is; stores nothing. */
    @PostMapping("/place")
    PlaceInRepeat placeInPrint(@PathVariable MaterialId id, @RequestBody @Valid PointedAt at) {
        return prints.pointedAt(id, at);
    }
}
