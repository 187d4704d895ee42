package mardun.app.shop;

import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.validation.Valid;
import mardun.app.shop.ShopViews.ShopActForm;
import mardun.app.shop.ShopViews.SimulatedShopView;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The simulated online shop as one stands before it. */
@RestController
@RequestMapping("/api/simulated/online-shop")
@Tag(name = "simulated devices")
class SimulatedShopController {

    private final SimulatedOnlineShop shop;

    SimulatedShopController(SimulatedOnlineShop shop) {
        this.shop = shop;
    }

    @GetMapping
    SimulatedShopView readSimulatedShop() {
        return shop.view();
    }

    @PostMapping
    SimulatedShopView actAtSimulatedShop(@RequestBody @Valid ShopActForm form) {
        return shop.act(form.act());
    }
}
