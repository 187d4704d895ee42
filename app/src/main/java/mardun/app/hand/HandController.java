package mardun.app.hand;

import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.Optional;
import mardun.app.id.LotId;
import mardun.app.id.MaterialId;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@Tag(name = "hand")
class HandController {

    private final HandService hand;

    HandController(HandService hand) {
        this.hand = hand;
    }

    /** What can be made from a material, or from one of its offcuts or precuts. */
    @GetMapping("/api/in-hand")
    HandViews.HandView readHand(@RequestParam MaterialId material, @RequestParam Optional<LotId> lot) {
        return hand.hand(material, lot);
    }
}
