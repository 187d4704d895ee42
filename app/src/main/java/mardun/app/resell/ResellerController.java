package mardun.app.resell;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import java.util.List;
import java.util.UUID;
import mardun.app.resell.ResellerViews.BringForm;
import mardun.app.resell.ResellerViews.NewReseller;
import mardun.app.resell.ResellerViews.ResellerForm;
import mardun.app.resell.ResellerViews.ResellerRow;
import mardun.app.resell.ResellerViews.ResellerView;
import mardun.app.resell.ResellerViews.SoldThereForm;
import mardun.app.resell.ResellerViews.SoldThereSum;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/resellers")
@Tag(name = "resellers")
class ResellerController {

    private final ResellerService resellers;

    ResellerController(ResellerService resellers) {
        this.resellers = resellers;
    }

    @GetMapping
    List<ResellerRow> listResellers() {
        return resellers.list();
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    ResellerView addReseller(@Valid @RequestBody NewReseller form) {
        return resellers.get(resellers.add(form));
    }

    /** A reseller with what lies there, and what to bring and to take back. */
    @GetMapping("/{id}")
    ResellerView readReseller(@PathVariable long id) {
        return resellers.get(id);
    }

    @PutMapping("/{id}")
    ResellerView changeReseller(@PathVariable long id, @Valid @RequestBody ResellerForm form) {
        resellers.change(id, form);
        return resellers.get(id);
    }

    /** What sold bags come to; nothing is kept. */
    @PostMapping("/{id}/settlements/preview")
    SoldThereSum previewSettlement(@PathVariable long id, @Valid @RequestBody SoldThereForm form) {
        return resellers.preview(id, form);
    }

    /** What was sold there leaves the book as a sale on the reseller's terms. */
    @PostMapping("/{id}/settlements")
    @ResponseStatus(HttpStatus.CREATED)
    ResellerView settleWithReseller(@PathVariable long id, @Valid @RequestBody SoldThereForm form) {
        resellers.settle(id, form);
        return resellers.get(id);
    }

    /** A settlement was wrong: its bags lie there again. */
    @PostMapping("/{id}/settlements/{settlement}/undo")
    ResellerView takeSettlementBack(@PathVariable long id, @PathVariable UUID settlement) {
        resellers.takeBack(id, settlement);
        return resellers.get(id);
    }

    /** Bags go there from home, or come back home. */
    @PostMapping("/{id}/moves")
    ResellerView bringToReseller(@PathVariable long id, @Valid @RequestBody BringForm form) {
        resellers.bring(id, form);
        return resellers.get(id);
    }
}
