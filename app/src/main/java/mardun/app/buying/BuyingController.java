package mardun.app.buying;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import java.util.List;
import mardun.app.buying.BuyingViews.BuyingView;
import mardun.app.buying.BuyingViews.OfferForm;
import mardun.app.buying.BuyingViews.OfferView;
import mardun.app.buying.BuyingViews.SupplierForm;
import mardun.app.buying.BuyingViews.SupplierView;
import mardun.app.buying.DeliveryViews.DeliveryForm;
import mardun.app.buying.DeliveryViews.DeliverySum;
import mardun.app.buying.DeliveryViews.DeliveryView;
import mardun.app.id.MaterialId;
import mardun.app.show.CsvSheet;
import mardun.app.show.PageView;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
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
@RequestMapping("/api")
@Tag(name = "buying")
class BuyingController {

    private final BuyingService buying;
    private final SupplierService suppliers;
    private final DeliveryService deliveries;

    BuyingController(BuyingService buying, SupplierService suppliers, DeliveryService deliveries) {
        this.buying = buying;
        this.deliveries = deliveries;
        this.suppliers = suppliers;
    }

    @GetMapping("/buying")
    BuyingView readBuyingList() {
        return buying.list();
    }

    @GetMapping(path = "/buying.csv", produces = CsvSheet.MEDIA_TYPE)
    ResponseEntity<String> downloadBuyingList() {
        return CsvSheet.download("to-buy.csv", buying.csv());
    }

    @GetMapping("/deliveries")
    PageView<DeliveryView> listDeliveries(
            @RequestParam(defaultValue = "0") @Min(0) @Max(PageView.LAST) int page,
            @RequestParam(defaultValue = "50") @Min(1) @Max(PageView.LARGEST) int size) {
        return deliveries.list(page, size);
    }

    @PostMapping("/deliveries")
    @ResponseStatus(HttpStatus.CREATED)
    DeliveryView createDelivery(@RequestBody @Valid DeliveryForm form) {
        return deliveries.enter(form);
    }

    /** What a delivery's lines add up to, while it is being typed. */
    @PostMapping("/deliveries/sum")
    DeliverySum sumDelivery(@RequestBody @Valid DeliveryForm form) {
        return deliveries.sum(form);
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
    List<OfferView> listOffers(@PathVariable MaterialId id) {
        return suppliers.offers(id);
    }

    /** Enters a pack; answers all packs of the material. */
    @PostMapping("/materials/{id}/offers")
    @ResponseStatus(HttpStatus.CREATED)
    List<OfferView> createOffer(@PathVariable MaterialId id, @RequestBody @Valid OfferForm form) {
        return suppliers.offer(id, form);
    }

    @DeleteMapping("/offers/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeOffer(@PathVariable long id) {
        suppliers.withdraw(id);
    }
}
