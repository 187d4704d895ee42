package mardun.app.buying;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import java.nio.charset.StandardCharsets;
import java.util.List;
import mardun.app.buying.BuyingViews.BuyingView;
import mardun.app.buying.BuyingViews.OfferForm;
import mardun.app.buying.BuyingViews.OfferView;
import mardun.app.buying.BuyingViews.SupplierForm;
import mardun.app.buying.BuyingViews.SupplierView;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
@Tag(name = "buying")
class BuyingController {

    private static final MediaType CSV = new MediaType("text", "csv", StandardCharsets.UTF_8);

    private final BuyingService buying;
    private final SupplierService suppliers;

    BuyingController(BuyingService buying, SupplierService suppliers) {
        this.buying = buying;
        this.suppliers = suppliers;
    }

    @GetMapping("/buying")
    BuyingView readBuyingList() {
        return buying.list();
    }

    @GetMapping(path = "/buying.csv", produces = "text/csv")
    ResponseEntity<String> downloadBuyingList() {
        return ResponseEntity.ok()
                .contentType(CSV)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("to-buy.csv")
                                .build()
                                .toString())
                .body(buying.csv());
    }

    @GetMapping("/suppliers")
    List<SupplierView> listSuppliers() {
        return suppliers.list();
    }

    @PostMapping("/suppliers")
    @ResponseStatus(HttpStatus.CREATED)
    SupplierView createSupplier(@RequestBody @Valid SupplierForm form) {
        return suppliers.create(form);
    }

    @PutMapping("/suppliers/{id}")
    SupplierView changeSupplier(@PathVariable long id, @RequestBody @Valid SupplierForm form) {
        return suppliers.change(id, form);
    }

    @GetMapping("/materials/{id}/offers")
    List<OfferView> listOffers(@PathVariable long id) {
        return suppliers.offers(id);
    }

    /** Enters a pack; answers all packs of the material. */
    @PostMapping("/materials/{id}/offers")
    @ResponseStatus(HttpStatus.CREATED)
    List<OfferView> createOffer(@PathVariable long id, @RequestBody @Valid OfferForm form) {
        return suppliers.offer(id, form);
    }

    @DeleteMapping("/offers/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeOffer(@PathVariable long id) {
        suppliers.withdraw(id);
    }
}
