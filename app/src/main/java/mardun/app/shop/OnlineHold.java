package mardun.app.shop;

import java.util.Set;
import mardun.app.goods.HoldsBags;
import org.springframework.stereotype.Component;

/** Bags that wait for online orders are for those who ordered them. */
@Component
class OnlineHold implements HoldsBags {

    @Override
    public Set<String> heldPlaces() {
        return Set.of(ShopDesk.ASIDE);
    }
}
