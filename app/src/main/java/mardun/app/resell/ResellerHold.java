package mardun.app.resell;

import java.util.Set;
import java.util.stream.Collectors;
import mardun.app.goods.HoldsBags;
import org.springframework.stereotype.Component;

/** Bags that lie with resellers are for sale there; who wants them elsewhere takes them back first. */
@Component
class ResellerHold implements HoldsBags {

    private final ResellerRepository resellers;

    ResellerHold(ResellerRepository resellers) {
        this.resellers = resellers;
    }

    @Override
    public Set<String> heldPlaces() {
        return resellers.findAll().stream().map(Reseller::name).collect(Collectors.toSet());
    }
}
